import { expect, test, type Page } from './onePerson.ts';
import { readFileSync } from 'node:fs';
import { RunningServer } from '@azulejo/server/running';
import { expectWithinReachOfBoth } from './reach.ts';
import { fill, saved } from './measuring.ts';
import { choose, part, SAMPLES, tiling } from './tiling.ts';
import { demoPart } from './demoPart.ts';

const DEMO = demoPart('tidewater-bakehouse', /^counter$/, /^oven-wall$/, /^steps-tread/, /^niche/);
const BOARDS = demoPart('sample-boards', /^checkers$/, /^sheet$/);
const server = new RunningServer();
test.use({ opensAnew: true });
test.beforeAll(() => server.start('--add-job', DEMO, '--add-job', BOARDS));
test.afterAll(() => server.remove());

const { open, stored } = tiling(server);
async function tapBoard(page: Page, x: number, y: number): Promise<void> {
  const box = await page.getByTestId('board').boundingBox();
  if (!box) throw new Error('there is no board on the page');
  await page.mouse.click(box.x + box.width * x, box.y + box.height * y);
}

test('every pattern that the list can be laid in is chosen from its picture, and is drawn without a complaint', async ({ page }) => {
  const complaints: string[] = [];
  page.on('pageerror', (error) => complaints.push(error.message));
  await open(page, 'steps-tread-5');
  await part(page, 'Pattern');
  const kinds = page.getByRole('radiogroup', { name: 'Pattern' }).getByRole('radio');
  const count = await kinds.count();
  expect(count).toBeGreaterThan(20);
  for (let k = 0; k < count; k++) {
    await expect(kinds.nth(k)).toBeEnabled();
    await expect(kinds.nth(k).locator('..').locator('path').first()).toBeAttached();
    await kinds.nth(k).click();
    await expect(kinds.nth(k)).toBeChecked();
    await saved(page);
  }
  await expect(page.getByText('could not be computed')).toHaveCount(0);
  expect(complaints).toEqual([]);
});

test('turned, mirrored, mixed by rule and by hand, seen as it will look', async ({ page }) => {
  await open(page, 'checkers', 'tile', SAMPLES);
  await part(page, 'Pattern');
  const whole = page.getByRole('radiogroup', { name: 'Pattern' });
  const before = await page.getByTestId('board').screenshot();
  await whole.getByRole('radio', { name: 'Running bond' }).hover();
  await expect.poll(async () => (await page.getByTestId('board').screenshot()).equals(before)).toBe(false);
  expect((await stored(page, 'checkers', SAMPLES)).pattern.kind).toBe('stack');
  await page.getByRole('heading', { level: 1 }).hover();
  await fill(page, 'or by this angle', '30');
  await page.getByText('Mirrored', { exact: true }).click();
  await part(page, 'Colours');
  await choose(page, 'Mixed', 'At random');
  await page.getByRole('button', { name: 'Draw again' }).click();
  await tapBoard(page, 0.5, 0.55);
  await expect(page.getByRole('button', { name: /one piece given by hand/ })).toBeVisible();
  await page.getByText('The finished look', { exact: true }).click();
  const { turnDeg, mirrored, colours } = await stored(page, 'checkers', SAMPLES);
  expect({ turnDeg, mirrored }).toEqual({ turnDeg: 30, mirrored: true });
  expect(colours.rule).toMatchObject({ kind: 'random', seed: 2 });
  expect(Object.values(colours.byHand)).toHaveLength(1);
  await page.keyboard.press('Control+z');
  expect((await stored(page, 'checkers', SAMPLES)).colours.byHand).toEqual({});
});

test('a border, a band and a rug; a rug that lies outside is refused beside its field', async ({ page }) => {
  await open(page, 'oven-wall');
  await part(page, 'Set in');
  await page.getByRole('button', { name: 'Add a band' }).click();
  await page.getByRole('button', { name: 'Add an inset' }).click();
  await fill(page, 'to its near side', '9 m');
  await expect(page.getByText('The inset "Inset 1" lies outside the field.')).toBeVisible();
  await expect(page.getByLabel('to its near side').first()).toHaveValue('9 m');
  await fill(page, 'to its near side', '900');
  await fill(page, 'Width', '800');
  const before = (await stored(page, 'oven-wall')).insets[0].from.map(({ mm }) => mm);
  const board = await page.getByTestId('board').boundingBox();
  if (!board) throw new Error('there is no board on the page');
  await page.mouse.move(board.x + board.width * 0.5, board.y + board.height * 0.55);
  await page.mouse.down();
  await page.mouse.move(board.x + board.width * 0.5 + 30, board.y + board.height * 0.55, { steps: 5 });
  await page.mouse.up();
  await expect.poll(async () => (await stored(page, 'oven-wall')).insets[0].from.map(({ mm }) => mm)).not.toEqual(before);
  await page.getByRole('button', { name: 'Its tile and pattern' }).click();
  await choose(page, 'Tile', 'Honey hexagon 200');
  const { insets, bands } = await stored(page, 'oven-wall');
  expect(bands).toHaveLength(1);
  expect(insets).toMatchObject([{ productId: 'honey-hex', pattern: { kind: 'hexagon' } }]);
});

