// How much of the sources is tests: lines that are not empty, in all and room by room. Held between two shares.
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

process.chdir(fileURLToPath(new URL('..', import.meta.url)));

/** Of all lines, percent: fewer leave too much untried, more are in each other's way. */
const [LEAST, MOST] = [25, 33];
const POOREST = 8;
/** Rooms of fewer lines say nothing. */
const LEAST_LINES = 150;

/** Rooms that only tests and checks use, and what they share. */
const FOR_TESTS = /\.(test|spec)\.ts$|^(e2e|testing)\/|^core\/(samples|balance|stories)\/|\/fakeServer\.ts$/;

const filesIn = (folder) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return ['dist', 'node_modules'].includes(entry.name) ? [] : filesIn(path);
    return /\.(ts|vue|sql)$/.test(entry.name) ? [path] : [];
  });

const rooms = new Map();
const all = { tests: 0, code: 0 };
for (const file of ['core', 'server', 'cli', 'web', 'e2e', 'testing'].flatMap(filesIn)) {
  const lines = readFileSync(file, 'utf8')
    .split('\n')
    .filter((line) => line.trim() !== '').length;
  const kind = FOR_TESTS.test(file) ? 'tests' : 'code';
  const room = dirname(file).split('/').slice(0, 2).join('/');
  const own = rooms.get(room) ?? { tests: 0, code: 0 };
  own[kind] += lines;
  rooms.set(room, own);
  all[kind] += lines;
}

const shareOf = ({ tests, code }) => (100 * tests) / (tests + code);
const share = shareOf(all);
const poor = [...rooms]
  .filter(([, { code }]) => code >= LEAST_LINES)
  .sort(([, a], [, b]) => shareOf(a) - shareOf(b))
  .slice(0, POOREST);
process.stdout.write(`${share.toFixed(1)} % of ${all.tests + all.code} lines are tests.\n`);
process.stdout.write(`The poorest: ${poor.map(([room, own]) => `${room} ${shareOf(own).toFixed(0)} %`).join(', ')}.\n`);
if (share < LEAST || share > MOST) {
  process.stdout.write(`Expected ${LEAST} to ${MOST} %: tests of a room belong to what changes in it.\n`);
  process.exit(1);
}
