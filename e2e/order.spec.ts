import { expect, test, type Page } from './onePerson.ts';
import { readFileSync } from 'node:fs';
import { RunningServer } from '@azulejo/server/running';
import { demoPart } from './demoPart.ts';

const DEMO = demoPart('tidewater-bakehouse', /^shop-floor$/, /^splashback$/, /^shower-wall-1$/, /^washroom/);
const JOB = '/jobs/tidewater-bakehouse';
const server = new RunningServer();
test.beforeAll(() => server.start('--add-job', DEMO));
test.afterAll(() => server.remove());

const total = async (page: Page): Promise<number> => Number(await page.getByTestId('order-total').textContent());
const opened = async (page: Page): Promise<void> => {
  await page.goto(server.address + JOB + '/order');
  await expect(page.getByTestId('order-total')).toBeVisible({ timeout: 60_000 });
};

test('a line opens to its figures; a figure typed over says who spoke, a wrong one is refused beside it, packs follow', async ({
  page,
}) => {
  await opened(page);
  const before = await total(page);
  await page.getByRole('button', { name: 'Tile adhesive, grey: how it was computed' }).click();
  await expect(page.getByText('Weighs 1.2 kg/L (typical)')).toBeVisible();
  const weight = page.getByLabel('Weighs (typical)');
  await weight.fill('0');
  await weight.press('Enter');
  await expect(
    page
      .getByRole('alert')
      .filter({ hasText: /expected/i })
      .first(),
  ).toBeVisible();
  await weight.fill('1.5');
  await weight.press('Enter');
  await expect(page.getByLabel('Weighs (set for this job)')).toHaveValue('1.5', { timeout: 20_000 });
  await expect.poll(() => total(page), { timeout: 30_000 }).toBeGreaterThan(before);
  await page.getByRole('button', { name: 'Weighs as usual again' }).click();
  await expect.poll(() => total(page), { timeout: 30_000 }).toBe(before);
  await page.getByText('1 in 20').click();
  await expect.poll(() => total(page), { timeout: 30_000 }).toBeGreaterThan(before);
  await expect(page.getByText('any line is likely to')).toBeVisible();
});

