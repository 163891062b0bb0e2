// What tests use of Debian: Chromium, pdftotext to read the papers, PostgreSQL; installed where it is missing.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const BROWSER = { chromium: '/usr/bin/chromium', 'poppler-utils': '/usr/bin/pdftotext' };
const VERSIONS = '/usr/lib/postgresql';

const hasBrowser = (name) => existsSync(BROWSER[name]);
/** A client alone has a folder there too. */
const hasPostgres = () => existsSync(VERSIONS) && readdirSync(VERSIONS).some((version) => existsSync(`${VERSIONS}/${version}/bin/initdb`));

/** Gives what could not be installed. */
function install(wanted, isThere) {
  const missing = wanted.filter((name) => !isThere(name));
  if (missing.length === 0) return [];
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => {
    const [command, ...rest] = [...asRoot, 'apt-get', ...args];
    const { status } = spawnSync(command, rest, {
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
    return status === 0;
  };
  return apt('update', '-qq') && apt('install', '-y', '-qq', '--no-install-recommends', ...missing) ? [] : missing;
}

export function installBrowser() {
  const missing = install(Object.keys(BROWSER), hasBrowser);
  if (missing.length > 0) throw new Error(`could not install ${missing.join(' and ')}: install by hand and run again`);
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  installBrowser();
  // Tests go without it, and say so.
  for (const name of install(['postgresql'], hasPostgres))
    process.stderr.write(`could not install ${name}: what runs on it is not tried\n`);
}
