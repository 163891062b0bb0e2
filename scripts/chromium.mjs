// Browser tests use Debian's Chromium, and pdftotext to read the papers; installs them where they are missing.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const NEEDED = { chromium: '/usr/bin/chromium', 'poppler-utils': '/usr/bin/pdftotext' };

export function installBrowser() {
  const missing = Object.entries(NEEDED)
    .filter(([, file]) => !existsSync(file))
    .map(([name]) => name);
  if (missing.length === 0) return;
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => {
    const [command, ...rest] = [...asRoot, 'apt-get', ...args];
    const { status } = spawnSync(command, rest, {
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
    if (status !== 0) throw new Error(`could not install ${missing.join(' and ')}: install by hand and run again`);
  };
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', ...missing);
}

if (process.argv[1] === fileURLToPath(import.meta.url)) installBrowser();