test('stones of an ashlar are chosen on the drawing, split, locked and drawn again', async ({ page }) => {
  await open(page, 'counter');
  await part(page, 'Pattern');
  const before = (await stored(page, 'counter')).pattern;
  await expect(page.getByText('Every rule is kept.')).toBeVisible();
  // One of the places lies on a stone of more than one module.
  for (const x of [0.6, 0.66, 0.72, 0.55]) {
    await tapBoard(page, x, 0.5);
    await expect(page.getByText(/One stone chosen/)).toBeVisible();
    await page.getByRole('button', { name: 'Split' }).click();
    if ((await page.getByText('A single module can not be split').count()) === 0) break;
    await tapBoard(page, x, 0.5);
  }
  await expect
    .poll(async () => {
      const { pattern } = await stored(page, 'counter');
      return pattern.kind === 'ashlar' && before.kind === 'ashlar' ? (pattern.stones?.length ?? 0) - (before.stones?.length ?? 0) : 0;
    })
    .toBe(1);
  await tapBoard(page, 0.4, 0.62);
  await page.getByRole('button', { name: 'Lock' }).click();
  await page.getByRole('button', { name: 'Draw another' }).click();
  await expect.poll(async () => (await stored(page, 'counter')).pattern).toMatchObject({ seed: 2 });
});

test('a dialog takes the focus once: what is typed as soon as it stands stays where it was begun', async ({ page }) => {
  await open(page, 'steps-tread-4');
  await page.getByRole('button', { name: 'Own tile' }).evaluate((button: HTMLButtonElement) => {
    new MutationObserver((_, watching) => {
      const field = document.querySelectorAll<HTMLInputElement>('[role="dialog"] input')[3];
      if (!field) return;
      watching.disconnect();
      setTimeout(() => field.focus());
    }).observe(document.body, { childList: true, subtree: true });
    button.click();
  });
  const dialog = page.getByRole('dialog', { name: 'Own tile' });
  await page.waitForTimeout(600);
  await expect(dialog.getByRole('textbox').nth(3)).toBeFocused();
});

test('a tile of another outline that is added to be laid is laid, in the pattern that takes it', async ({ page }) => {
  await open(page, 'steps-tread-4');
  await page.getByRole('button', { name: 'Own tile' }).click();
  const dialog = page.getByRole('dialog', { name: 'Own tile' });
  await expect(dialog.getByLabel('Name', { exact: true })).toBeFocused();
  await dialog.getByRole('button', { name: 'Add and lay it here' }).click();
  await expect(dialog.getByRole('alert')).toHaveText('Expected a name for the tile.');
  await expect(dialog.getByRole('alert')).toBeInViewport();
  await dialog.getByLabel('Name', { exact: true }).fill('Slip hexagon');
  await dialog.getByRole('combobox', { name: 'Outline' }).click();
  await page.getByRole('option', { name: 'Hexagon', exact: true }).click();
  await dialog.getByRole('button', { name: 'Add and lay it here' }).click();
  await expect(page.getByRole('combobox', { name: 'Tile', exact: true })).toContainText('Slip hexagon');
  expect((await stored(page, 'steps-tread-4')).pattern.kind).toBe('hexagon');
});

