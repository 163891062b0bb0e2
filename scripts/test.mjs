// npm test: installs what is missing, then every check in turn; stops at the first that fails.
import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { install } from './build.mjs';

process.chdir(fileURLToPath(new URL('..', import.meta.url)));
install();

const CHECKS = [
  ['types', 'node_modules/.bin/tsc', ['-p', 'tsconfig.check.json']],
  ['unit tests', process.execPath, ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js']],
];

for (const [name, command, args] of CHECKS) {
  process.stdout.write(`\n== ${name}\n`);
  const { status } = spawnSync(command, args, { stdio: ['ignore', 'inherit', 'inherit'] });
  if (status !== 0) process.exit(status ?? 1);
}
