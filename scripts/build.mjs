// Builds what is asked for (core, cli, server, web) where sources are newer than the last build.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync } from 'node:zlib';
import { SHORT_LIVED_BESIDE_OTHERS } from './shortLived.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const SKIP = new Set(['node_modules', 'dist', '.cache']);

/** The newest change among the files of some folders. */
function newest(folders) {
  let time = 0;
  const visit = (folder) => {
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      if (SKIP.has(entry.name)) continue;
      const path = join(folder, entry.name);
      if (entry.isDirectory()) visit(path);
      else time = Math.max(time, statSync(path).mtimeMs);
    }
  };
  folders.forEach((folder) => visit(join(root, folder)));
  return Math.max(time, statSync(join(root, 'package-lock.json')).mtimeMs);
}

function isFresh(name, folders) {
  const stamp = join(root, name, 'dist/.built');
  return existsSync(stamp) && statSync(stamp).mtimeMs >= newest(folders);
}

function run(command, args, cwd = root, environment = {}) {
  // What builders print goes to standard error, so that a command's own output stays clean.
  const { status } = spawnSync(command, args, { cwd, stdio: ['ignore', 2, 2], env: { ...process.env, ...environment } });
  if (status !== 0) process.exit(status ?? 1);
}

const runTool = (name, args, ...more) =>
  run(process.execPath, [...SHORT_LIVED_BESIDE_OTHERS, join(root, 'node_modules/.bin', name), ...args], ...more);

function copyQueries(folder) {
  for (const entry of readdirSync(join(root, folder), { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (SKIP.has(entry.name)) continue;
    if (entry.isDirectory()) copyQueries(path);
    else if (entry.name.endsWith('.sql')) {
      const target = join(root, 'server/dist', path.slice('server/'.length));
      mkdirSync(dirname(target), { recursive: true });
      cpSync(join(root, path), target);
    }
  }
}

/** Puts a brotli copy beside each script and style, for the server to send. */
function compress(folder) {
  for (const name of readdirSync(folder).filter((file) => /\.(js|css)$/.test(file))) {
    writeFileSync(join(folder, `${name}.br`), brotliCompressSync(readFileSync(join(folder, name))));
  }
}

/** What tells one release of the core from another: any byte of it, or another version of what it uses. */
export function coreRelease() {
  const hash = createHash('sha256').update(readFileSync(join(root, 'package-lock.json')));
  const files = readdirSync(join(root, 'core'), { recursive: true }).filter(
    (name) => /\.ts$/.test(name) && !/\.test\.ts$|^(dist|node_modules)\b/.test(name),
  );
  for (const name of files.sort()) hash.update(`\n${name.replaceAll('\\', '/')}\n`).update(readFileSync(join(root, 'core', name)));
  return hash.digest('hex');
}

const stamp = (name) => writeFileSync(join(root, name, 'dist/.built'), '');

/** Builds the named parts; `web` brings its own copy of the core. */
export function build(parts) {
  for (const part of parts) {
    if (part === 'web') {
      if (isFresh('web', ['core', 'web'])) continue;
      runTool('vite', ['build', '--logLevel', 'error'], join(root, 'web'), { AZULEJO_CORE: coreRelease() });
      compress(join(root, 'web/dist/assets'));
    } else {
      if (isFresh(part, ['core', part])) continue;
      runTool('tsc', ['-b', part]);
      if (part === 'server') {
        copyQueries('server');
        writeFileSync(join(root, 'server/dist/core-release'), coreRelease());
      }
    }
    stamp(part);
  }
}

/** Installs the packages of the lock file where they are missing or older than it. */
export function install() {
  const mark = join(root, 'node_modules/.package-lock.json');
  if (existsSync(mark) && statSync(mark).mtimeMs >= statSync(join(root, 'package-lock.json')).mtimeMs - 1000) return;
  run('npm', ['ci', '--no-fund', '--no-audit', '--loglevel=error']);
}

if (process.argv[1] === fileURLToPath(import.meta.url)) build(process.argv.slice(2));
