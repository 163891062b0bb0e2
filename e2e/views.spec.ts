import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Job } from '@azulejo/core/job/job';
import { RunningServer } from '@azulejo/server/running';
import { expectWithinReach, expectWithinReachOfBoth } from './reach.ts';
import { walkTo } from './walkTo.ts';

const DEMO = fileURLToPath(new URL('../demo/tidewater-bakehouse.json', import.meta.url));
const server = new RunningServer();
test.beforeAll(() => server.start('--with-site', '--add-job', DEMO));
test.afterAll(() => server.remove());

const SURFACE = '/jobs/tidewater-bakehouse/surfaces/splashback';
const SKEW = '/jobs/tidewater-bakehouse/surfaces/shop-floor';
/** Every view, and the parts of it that are shown by a press. */
const VIEWS: readonly (readonly [name: string, path: string, ...parts: string[]])[] = [
  ['jobs', '/'],
  ['job', '/jobs/tidewater-bakehouse'],
  ['measure', `${SURFACE}/measure`],
  ['shape, edges, fixtures, levels', `${SKEW}/measure`, 'Edges', 'Fixtures', 'Levels'],
  ['around', '/jobs/tidewater-bakehouse/surfaces/niche-back/measure', 'Around it'],
  ['new surface', '/jobs/tidewater-bakehouse/new'],
  ['tile', `${SURFACE}/tile`],
  ['setout, by rule, pins, weighing, lines, zones', `${SURFACE}/setout`, 'By rule', 'Pins', 'Weighing', 'Lines', 'Zones'],
  ['cuts, tiles to open, dry lay, practice', `${SKEW}/cuts`, 'Tiles to open', 'Dry lay', 'Practice'],
  ['order, mixes, quote, variants', '/jobs/tidewater-bakehouse/order', 'Mixes', 'Quote', 'Variants'],
  ['place', `${SKEW}/tile`, 'Place'],
  ['days', '/jobs/tidewater-bakehouse/days'],
  ['site', '/jobs/tidewater-bakehouse/site', 'Lay', 'Mix', 'Waits', 'Cellar'],
  ['log', '/jobs/tidewater-bakehouse/log', 'Hours', 'Photo', 'Snag'],
];
test.describe('every view', () => {
  // One page sees all views, as a person does: what was planned for one is there for the next.
  let page: Page;
  const complaints: string[] = [];
  test.beforeAll(async ({ browser }) => {
    page = await browser.newPage();
    page.on('console', (message) => {
      if (message.type() === 'error') complaints.push(message.text());
    });
    page.on('pageerror', (error) => complaints.push(error.message));
    await page.goto(server.address);
  });
  test.afterAll(() => page.close());

  for (const [view, path, ...parts] of VIEWS)
    test(`${view}, in light and in dark on a phone: within reach of everyone, nothing refused by the page's own policy`, async () => {
      await walkTo(page, path);
      await expect(page.getByRole('main')).toBeVisible();
      for (const part of [null, ...parts]) {
        if (part) await page.getByRole('button', { name: part, exact: true }).click();
        await expectWithinReachOfBoth(page);
      }
      expect(complaints.splice(0)).toEqual([]);
    });
});

test('a surface of each room of the demo, and one of no room, opens with its setout', async ({ page }) => {
  test.slow();
  const { surfaces } = JSON.parse(readFileSync(DEMO, 'utf8')) as Job;
  // All of them are planned without a browser.
  const shown = surfaces.filter(({ roomId }, k) => surfaces.findIndex((other) => other.roomId === roomId) === k);
  expect(shown.length).toBeGreaterThanOrEqual(5);
  await page.goto(server.address);
  for (const { id, name } of shown) {
    await walkTo(page, `/jobs/tidewater-bakehouse/surfaces/${id}/setout`);
    await expect(page.getByRole('combobox', { name: 'Surface', exact: true })).toContainText(name);
    await expect(page.getByText('Starts to compare')).toBeVisible();
    await expect(page.getByText('could not be computed')).toBeHidden();
  }
});

test('the keys are listed under the question mark, the settings of the browser under the gear', async ({ page }) => {
  await page.goto(`${server.address}${SURFACE}/setout`);
  await expect(page.getByText('Starts to compare')).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Full pieces off the chosen edge');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Settings' }).click();
  const settings = page.getByRole('dialog', { name: 'Settings of this browser' });
  await expect(settings.getByText('Language on site, in the list of cuts and on papers')).toBeVisible();
  await expectWithinReach(page);
  await settings.getByText('Dark', { exact: true }).click();
  await expect(page.locator('html')).toHaveClass(/dark/);
});

test('zoomed in twice the drawing stays large; what hovers over a button is refused by nobody', async ({ browser }) => {
  const page = await browser.newPage({ viewport: { width: 640, height: 400 }, deviceScaleFactor: 2 });
  const complaints: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'error') complaints.push(message.text());
  });
  await page.goto(`${server.address}${SURFACE}/setout`);
  const board = page.getByTestId('board');
  await expect.poll(async () => (await board.boundingBox())?.height ?? 0).toBeGreaterThan(200);
  await expectWithinReach(page);
  await page.getByRole('button', { name: 'Undo' }).hover();
  await page.getByRole('heading', { name: 'Starts to compare' }).scrollIntoViewIfNeeded();
  expect(complaints).toEqual([]);
  await page.close();
});

test('where the system sets the colours, the step and the part one is on have an edge, and the days their bars', async ({ browser }) => {
  const page = await browser.newPage({ forcedColors: 'active' });
  const outlines = (role: 'link' | 'button', names: readonly string[]) =>
    Promise.all(names.map((name) => page.getByRole(role, { name, exact: true }).evaluate((one) => getComputedStyle(one).outlineStyle)));
  await page.goto(`${server.address}${SURFACE}/setout`);
  await expect(page.getByText('Starts to compare')).toBeVisible();
  expect(await outlines('link', ['Set out', 'Cuts'])).toEqual(['solid', 'none']);
  expect(await outlines('button', ['Starts', 'Lines'])).toEqual(['solid', 'none']);
  await page.goto(`${server.address}/jobs/tidewater-bakehouse/days`);
  const bar = page.getByRole('button', { name: /^Laying, Shop floor/ }).first();
  await expect(bar).toBeVisible({ timeout: 60_000 });
  expect(await bar.evaluate((one) => getComputedStyle(one).forcedColorAdjust)).toBe('none');
  await page.close();
});
