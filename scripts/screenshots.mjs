// npm run screenshots: takes the pictures of docs/screenshots from the demo data.
import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build, install } from './build.mjs';
import { installBrowser } from './debian.mjs';
import { demoJobs } from './demoJobs.mjs';

process.chdir(fileURLToPath(new URL('..', import.meta.url)));
install();
installBrowser();
build(['server', 'web']);

const JOB = '/jobs/tidewater-bakehouse';
const surface = (id, step) => `${JOB}/surfaces/${id}/${step}`;
const DESK = { viewport: { width: 1280, height: 800 } };
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true };

const part = (name) => (page) => page.getByRole('button', { name, exact: true }).click();
const type = async (page, label, text) => {
  await page.getByLabel(label, { exact: true }).first().fill(text);
  await page.getByLabel(label, { exact: true }).first().press('Enter');
};

/** Names of pictures to take; all where none is given. */
const wanted = process.argv.slice(2);

const PICTURES = [
  {
    name: 'jobs',
    path: '/',
    look: DESK,
    // Five surfaces of two jobs are drawn, and two of the third.
    act: (page) => page.locator('svg .outline').nth(11).waitFor({ timeout: 60_000 }),
  },
  // The total stands when every surface is planned.
  { name: 'job', path: JOB, look: DESK, act: (page) => page.getByRole('link', { name: /^Order\s*\d/ }).waitFor({ timeout: 60_000 }) },
  { name: 'measure', path: surface('shop-floor', 'measure'), look: DESK },
  { name: 'measure-levels', path: surface('shop-floor', 'measure'), look: DESK, act: part('Levels') },
  { name: 'measure-around', path: surface('niche-back', 'measure'), look: DESK, act: part('Around it') },
  {
    name: 'new-surface',
    path: `${JOB}/new`,
    look: DESK,
    act: async (page) => {
      await page.getByRole('radio', { name: 'Counter round a corner' }).click();
      for (const [label, mm] of [
        ['Along the back wall', '2740'],
        ['Depth there', '625'],
        ['Along the side wall', '1935'],
        ['Depth there, side', '610'],
        ['Slant at the inner corner', '180'],
      ])
        await type(page, label, mm);
    },
  },
  {
    name: 'phone-walls',
    path: `${JOB}/new`,
    look: PHONE,
    act: async (page) => {
      await page.getByRole('radio', { name: 'Wall by wall' }).tap();
      for (const [mm, turn] of [
        ['4210', 'Square left'],
        ['3020', 'Square left'],
        ['1650', 'Square right'],
      ]) {
        await type(page, /^Wall from/, mm);
        await page.getByRole('button', { name: turn }).tap();
      }
      await type(page, /^Wall from/, '820');
    },
  },
  {
    name: 'tile',
    path: surface('shop-floor', 'tile'),
    look: DESK,
    act: (page) => page.getByText('The finished look', { exact: true }).click(),
  },
  {
    name: 'setout',
    path: surface('washroom-floor', 'setout'),
    look: DESK,
    act: async (page) => {
      await page.getByText('left over').first().waitFor({ timeout: 30_000 });
      await page.locator('.panel').evaluate((panel) => panel.scrollTo(0, 150));
    },
  },
  { name: 'zones', path: surface('shop-floor', 'setout'), look: DESK, act: part('Zones') },
  { name: 'log', path: `${JOB}/log`, look: DESK, act: (page) => page.getByText('What this job taught').waitFor({ timeout: 60_000 }) },
  { name: 'setout-dark', path: surface('splashback', 'setout'), look: { ...DESK, colorScheme: 'dark' } },
  { name: 'cuts', path: surface('oven-wall', 'cuts'), look: DESK, act: (page) => page.getByRole('button', { name: /off/ }).nth(2).click() },
  { name: 'order', path: `${JOB}/order`, look: DESK, act: (page) => page.getByTestId('order-total').waitFor({ timeout: 60_000 }) },
  {
    name: 'quote',
    path: `${JOB}/order`,
    look: DESK,
    act: async (page) => {
      await page.getByTestId('order-total').waitFor({ timeout: 60_000 });
      await page.getByRole('button', { name: 'Quote', exact: true }).click();
    },
  },
  {
    name: 'variants',
    path: `${JOB}/order`,
    look: DESK,
    act: async (page) => {
      await page.getByTestId('order-total').waitFor({ timeout: 60_000 });
      await page.getByRole('button', { name: 'Variants', exact: true }).click();
      await page.getByText('This one stands').waitFor({ timeout: 60_000 });
    },
  },
  {
    name: 'days',
    path: `${JOB}/days`,
    look: DESK,
    act: (page) => page.getByRole('group', { name: 'Works over days' }).waitFor({ timeout: 60_000 }),
  },
  { name: 'phone-setout', path: surface('washroom-floor', 'setout'), look: PHONE },
  {
    name: 'phone-site',
    path: `${JOB}/site`,
    look: PHONE,
    act: (page) => page.getByRole('button', { name: /is cut$/ }).waitFor({ timeout: 60_000 }),
  },
];

const folder = mkdtempSync(join(tmpdir(), 'azulejo-pictures-'));
const server = spawn(process.execPath, ['server/dist/start.js', '--data', folder, '--port', '0', ...demoJobs()]);
const address = await new Promise((resolve) => {
  server.stdout.on('data', (chunk) => {
    const ready = /is ready: (\S+)/.exec(chunk.toString());
    if (ready) resolve(ready[1]);
  });
});
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
mkdirSync('docs/screenshots', { recursive: true });
for (const { name, path, look, act } of PICTURES.filter((one) => wanted.length === 0 || wanted.includes(one.name))) {
  const page = await (await browser.newContext(look)).newPage();
  await page.goto(address + path);
  await page.waitForTimeout(3500);
  if (act) await act(page);
  // What is drawn is the whole plan: nothing of it is still worked out.
  await page.locator('.bar.late, .bar[role=status]').first().waitFor({ state: 'detached', timeout: 90_000 });
  await page.waitForTimeout(400);
  await page.screenshot({ path: `docs/screenshots/${name}.png`, animations: 'disabled' });
  await page.close();
}
await browser.close();
server.kill('SIGTERM');
await new Promise((resolve) => {
  server.once('exit', resolve);
});
rmSync(folder, { recursive: true, force: true });
