import { expect, test, type Page } from '@playwright/test';
import { RunningServer } from '@azulejo/server/running';

const server = new RunningServer();
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, colorScheme: 'dark' });

const fill = async (page: Page, label: string, text: string, nth = 0): Promise<void> => {
  const field = page.getByLabel(label, { exact: true }).nth(nth);
  await field.fill(text);
  await field.press('Enter');
};
const step = (page: Page, name: string) => page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name }).tap();
const end = (page: Page, side: string) => page.getByTestId(`end-${side}`);
const choose = async (page: Page, field: string, option: string): Promise<void> => {
  await page.getByRole('combobox', { name: field, exact: true }).tap();
  if (field === 'Tile') await page.getByPlaceholder('Search name or material').fill(option);
  await page.getByRole('option', { name: option, exact: true }).tap();
  await expect(page.getByRole('listbox')).toHaveCount(0);
};

/** The worked wall in inches: 58 3/8, pieces of 11 13/16, joint 1/8, perimeter 3/16. */
test('one-handed, in feet and inches: a wall, its edges, a box, a doorway, and back', async ({ page }) => {
  await page.goto(server.address);
  await page.getByRole('button', { name: 'New job' }).first().tap();
  await page.getByLabel('Name', { exact: true }).fill('Net loft');
  await page.getByRole('dialog').getByText('Feet and inches').tap();
  await page.getByRole('button', { name: 'Start', exact: true }).tap();
  await page.getByRole('link', { name: 'Surface', exact: true }).tap();
  await fill(page, 'Left to right', '58 3/8');
  await fill(page, 'Bottom to top', '4\' 2 1/2"');
  await expect(page.getByText('Starts to compare')).toBeVisible();

  await step(page, 'Measure');
  await expect(page.getByLabel('Width, left to right')).toHaveValue('58 3/8"');
  await page.getByRole('button', { name: 'Edges' }).tap();
  await fill(page, 'wall', '3/16');
  await step(page, 'Tile');
  await choose(page, 'Tile', 'Harbour blue 12 in');
  await fill(page, 'Joint', '1/8');

  await step(page, 'Set out');
  await page.getByRole('button', { name: 'By rule', exact: true }).tap();
  await page
    .getByRole('radio', { name: /^a joint on the centre line/i })
    .first()
    .tap();
  await expect(end(page, 'left')).toHaveText('5 1/16"');
  await page
    .getByRole('radio', { name: /^a piece on the centre line/i })
    .first()
    .tap();
  await expect(end(page, 'right')).toHaveText(/^11 1\/16"$|^11"$/);

  await step(page, 'Measure');
  await choose(page, 'right', 'exposed end');
  await fill(page, 'exposed end', '0');
  await page.getByRole('button', { name: 'Fixtures' }).tap();
  await page.getByRole('button', { name: 'Add a fixture' }).tap();
  await page.getByRole('button', { name: 'Cut-out', exact: true }).tap();
  await fill(page, 'Width', '4 1/4');
  await page.getByText('Tiled under', { exact: true }).tap();
  await page.getByText('Left out', { exact: true }).tap();
  await page.getByRole('button', { name: 'Doorway', exact: true }).tap();
  await fill(page, 'Clear width', '99');
  await expect(page.getByText(/The doorway ends .* along the bottom edge/)).toBeVisible();
  await fill(page, 'Clear width', '30');
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  await page.getByRole('button', { name: 'Edges' }).tap();
  await choose(page, 'door 1', 'exposed end');

  await step(page, 'Cuts');
  await expect(page.getByText(/different cuts for \d+ pieces/)).toBeVisible();
  await expect(page.getByText('cut edge shows').first()).toBeVisible();
  for (let k = 0; k < 4; k++) await page.getByRole('button', { name: 'Undo' }).tap();
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  await step(page, 'Measure');
  await page.getByRole('button', { name: 'Fixtures' }).tap();
  await expect(page.getByRole('button', { name: 'Remove this doorway' })).toHaveCount(0);

  await step(page, 'Job');
  await page.getByRole('button', { name: 'Details' }).tap();
  await page.getByText('1/8 in').tap();
  await page.getByText('Light or heavy').tap();
  await expect(page.getByText('A wall of 2314.3 mm then reads')).toContainText('91 1/8"');
  await page.getByRole('button', { name: 'Done' }).tap();
  await page.getByRole('button', { name: /^Delete Floor 1/ }).tap();
  await expect(page.getByText('No surface yet')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).tap();
  await expect(page.getByRole('heading', { name: 'Floor 1' })).toBeVisible();
});

/** A room with a step in it, walked with one thumb: a length, a turn, and the drawing grows. */
test('one wall at a time on a phone, and back when one was wrong', async ({ page }) => {
  await page.goto(server.address);
  await page.getByRole('button', { name: 'New job' }).first().tap();
  await page.getByLabel('Name', { exact: true }).fill('Rope walk');
  await page.getByRole('button', { name: 'Start', exact: true }).tap();
  await page.getByRole('link', { name: 'Measure the first surface' }).tap();
  await page.getByRole('radio', { name: 'Wall by wall' }).tap();
  const wall = async (mm: string, turn: string): Promise<void> => {
    await page.getByLabel(/^Wall from/).fill(mm);
    await page.getByLabel(/^Wall from/).press('Enter');
    await page.getByRole('button', { name: turn }).tap();
  };
  await page.getByRole('button', { name: 'Square left' }).tap();
  await expect(page.getByText('Type the length of this wall first.')).toBeVisible();
  await wall('4200', 'Square left');
  await wall('3100', 'Square left');
  await wall('1500', 'Square left');
  await page.getByRole('button', { name: 'Back one wall' }).tap();
  await expect(page.getByLabel('Wall from C')).toHaveValue('1500');
  await page.getByRole('button', { name: 'Square right' }).tap();
  await wall('900', 'Square left');
  await wall('2700', 'Square left');
  for (const button of await page.locator('.turn').all()) expect((await button.boundingBox())?.height).toBeGreaterThanOrEqual(44);
  await page.getByRole('button', { name: /^Close with a straight wall of 4000 mm/ }).tap();
  await expect(page.getByText('6 walls, closed.')).toBeVisible();
  await page.getByRole('button', { name: 'Set it out' }).tap();
  await expect(page.getByText('Starts to compare')).toBeVisible();
});