test('the supplier answers, an order is placed and stays as it was, also after a reload', async ({ page }) => {
  await opened(page);
  await page.getByRole('button', { name: 'Ask the supplier' }).click();
  await page.getByRole('button', { name: 'Place this order' }).click();
  await expect(page.getByText(/^ *Ordered on/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^ *Ordered on/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText('The plan asks for just what was ordered.')).toBeVisible({ timeout: 30_000 });
});

test('rates side by side, a tool is hired, and the quote adds up to what is shown', async ({ page }) => {
  await opened(page);
  await page.getByRole('button', { name: 'Quote', exact: true }).click();
  const toPay = page.getByTestId('quote-total');
  const hourly = await toPay.textContent();
  await page.getByRole('button', { name: /^Own hands/ }).click();
  await expect(toPay).not.toHaveText(hourly ?? '', { timeout: 20_000 });
  await page.getByRole('button', { name: /^By the hour/ }).click();
  await expect(toPay).toHaveText(hourly ?? '', { timeout: 20_000 });
  const cells = await page
    .locator('table tr')
    .evaluateAll((rows) => rows.map((row) => Math.round(100 * Number((row.querySelector('td')?.textContent ?? '').replaceAll(' ', '')))));
  const [sum, paid] = [cells.slice(0, -1).reduce((all, cents) => all + cents, 0), cells.at(-1)];
  expect(sum).toBe(paid);
});

test('another tile is kept beside what is planned, chosen and given back', async ({ page }) => {
  await opened(page);
  await page.getByRole('button', { name: 'Variants', exact: true }).click();
  await page.getByRole('combobox', { name: 'Of' }).click();
  await page.getByRole('option', { name: 'Washroom back wall' }).click();
  await page.getByRole('combobox', { name: 'In tile' }).click();
  await page.getByRole('option', { name: 'Salt glaze 150' }).click();
  await page.getByRole('button', { name: 'Keep beside it' }).click();
  const other = page.getByRole('article').filter({ hasText: 'Washroom back wall: Salt glaze 150' });
  await expect(other).toBeVisible({ timeout: 60_000 });
  await other.getByRole('button', { name: 'Choose this' }).click();
  await expect(page.getByRole('article').filter({ hasText: 'This one stands' })).toContainText('Salt glaze 150', { timeout: 60_000 });
  await page.getByRole('article').filter({ hasText: 'As planned' }).getByRole('button', { name: 'Choose this' }).click();
  await expect(page.getByRole('article').filter({ hasText: 'This one stands' })).toContainText('As planned', { timeout: 60_000 });
});

test('all walls of a room to one height, and other packs, stand beside what is planned with what they cost', async ({ page }) => {
  await opened(page);
  await page.getByRole('button', { name: 'Variants', exact: true }).click();
  await page.getByRole('group', { name: 'Bought so that it runs out' }).getByRole('button', { name: '1 in 20' }).click();
  const bought = page.getByRole('article').filter({ hasText: 'Bought to run out 1 in 20' });
  await expect(bought).toBeVisible({ timeout: 60_000 });
  await page.getByRole('combobox', { name: 'Of' }).click();
  await page.getByRole('option', { name: 'all of Washroom' }).click();
  await page.getByLabel(/Tiled to a height of/).fill('1400');
  await page.getByLabel(/Tiled to a height of/).press('Enter');
  const lower = page.getByRole('article').filter({ hasText: 'all of Washroom to 1400 mm' });
  await expect(lower).toBeVisible({ timeout: 60_000 });
  // Walls of another height take other pieces; other packs take the same.
  const piecesOf = async (one: typeof lower): Promise<string> => /Pieces(\d+)/.exec((await one.textContent()) ?? '')?.[1] ?? '';
  const stands = page.getByRole('article').filter({ hasText: 'This one stands' });
  await expect(lower).toContainText(/Pieces\d/, { timeout: 60_000 });
  expect(await piecesOf(lower)).not.toBe(await piecesOf(stands));
  expect(await piecesOf(bought)).toBe(await piecesOf(stands));
});

test('a finding is mended by a press, another is known of and quiet', async ({ page }) => {
  await page.goto(`${server.address}${JOB}/surfaces/splashback/setout`);
  await page
    .getByRole('button', { name: /more to look at/ })
    .or(page.getByText(/deeper:/))
    .first()
    .click({ timeout: 30_000 });
  const deep = page.getByRole('listitem').filter({ hasText: 'deeper:' });
  await expect(deep).toBeVisible({ timeout: 30_000 });
  await deep.getByRole('button', { name: 'I know' }).click();
  await deep.getByLabel(/A note to it/).fill('Long screws are in the van');
  await deep.getByLabel(/A note to it/).press('Enter');
  await expect(page.getByText('1 known')).toBeVisible();
  await page.goto(`${server.address}${JOB}/surfaces/shower-wall-1/tile`);
  await page.getByRole('button', { name: 'Place', exact: true }).click();
  await page.getByRole('group', { name: 'Waterproofed' }).getByText('No').click();
  await page.getByRole('button', { name: 'Plan waterproofing' }).click({ timeout: 30_000 });
  await expect(page.getByRole('group', { name: 'Waterproofed' }).getByLabel('Yes')).toBeChecked();
});

test('a work is moved by a key, what hangs on it moves along, and it is let go again', async ({ page }) => {
  await page.goto(server.address + JOB + '/days');
  const laying = page.getByRole('button', { name: /^Laying, Shop floor/ }).first();
  await expect(laying).toBeVisible({ timeout: 60_000 });
  const grouting = page.getByRole('button', { name: /^Grouting and washing, Shop floor/ }).first();
  const before = await grouting.getAttribute('aria-label');
  await laying.focus();
  for (let k = 0; k < 4; k++) {
    const label = (await laying.getAttribute('aria-label')) ?? '';
    await laying.press('ArrowRight');
    await expect(laying).not.toHaveAttribute('aria-label', label, { timeout: 20_000 });
  }
  await expect(grouting).not.toHaveAttribute('aria-label', before ?? '', { timeout: 20_000 });
  await laying.press('Enter');
  await page.getByRole('button', { name: 'Let it fall where it may' }).click();
  await expect(grouting).toHaveAttribute('aria-label', before ?? '', { timeout: 20_000 });
});

test('a helper on Tuesday afternoons ends it sooner; who can’t be there is refused beside the figure', async ({ page }) => {
  await page.goto(server.address + JOB + '/days');
  const who = page.getByRole('region', { name: 'Who is there' });
  const end = page.getByText(/Done on/).locator('strong');
  await expect(end).toBeVisible({ timeout: 60_000 });
  const before = (await end.textContent()) ?? '';
  const type = async (label: string, text: string) => {
    await who.getByLabel(label, { exact: true }).fill(text);
    await who.getByLabel(label, { exact: true }).press('Enter');
  };
  const tuesday = who.getByRole('button', { name: /^Tuesday/ });
  await tuesday.click();
  await type('Helpers', '2');
  await type('They come at', '12:30');
  await expect(tuesday).toContainText('2 helpers 12:30 to 16:00');
  await expect(end).not.toHaveText(before, { timeout: 20_000 });
  await type('They leave at', '12');
  await expect(who.getByText(/^Work on Tuesdays goes from 8:00 to 16:00\. Expected a helper within these hours/)).toBeVisible();
  await who.getByRole('button', { name: 'As on other days' }).click();
  await expect(end).toHaveText(before, { timeout: 20_000 });
  // One day by itself is reached from the list of days.
  await page
    .getByRole('button', { name: /^Who is there on Wed/ })
    .first()
    .click();
  await type('To', '12.30');
  await expect(page.getByRole('heading', { name: /^Wed/ }).last()).toBeVisible();
  await who.getByRole('button', { name: 'As on other Wednesdays' }).click();
  await expect(end).toHaveText(before, { timeout: 20_000 });
});

test('the days go to a calendar and come back: a work that was put later stays there, a strange file is refused', async ({ page }) => {
  await page.goto(server.address + JOB + '/days');
  const grouting = page.getByRole('button', { name: /^Grouting and washing, Shop floor/ }).first();
  await expect(grouting).toBeVisible({ timeout: 60_000 });
  const before = await grouting.getAttribute('aria-label');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'For my calendar' }).click();
  const calendar = readFileSync(await (await download).path(), 'utf8');
  // As a calendar does when an entry is dragged: the first stretch of grouting begins in another month.
  const [id] = /UID:\S*grout_\S*shop-floor\/0@azulejo/.exec(calendar) ?? [];
  const at = calendar.indexOf(id ?? '?');
  const moved = calendar.slice(0, at) + calendar.slice(at).replace(/DTSTART(:|;[^:]*:)\d{8}/, 'DTSTART$120270301');
  const bring = (name: string, text: string) =>
    page.locator('input[type=file]').setInputFiles({ name, mimeType: 'text/calendar', buffer: Buffer.from(text) });
  await bring('elsewhere.ics', 'no calendar at all');
  await expect(page.getByText(/no calendar that can be read/)).toBeVisible();
  await bring('days.ics', moved);
  await expect(page.getByText(/^Later than before: Grouting and washing, Shop floor/)).toBeVisible();
  await expect(grouting).not.toHaveAttribute('aria-label', before ?? '', { timeout: 20_000 });
});

