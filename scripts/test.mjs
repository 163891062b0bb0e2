// npm test: installs what is missing, then every check; stops at the first group with one that fails. `npm run test:types`
// and `test:unit` run a part of them, `test:unit -- core/setout` those of a room; `test:long` tries all random cases that the
// tests were written for.
import { Buffer } from 'node:buffer';
import { spawn } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { install } from './build.mjs';
import { SHORT_LIVED_BESIDE_OTHERS } from './shortLived.mjs';

process.chdir(fileURLToPath(new URL('..', import.meta.url)));
install();

const node = (...args) => [process.execPath, args];
/** A tool of the repository: it runs for seconds, beside others. */
const tool = (name, ...args) => node(...SHORT_LIVED_BESIDE_OTHERS, `node_modules/.bin/${name}`, ...args);

const BUILD = ['build', ...node('scripts/build.mjs', 'cli', 'server', 'web')];
const DEBIAN = ['browser, papers and PostgreSQL', ...node('scripts/debian.mjs')];

/** Each process of the tests has a core to itself: it clears up less often. */
const ALONE_ON_A_CORE = [...SHORT_LIVED_BESIDE_OTHERS, '--min-semi-space-size=32', '--max-semi-space-size=64'];

/** A server of a test lives for seconds too: it compiles of the database what it has to, and no better. */
const SERVER_OF_A_TEST = [
  ...SHORT_LIVED_BESIDE_OTHERS,
  '--wasm-tiering-budget=50000000',
  '--wasm-lazy-compilation',
  '--wasm-lazy-validation',
].join(' ');

/** Files or folders of unit tests, where not all are asked for. */
const SOME = process.argv.slice(3);

/** Checks of one group run beside each other; tests take all there is, and run alone. */
const GROUPS = [
  [
    // The longest first.
    ['types of the web application', ...tool('vue-tsc', '-p', 'web/tsconfig.json')],
    BUILD,
    ['format', ...tool('prettier', '--check', '--log-level', 'warn', '.')],
    ['lint', ...tool('eslint', '.')],
    ['types', ...tool('tsc', '-p', 'tsconfig.check.json')],
    DEBIAN,
    ['layers', ...tool('depcruise', 'core', 'server', 'cli', 'web', 'e2e', 'testing', '--config', '.dependency-cruiser.cjs')],
    ['unused code', ...tool('knip')],
    ['share of tests', ...node('scripts/testShare.mjs')],
  ],
  // Unit tests of the server start it as it ships.
  [['unit tests', ...node(...ALONE_ON_A_CORE, '--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js', ...SOME)]],
  [['browser tests', ...tool('playwright', 'test', '-c', 'e2e')]],
];

/** Runs one check; beside others its words are kept together until it ends. Gives whether it passed. */
function run([name, command, args], isAlone) {
  const title = `\n== ${name}\n`;
  if (isAlone) process.stdout.write(title);
  const child = spawn(command, args, {
    stdio: isAlone ? ['ignore', 'inherit', 'inherit'] : ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, AZULEJO_BUILT: '1', AZULEJO_SERVER_FLAGS: SERVER_OF_A_TEST },
  });
  const said = [];
  for (const stream of [child.stdout, child.stderr]) stream?.on('data', (chunk) => said.push(chunk));
  return new Promise((resolve) => {
    const end = (passed) => {
      if (!isAlone) process.stdout.write(title + Buffer.concat(said).toString());
      resolve(passed);
    };
    child.once('error', (error) => {
      said.push(Buffer.from(`${error.message}\n`));
      end(false);
    });
    child.once('close', (status) => end(status === 0));
  });
}

/** What a part of the checks is called, and which it takes. */
const PARTS = { types: [GROUPS[0]], unit: [[BUILD, DEBIAN], GROUPS[1]] };

for (const group of PARTS[process.argv[2]] ?? GROUPS) {
  const waiting = [...group];
  const failed = [];
  const work = async () => {
    for (let check = waiting.shift(); check; check = waiting.shift()) if (!(await run(check, group.length === 1))) failed.push(check[0]);
  };
  await Promise.all(Array.from({ length: Math.max(2, availableParallelism()) }, work));
  if (failed.length > 0) {
    process.stdout.write(`\nNot passed: ${failed.join(', ')}.\n`);
    process.exit(1);
  }
}
process.stdout.write(process.argv[2] ? `\nPassed: ${process.argv[2]}.\n` : '\nAll checks passed.\n');
