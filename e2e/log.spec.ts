import { expect, test } from './onePerson.ts';
import { RunningServer } from '@azulejo/server/running';
import { demoPart } from './demoPart.ts';

const DEMO = demoPart('tidewater-bakehouse', /^splashback$/);
const LOG = '/jobs/tidewater-bakehouse/log';
const server = new RunningServer();
test.beforeAll(() => server.start('--add-job', DEMO));
test.afterAll(() => server.remove());

test('hours, a broken piece and a photo are kept in three presses, also while the server is away, and on another phone', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await page.goto(server.address + LOG);
  await expect(page.getByRole('button', { name: 'Hours', exact: true })).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Hours', exact: true }).click();
  await page.getByLabel('By', { exact: true }).fill('Ines');
  await page.getByRole('textbox', { name: 'Hours' }).fill('25');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('Expected between 0 and 24 hours.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Hours' }).fill('6.5');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('6.5 h of laying')).toBeVisible();
  await expect(page.getByText(/, Ines$/)).toBeVisible();
  await page.route('**/api/**', (route) => route.abort());
  await page.getByRole('button', { name: 'Photo', exact: true }).click();
  await page.locator('input[type=file]').setInputFiles({ name: 'no.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await expect(page.getByText(/no picture that can be read/)).toBeVisible();
  await page.getByRole('button', { name: 'Broken', exact: true }).click();
  await page.getByLabel('Why').fill('slipped at the saw');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('slipped at the saw')).toBeVisible();
  // On a slow machine the hours may not have gone out before.
  await expect(page.getByText(/^[12] not on the server yet/)).toBeVisible();
  await page.unroute('**/api/**');
  await expect(page.getByText('not on the server yet')).toHaveCount(0, { timeout: 20_000 });
  const other = await (await browser.newContext()).newPage();
  await other.goto(server.address + LOG);
  await expect(other.getByText('6.5 h of laying')).toBeVisible({ timeout: 30_000 });
  await expect(other.getByText('slipped at the saw')).toBeVisible();
  await other.getByRole('button', { name: /^Take back: Broken/ }).click();
  await expect(other.getByText('slipped at the saw')).toHaveCount(0);
});

test('a snag with its place, done in the end; the note for the client; the same job again elsewhere', async ({ page }) => {
  await page.goto(server.address + LOG);
  await page.getByRole('button', { name: 'Snag', exact: true }).click();
  await page.getByLabel('In words').fill('Trim by the counter rattles');
  const map = page.getByRole('img', { name: 'The surface, to point at the place' });
  await expect(map).toBeVisible({ timeout: 60_000 });
  await map.click();
  await expect(page.getByText('The place', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('0 of 1 done.')).toBeVisible();
  await expect(page.getByRole('img', { name: /^Where it was/ })).toBeVisible();
  await page.getByRole('button', { name: 'Done: Trim by the counter rattles' }).click();
  await expect(page.getByText('1 of 1 done.')).toBeVisible();
  for (const name of ['Handover note', 'Snag list']) {
    const paper = await page.request.get(server.address + (await page.getByRole('link', { name }).getAttribute('href')));
    expect((await paper.body()).subarray(0, 5).toString()).toBe('%PDF-');
  }
  await page.getByRole('button', { name: 'Begin it' }).click();
  await expect(page.getByText('Expected what the other job is called.')).toBeVisible();
  await page.getByLabel('The same again elsewhere, called').fill('Harbour Bakehouse');
  await page.getByRole('button', { name: 'Begin it' }).click();
  await expect(page.getByRole('heading', { name: 'Harbour Bakehouse' })).toBeVisible({ timeout: 30_000 });
});
