import { expect, test } from './onePerson.ts';
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { RunningServer } from '@azulejo/server/running';
import { demoPart } from './demoPart.ts';

const DEMO = demoPart('tidewater-bakehouse', /^shop-floor$/);
const SITE = '/jobs/tidewater-bakehouse/site';
const server = new RunningServer();
test.beforeAll(() => server.start('--add-job', DEMO));
test.afterAll(() => server.remove());
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

test('one cut at a time with a wet thumb: cut, not that one, later; the server may be away meanwhile', async ({ page }) => {
  await page.goto(server.address + SITE);
  const cut = page.getByRole('button', { name: /is cut$/ });
  await expect(cut).toBeVisible({ timeout: 60_000 });
  const first = ((await cut.textContent()) ?? '').replace(' is cut', '');
  await cut.tap();
  await expect(cut).not.toHaveText(`${first} is cut`);
  const second = ((await cut.textContent()) ?? '').replace(' is cut', '');
  await page.route('**/api/**', (route) => route.abort());
  await page.getByRole('button', { name: 'Later' }).tap();
  await expect(cut).not.toHaveText(`${second} is cut`);
  await page.getByRole('button', { name: `Not ${first}` }).tap();
  await expect(page.getByText(/of \d+ left/)).toBeVisible();
  await cut.tap();
  await page.unroute('**/api/**');
  // A strip of skirting is a piece like any other, and says where it stands.
  await page.getByRole('button', { name: 'Find' }).tap();
  await page.getByLabel('Find a piece by its label').fill('SK-1');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^SK-1 stands at the .* from its right as you face it\.$/)).toBeVisible();
  await expect(page.getByText(/^Skirting, /)).toBeVisible();
  await page.goto(`${server.address}/jobs/tidewater-bakehouse/surfaces/shop-floor/cuts`);
  await expect(page.getByText(/\d+ cut/).first()).toBeVisible({ timeout: 30_000 });
  // All that a thumb has to hit is large enough.
  await page.goto(server.address + SITE);
  await expect(cut).toBeVisible({ timeout: 60_000 });
  const low = await page
    .getByRole('main')
    .getByRole('button')
    .evaluateAll((buttons) => buttons.map((button) => button.getBoundingClientRect().height).filter((high) => high < 44));
  expect(low).toEqual([]);
});

test('waits run several at once, outlive a reload, and say what to do when they are over', async ({ page }) => {
  await page.clock.install();
  await page.addInitScript(() => {
    Object.assign(window, { shaken: 0 });
    navigator.vibrate = () => Boolean(++(window as unknown as { shaken: number }).shaken);
  });
  const shaken = (): Promise<number> => page.evaluate(() => (window as unknown as { shaken: number }).shaken);
  await page.goto(server.address + SITE);
  await page.getByRole('button', { name: 'Waits' }).tap();
  await page.getByRole('button', { name: /^Rest after mixing/ }).tap();
  await page.getByRole('button', { name: /^Bucket is good for/ }).tap();
  await expect(page.getByRole('timer')).toHaveCount(2);
  // Called out once, whatever is looked at meanwhile.
  await page.getByRole('button', { name: 'Cut', exact: true }).tap();
  await page.clock.runFor(3000);
  expect(await shaken()).toBe(0);
  await page.clock.fastForward('05:01');
  await expect.poll(shaken).toBe(1);
  await page.getByRole('button', { name: 'Waits' }).tap();
  await expect(page.getByText('Stir again and use it.')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('timer')).toHaveCount(2);
  await expect(page.getByText('Stir again and use it.')).toBeVisible();
  await page.getByRole('button', { name: 'Done: Rest after mixing' }).tap();
  await expect(page.getByRole('timer')).toHaveCount(1);
});

test('a mix is written down by one press; its waits run on the other phone too, and end there', async ({ page, browser }) => {
  await page.goto(server.address + SITE);
  await page.getByRole('button', { name: 'Mix', exact: true }).tap();
  await page.getByRole('button', { name: 'Mixed now' }).first().tap();
  const resting = page.getByRole('button', { name: 'Done: Rest after mixing' });
  await expect(resting).toHaveCount(1);
  await expect(page.getByRole('button', { name: 'Done: Bucket is good for' }).first()).toBeVisible();

  const other = await (await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })).newPage();
  await other.goto(server.address + SITE);
  await other.getByRole('button', { name: 'Waits' }).tap();
  await other.getByRole('button', { name: 'Done: Rest after mixing' }).tap();
  await expect(other.getByRole('button', { name: 'Done: Rest after mixing' })).toHaveCount(0);
  await expect(resting).toHaveCount(0, { timeout: 30_000 });
  // The log has the mix, and no wait between its lines.
  await other.goto(`${server.address}/jobs/tidewater-bakehouse/log`);
  await expect(other.getByText(/[\d.]+ kg of /)).toBeVisible();
  await expect(other.getByText('Rest after mixing')).toHaveCount(0);
  await other.context().close();
});

test.describe('in a browser that speaks German', () => {
  test.use({ locale: 'de-DE' });
  test('the site view, the list of cuts and its papers do too, until another language is chosen; the figures stay', async ({ page }) => {
    await page.goto(server.address + SITE);
    const cut = page.getByRole('button', { name: /ist geschnitten$/ });
    await expect(cut).toBeVisible({ timeout: 60_000 });
    const main = page.getByRole('main');
    await expect(main).toHaveAttribute('lang', 'de');
    const marks = main.getByRole('listitem');
    const german = (await marks.allTextContents()).join('; ');
    expect(german).toMatch(/von der (linken|rechten|unteren|oberen) (Kante|Spitze)|von links/);
    const figures = (text: string): string[] => [...text.matchAll(/\d+(?:[.,]\d+)?/g)].map(([figure]) => figure.replace(',', '.')).sort();
    await page.getByRole('button', { name: 'Warten' }).tap();
    await expect(main.getByRole('group', { name: 'Eine Wartezeit beginnen' })).toContainText('Begehbar ab');
    await page.getByRole('button', { name: 'Schneiden' }).tap();
    await page.goto(`${server.address}/jobs/tidewater-bakehouse/surfaces/shop-floor/cuts`);
    await expect(page.getByText(/verschiedene Zuschnitte für \d+ Stück/)).toBeVisible();
    const address = await page.getByRole('link', { name: 'Setout and cuts' }).getAttribute('href');
    expect(address).toContain('language=de');
    const file = join(server.folder, 'paper.pdf');
    writeFileSync(file, await (await page.request.get(server.address + (address ?? ''))).body());
    const paper = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
    for (const words of ['Anzureißende Linien', 'Warum hier', 'Zuschnitte, Sichtseite oben', '1 von ']) expect(paper).toContain(words);
    await page.getByRole('button', { name: 'Settings' }).tap();
    await page.getByRole('dialog').getByText('English', { exact: true }).tap();
    await page.keyboard.press('Escape');
    await expect(page.getByText(/different cuts for \d+ pieces/)).toBeVisible();
    await page.goto(server.address + SITE);
    await expect(page.getByRole('button', { name: /is cut$/ })).toBeVisible({ timeout: 60_000 });
    expect(figures((await marks.allTextContents()).join('; '))).toEqual(figures(german));
  });
});
