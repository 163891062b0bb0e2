// npm test: installs what is missing, then every check in turn; stops at the first that fails.
import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { build, install } from './build.mjs';
import { installBrowser } from './chromium.mjs';

process.chdir(fileURLToPath(new URL('..', import.meta.url)));
install();

const bin = (name) => `node_modules/.bin/${name}`;
const CHECKS = [
  ['types', bin('tsc'), ['-p', 'tsconfig.check.json']],
  ['types of the web application', bin('vue-tsc'), ['-p', 'web/tsconfig.json']],
  ['lint', bin('eslint'), ['.']],
  ['format', bin('prettier'), ['--check', '--log-level', 'warn', '.']],
  ['layers', bin('depcruise'), ['core', 'server', 'cli', 'web', 'e2e', '--config', '.dependency-cruiser.cjs']],
  ['unused code', bin('knip'), []],
  ['unit tests', process.execPath, ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js']],
  ['browser tests', bin('playwright'), ['test', '-c', 'e2e']],
];

for (const [name, command, args] of CHECKS) {
  process.stdout.write(`\n== ${name}\n`);
  // Unit tests of the server start it as it ships.
  if (name === 'unit tests') build(['cli', 'server', 'web']);
  if (name === 'browser tests') installBrowser();
  const { status } = spawnSync(command, args, { stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, AZULEJO_BUILT: '1' } });
  if (status !== 0) process.exit(status ?? 1);
}
process.stdout.write('\nAll checks passed.\n');
