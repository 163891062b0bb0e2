import { expect, test } from './onePerson.ts';
import { RunningServer } from '@azulejo/server/running';
import { fill } from './measuring.ts';
import { choose, JOB, part, SAMPLES, tiling } from './tiling.ts';
import { demoPart } from './demoPart.ts';

const DEMO = demoPart('tidewater-bakehouse', /^steps/);
const BOARDS = demoPart('sample-boards', /^checkers$/, /^sheet$/);
const server = new RunningServer();
test.use({ opensAnew: true });
test.beforeAll(() => server.start('--add-job', DEMO, '--add-job', BOARDS));
test.afterAll(() => server.remove());

const { open, stored, storedJob } = tiling(server);

test('pieces are mixed, and chips of a sheet chosen, without a mouse', async ({ page }) => {
  await open(page, 'checkers', 'tile', SAMPLES);
  await part(page, 'Colours');
  await page.getByTestId('board').focus();
  const byHand = async () => Object.entries((await stored(page, 'checkers', SAMPLES)).colours.byHand);
  for (const key of ['ArrowRight', 'ArrowRight', 'ArrowUp']) await page.keyboard.press(key);
  const before = await byHand();
  await page.keyboard.press('Enter');
  expect(await byHand()).toHaveLength(before.length + 1);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Space');
  expect(await byHand()).toHaveLength(before.length + 2);

  await open(page, 'sheet', 'tile', SAMPLES);
  await page.getByRole('button', { name: 'Sizes and price' }).click();
  await page.getByRole('button', { name: 'Change chips and repeat' }).click();
  const sheet = page.getByRole('dialog', { name: 'The sheet' });
  await expect(sheet.getByRole('application')).toBeFocused();
  await sheet.getByRole('button', { name: 'Chips', exact: true }).click();
  await sheet.getByRole('application').focus();
  for (const key of ['ArrowRight', 'ArrowRight', 'Enter']) await page.keyboard.press(key);
  const middle = sheet.getByLabel('Middle, from the left');
  await expect(middle).toBeVisible();
  const at = await middle.inputValue();
  for (const key of ['ArrowRight', 'Enter']) await page.keyboard.press(key);
  await expect(middle).not.toHaveValue(at);
});

test('a room is laid in one go: the treads alike, the risers as they were, and one undo takes it back', async ({ page }) => {
  const flight = async () => (await storedJob(page)).surfaces.filter(({ id }) => id.startsWith('steps-'));
  await page.goto(`${server.address}${JOB}`);
  const before = await flight();
  await page
    .locator('header', { has: page.getByRole('heading', { name: 'Steps to the flat' }) })
    .getByRole('button', { name: 'Lay the whole room' })
    .click();
  const dialog = page.getByRole('dialog', { name: 'Lay Steps to the flat' });
  await dialog.getByRole('button', { name: 'Floors' }).click();
  await choose(page, 'Tile', 'Loaf brick');
  await dialog.getByRole('radio', { name: 'Herringbone' }).click();
  await fill(page, 'Joint', '4');
  await choose(page, 'Edge: left', 'seen first');
  await fill(page, 'Gap: seen first', '3');
  await dialog.getByRole('button', { name: 'Lay 5 surfaces' }).click();
  await expect(dialog).toHaveCount(0);
  const after = await flight();
  for (const [k, surface] of after.entries()) {
    if (surface.kind === 'wall') expect(surface).toEqual(before[k]);
    else {
      expect(surface).toMatchObject({ productId: 'loaf-brick', jointMm: 4, pattern: { kind: 'herringbone' } });
      expect(surface.measured.roles['left']).toBe('focal');
      expect(surface.measured.gapsMm.focal).toBe(3);
    }
  }
  await page.getByRole('button', { name: 'Undo' }).click();
  expect(await flight()).toEqual(before);
});