test('the worst is told first, three at once; a link opens the part of its field, and the focus stands there', async ({ page }) => {
  await page.goto(`${server.address}${JOB}/surfaces/shop-floor/setout`);
  const found = page.getByRole('region', { name: 'Look at' });
  await expect(found.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 });
  await expect(found.getByRole('listitem').first()).toContainText('Finishes 3.5 mm above the store floor');
  await found.getByRole('button', { name: /more to look at/ }).click();
  expect(await found.getByRole('listitem').count()).toBeGreaterThan(3);
  await found.getByRole('button', { name: 'Why' }).first().click();
  await expect(found.getByText('Try it on a spare piece first.')).toBeVisible();
  await found.getByRole('link', { name: 'Change place and works' }).first().click();
  await expect(page).toHaveURL(/\/tile$/, { timeout: 30_000 });
  const grout = page.getByLabel('Grout', { exact: true });
  await expect(grout).toBeFocused();
  await expect(grout).toBeInViewport();
  // It was tried before it was offered, and is what it says.
  await found.getByRole('button', { name: 'Take grout without sand' }).click({ timeout: 60_000 });
  await expect(found.getByText(/Sand in the grout/)).toHaveCount(0, { timeout: 60_000 });
  // A field that is not there leads to the form it would stand in.
  await page.goto(`${server.address}${JOB}/surfaces/shop-floor/measure?at=measured.fixtures.99.clearanceMm`);
  await expect(page).toHaveURL(/\/measure$/, { timeout: 30_000 });
  await expect(page.getByRole('heading', { name: 'Fixtures' })).toBeVisible();
});
