// Changes one thing at a time in a room of the core and runs its tests: a change that none of them notices survives, and is
// told to be read. `npm run mutate -- core/labour 60` tries sixty places of that room, the same ones each time; SEED tries others.
import { spawn } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';

process.chdir(fileURLToPath(new URL('..', import.meta.url)));

/** Operators and what stands in their place. */
const INSTEAD = new Map([
  [ts.SyntaxKind.LessThanToken, ['<=', '>=']],
  [ts.SyntaxKind.LessThanEqualsToken, ['<', '>']],
  [ts.SyntaxKind.GreaterThanToken, ['>=', '<=']],
  [ts.SyntaxKind.GreaterThanEqualsToken, ['>', '<']],
  [ts.SyntaxKind.EqualsEqualsEqualsToken, ['!==']],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, ['===']],
  [ts.SyntaxKind.PlusToken, ['-']],
  [ts.SyntaxKind.MinusToken, ['+']],
  [ts.SyntaxKind.AsteriskToken, ['/']],
  [ts.SyntaxKind.SlashToken, ['*']],
  [ts.SyntaxKind.AmpersandAmpersandToken, ['||']],
  [ts.SyntaxKind.BarBarToken, ['&&']],
]);

/** A mutant that keeps the tests busy longer is noticed, ms. */
const LIMIT_MS = 180_000;
/** Beside a room's own tests: the limits of what may be typed, and whole jobs worked out by hand. */
const BESIDE = ['core/formats/limits.test.ts', 'core/stories', 'core/balance/balance.test.ts'];

const [room, most = '60'] = process.argv.slice(2);
if (!room?.startsWith('core/')) throw new Error('expected a room of the core, such as core/labour');

const sources = (folder) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sources(path);
    return entry.name.endsWith('.ts') && !entry.name.endsWith('.test.ts') ? [path] : [];
  });

/** Every place of a file where something can be changed. */
function mutantsOf(file) {
  const text = readFileSync(file, 'utf8');
  const tree = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found = [];
  const put = (node, instead) => {
    const start = node.getStart(tree);
    const { line } = tree.getLineAndCharacterOfPosition(start);
    found.push({ file, start, end: node.getEnd(), instead, line: line + 1, was: text.slice(start, node.getEnd()) });
  };
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) for (const instead of INSTEAD.get(node.operatorToken.kind) ?? []) put(node.operatorToken, instead);
    if (ts.isNumericLiteral(node)) put(node, String(Number(node.text) === 0 ? 1 : 2 * Number(node.text)));
    if (node.kind === ts.SyntaxKind.TrueKeyword) put(node, 'false');
    if (node.kind === ts.SyntaxKind.FalseKeyword) put(node, 'true');
    if (ts.isIfStatement(node)) put(node.expression, '!1');
    if (ts.isConditionalExpression(node)) put(node.condition, '!1');
    ts.forEachChild(node, visit);
  };
  visit(tree);
  return found;
}

/** Some of all, the same for the same seed. */
function drawn(all, count) {
  let seed = Number(process.env.SEED ?? 1);
  const next = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
  return all
    .map((one) => ({ one, key: next() }))
    .sort((a, b) => a.key - b.key)
    .slice(0, count)
    .map(({ one }) => one);
}

/** Whether some tests notice a mutant. */
const noticedBy = (tests, mutant) =>
  new Promise((resolve) => {
    const child = spawn(process.execPath, ['node_modules/jest/bin/jest.js', '--runInBand', '--silent', ...tests], {
      stdio: ['ignore', 'ignore', 'pipe'],
      timeout: LIMIT_MS,
      killSignal: 'SIGKILL',
      env: { ...process.env, AZULEJO_MUTANT: JSON.stringify(mutant) },
    });
    // The first file that fails is enough.
    child.stderr.on('data', (said) => {
      if (/^FAIL /m.test(said)) child.kill('SIGKILL');
    });
    child.once('close', (status) => resolve(status !== 0));
  });

/** Whether any test notices a mutant; the room's own first, they are quicker. */
const isNoticed = async (mutant) => (await noticedBy([`${room}/`], mutant)) || (await noticedBy(BESIDE, mutant));

const mutants = drawn(sources(room).flatMap(mutantsOf), Number(most));
const waiting = [...mutants];
const survivors = [];
const work = async () => {
  for (let mutant = waiting.shift(); mutant; mutant = waiting.shift()) {
    if (await isNoticed(mutant)) continue;
    survivors.push(mutant);
    process.stdout.write(`${mutant.file}:${mutant.line}: ${mutant.was} as ${mutant.instead}\n`);
  }
};
await Promise.all(Array.from({ length: availableParallelism() }, work));
const noticed = mutants.length - survivors.length;
process.stdout.write(
  `${room}: ${noticed} of ${mutants.length} noticed, ${((100 * noticed) / Math.max(1, mutants.length)).toFixed(0)} %.\n`,
);