test('a sheet of chips: mounted, painted, a motif that lies on itself refused, and laid', async ({ page }) => {
  await open(page, 'niche-leftSide');
  await page.getByRole('button', { name: 'Own tile' }).click();
  const dialog = page.getByRole('dialog', { name: 'Own tile' });
  await expect(dialog.getByLabel('Name', { exact: true })).toBeFocused();
  await dialog.getByLabel('Name', { exact: true }).fill('Harbour motif');
  await dialog.getByRole('combobox', { name: 'Outline' }).click();
  await page.getByRole('option', { name: 'Mosaic sheet' }).click();
  await dialog.getByRole('button', { name: 'Change chips and repeat' }).click();
  const sheet = page.getByRole('dialog', { name: 'The sheet' });
  await sheet.getByRole('button', { name: 'Mount', exact: true }).click();
  await sheet.getByRole('combobox', { name: 'Pattern of the chips' }).click();
  await page.getByRole('option', { name: 'Hexagon', exact: true }).click();
  await sheet.getByLabel('Chip, width').fill('40');
  await sheet.getByLabel('Chip, width').press('Enter');
  await sheet.getByRole('button', { name: 'Mount these chips' }).click();
  await expect(sheet.getByText(/edges reach into each other/)).toBeVisible();
  await expect(sheet.getByRole('status')).toContainText('the nearest sheet measures');
  await sheet.getByRole('button', { name: 'Colours', exact: true }).click();
  await sheet.getByRole('button', { name: 'Another colour' }).click();
  await sheet.locator('[data-chip="10"]').click();
  await sheet.getByRole('button', { name: 'Chips', exact: true }).click();
  await sheet.locator('[data-chip="10"]').click();
  const fromLeft = sheet.getByLabel('Middle, from the left');
  const was = await fromLeft.inputValue();
  await fromLeft.fill(String(Number(was) + 15));
  await fromLeft.press('Enter');
  await expect(sheet.getByText(/lie on each other/)).toBeVisible();
  await expect(sheet.getByRole('button', { name: 'Keep the sheet' })).toBeDisabled();
  await fromLeft.fill(was);
  await fromLeft.press('Enter');
  await sheet.getByRole('button', { name: 'Repeat', exact: true }).click();
  await sheet.getByLabel('To the next above').fill('500');
  await sheet.getByLabel('To the next above').press('Enter');
  await expect(sheet.getByText(/The sheet above stays/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(sheet.getByText(/not kept yet/)).toBeVisible();
  await page.keyboard.press('Escape');
  await dialog.getByRole('button', { name: 'Change chips and repeat' }).click();
  await sheet.getByRole('button', { name: 'Keep the sheet' }).click();
  await dialog.getByRole('button', { name: 'Add and lay it here' }).click();
  const { pattern, jointMm } = await stored(page, 'niche-leftSide');
  expect({ pattern, jointMm }).toEqual({ pattern: { kind: 'sheet' }, jointMm: 2 });
  await page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name: 'Cuts' }).click();
  await expect(page.getByRole('heading', { name: 'Harbour motif' })).toBeVisible();
  await page.getByText(/What (the part|each of the \d+ parts) keeps/).click();
  await expect(page.getByText(/from new sheet 1/).first()).toBeVisible();
});

test('the list of tiles: searched, asked for at the supplier, saved and read as a table with a bad cell', async ({ page }) => {
  await open(page, 'oven-wall');
  await page.getByRole('button', { name: 'Tile list' }).click();
  const dialog = page.getByRole('dialog', { name: 'Tiles of this job' });
  await dialog.getByLabel('Search the tiles').fill('glass mosaic');
  await expect(dialog.getByRole('listitem')).toHaveCount(2);
  await dialog.getByLabel('Search the tiles').fill('');
  await dialog.getByRole('button', { name: 'Ask the supplier' }).click();
  await expect(dialog.getByText(/a box, .*more in \d+ days/).first()).toBeVisible();
  const [download] = await Promise.all([page.waitForEvent('download'), dialog.getByRole('button', { name: 'Save as CSV' }).click()]);
  const rows = readFileSync(await download.path(), 'utf8').split('\n');
  const quay = rows.find((row) => row.startsWith('quay-300'));
  const table = [rows[0], quay?.replace('quay-300', 'quay-new'), quay?.replace('quay-300', 'quay-bad').replace(',300,', ',wide,')].join(
    '\n',
  );
  await dialog.locator('input[type=file]').setInputFiles({ name: 'tiles.csv', mimeType: 'text/csv', buffer: Buffer.from(table) });
  await expect(dialog.getByRole('alert')).toContainText('Row 3, width mm');
  await dialog.getByRole('button', { name: 'Keep the one good row' }).click();
  await expect(dialog.getByText('One tile read from the table.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Delete Oven brick 240 x 65' }).click();
  await expect(dialog.getByText(/is laid on Oven wall/)).toBeVisible();
});

test('patterns, colours, insets, sheets and the list are within reach of everyone, in light and in dark on a phone', async ({ page }) => {
  const check = () => expectWithinReachOfBoth(page);
  await open(page, 'counter');
  for (const tab of ['Pattern', 'Colours', 'Set in']) {
    await part(page, tab);
    await check();
  }
  await open(page, 'niche-back', 'cuts');
  await check();
  await open(page, 'niche-back');
  await page.getByRole('button', { name: 'Tile list' }).click();
  await check();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Sizes and price' }).click();
  await check();
  await page.getByRole('button', { name: 'Change chips and repeat' }).click();
  for (const tab of ['Mount', 'Colours', 'Chips', 'Repeat']) {
    await page.getByRole('dialog', { name: 'The sheet' }).getByRole('button', { name: tab, exact: true }).click();
    await check();
  }
});
