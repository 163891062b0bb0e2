import { expect, test, type Page } from './onePerson.ts';
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { RunningServer } from '@azulejo/server/running';

const CLI = fileURLToPath(new URL('../cli/dist/main.js', import.meta.url));
const server = new RunningServer();
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

const saved = (page: Page) => expect(page.getByTestId('save-state')).toHaveText('Saved');
const type = async (page: Page, label: string, text: string): Promise<void> => {
  await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByLabel(label, { exact: true }).press('Enter');
};
/** The list of tiles scrolls to the chosen one when it opens; the search leaves the one that is wanted. */
const chooseTile = async (page: Page, option: string): Promise<void> => {
  await page.getByRole('combobox', { name: 'Tile', exact: true }).click();
  await page.getByPlaceholder('Search name or material').fill(option);
  await page.getByRole('option', { name: option }).click();
  await expect(page.getByRole('combobox', { name: 'Tile', exact: true })).toContainText(option);
};
const step = (page: Page, name: string) => page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name }).click();
const end = (page: Page, side: string) => page.getByTestId(`end-${side}`);

/** The worked wall of 2314 with pieces of 297.5, from nothing. */
test('from two lengths to a cut list and an order', async ({ page }) => {
  await page.goto(server.address);
  await page.getByRole('button', { name: 'New job' }).first().click();
  await expect(page.getByLabel('Name', { exact: true })).toBeFocused();
  await page.getByLabel('Name', { exact: true }).fill('Pier wall');
  await page.getByRole('button', { name: 'Start', exact: true }).click();

  await page.getByRole('link', { name: 'Measure the first surface' }).click();
  await page.getByText('Wall', { exact: true }).click();
  await type(page, 'Left to right', 'about two');
  await expect(page.getByText('"about two" can\'t be read as a length')).toBeVisible();
  await expect(page.getByLabel('Left to right')).toHaveValue('about two');
  await type(page, 'Left to right', '2.314 m');
  await page.getByLabel('Bottom to top').fill('121.5 cm');
  await page.getByRole('button', { name: 'Set it out' }).click();
  await expect(page.getByText('Starts to compare')).toBeVisible();

  await step(page, 'Tile');
  await page.getByRole('button', { name: 'Own tile' }).click();
  await expect(page.getByRole('dialog').getByLabel('Name')).toBeFocused();
  await page.getByRole('dialog').getByLabel('Name').fill('Pier tile');
  await type(page, 'Width, mean', '297.5');
  await type(page, 'Height, mean', '297.5');
  await page.getByRole('button', { name: 'Add and lay it here' }).click();
  await page.getByRole('button', { name: 'Pattern', exact: true }).click();
  await expect(page.getByRole('radio', { name: /^Basket weave.*in / })).toBeVisible();
  await page.getByRole('radio', { name: 'Herringbone' }).click();
  await page.getByText('Double', { exact: true }).click();
  await page.getByRole('radio', { name: 'Random stagger' }).click();
  await page.getByRole('button', { name: 'Another stagger' }).click();
  await page.getByRole('radio', { name: 'Stack' }).click();
  await expect(page.getByRole('radio', { name: 'Stack' })).toBeChecked();
  await page.getByRole('button', { name: 'Tile', exact: true }).click();
  await chooseTile(page, 'Pier tile');
  await type(page, 'Joint', '400');
  await expect(page.getByText('A joint of 400 mm is as wide as the tile')).toBeVisible();
  await type(page, 'Joint', '3');
  await saved(page);

  await step(page, 'Set out');
  await expect(end(page, 'left')).toHaveText('249 mm');
  await page.keyboard.press('p');
  await expect(end(page, 'right')).toHaveText('99 mm');
  await page.keyboard.press('f');
  await expect(end(page, 'left')).toHaveText('full');
  await expect(end(page, 'right')).toHaveText('200.5 mm');
  await page.keyboard.press('ArrowRight');
  await expect(end(page, 'right')).toHaveText('199.5 mm');
  await page.keyboard.press('j');
  await expect(end(page, 'right')).toHaveText('249 mm');
  await page.getByRole('button', { name: 'By rule', exact: true }).click();

  const board = await page.getByTestId('board').boundingBox();
  if (!board) throw new Error('there is no board on the page');
  await page.mouse.move(board.x + board.width / 2, board.y + board.height / 2);
  await page.mouse.down();
  await page.mouse.move(board.x + board.width / 2 + 30, board.y + board.height / 2, { steps: 6 });
  await expect(end(page, 'left')).not.toHaveText('249 mm');
  await page.mouse.up();
  await expect(page.getByRole('radio', { name: /by hand/ }).first()).toBeChecked();
  await page.keyboard.press('Control+z');
  await expect(end(page, 'left')).toHaveText('249 mm');
  await page.reload();
  await expect(page.getByRole('button', { name: 'Redo' })).toBeEnabled();
  await page.getByRole('button', { name: 'By rule', exact: true }).click();
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByRole('radio', { name: /by hand/ }).first()).toBeChecked();
  await page.keyboard.press('Control+z');
  await saved(page);

  await step(page, 'Measure');
  await page.getByRole('button', { name: 'Fixtures' }).click();
  await page.getByRole('button', { name: 'Add a fixture' }).click();
  await page.getByRole('button', { name: 'Pipe', exact: true }).click();
  await type(page, 'Outer diameter', '60');
  await page.getByLabel('to its centre').first().fill('5000');
  await page.getByLabel('to its centre').first().press('Enter');
  await expect(page.getByText('"Pipe" reaches outside the surface')).toBeVisible();
  await page.getByLabel('to its centre').first().fill('1000');
  await page.getByLabel('to its centre').first().press('Enter');
  await saved(page);

  await step(page, 'Cuts');
  const group = page.getByRole('button', { name: /249 x 297.5 mm/ });
  await expect(group).toContainText('off');
  await group.click();
  const piece = page.getByRole('group', { name: 'Pieces of this cut' }).getByRole('button').first();
  const label = await piece.textContent();
  await piece.click();
  await expect(page.getByText(`${label} comes from`)).toBeVisible();
  await page.keyboard.press('c');
  await expect(page.getByText(/^1 of \d+ cut, none laid\.$/)).toBeVisible();
  await page.reload();
  await page.getByLabel('Find a piece by its label').fill(String(label));
  await expect(page.getByRole('button', { name: `${label} is laid` })).toBeVisible();
  await expect(page.getByText(/^1 of \d+ cut/)).toBeVisible();
  await page.getByTestId('board').click({ position: { x: 110, y: board.height / 2 + 40 } });
  await expect(page.getByRole('group', { name: 'Pieces of this cut' }).getByRole('button', { pressed: true })).toBeVisible();

  await compareFigures(page);
});

/** Screen, command line, CSV and PDF say the same; then the job file is read back. */
async function compareFigures(page: Page): Promise<void> {
  await step(page, 'Order');
  const tiles = await page.getByTestId(/^need-tiles\//).textContent();
  const total = await page.getByTestId('order-total').textContent();
  await page.getByRole('button', { name: /Pier tile: how/ }).click();
  await expect(page.getByText(/left with the client/)).toBeVisible();

  const jobId = /jobs\/([^/]+)/.exec(page.url())?.[1] ?? '';
  const load = async (what: string): Promise<Buffer> =>
    (await page.request.get(`${server.address}/api/jobs/${jobId}/exports/${what}`)).body();
  const file = join(server.folder, 'pier.json');
  writeFileSync(file, await load('job'));
  const plan = JSON.parse(execFileSync(process.execPath, [CLI, file], { encoding: 'utf8', maxBuffer: 1e8 }));
  expect(`${plan.materials[0].quantity} pieces`).toBe(tiles);
  expect(plan.money.total.toFixed(2)).toBe(total);
  expect((await load('order')).toString()).toContain(`Pier tile,${plan.materials[0].quantity},piece`);

  const sheet = join(server.folder, 'paper.pdf');
  writeFileSync(sheet, await load(`paper?surface=${plan.surfaces[0].id}`));
  const text = execFileSync('pdftotext', ['-layout', sheet, '-'], { encoding: 'utf8' });
  const { whole, cut, opened } = plan.surfaces[0].totals;
  expect(text.replace(/\s+/g, ' ')).toContain(`${whole} whole, ${cut} cut, ${opened} tiles opened`);
  expect(text).toContain('249 x 297.5 mm');

  await page.goto(server.address);
  await page.getByRole('button', { name: 'Delete Pier wall' }).click();
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(page.getByText('Start with two lengths')).toBeVisible();
  const broken = join(server.folder, 'broken.json');
  writeFileSync(broken, readFileSync(file, 'utf8').replace(/"version": \d+/, '"version": 9'));
  await page.getByLabel('Job file').setInputFiles(broken);
  await expect(page.getByText(/newer Azulejo \(version 9/)).toBeVisible();
  await page.getByLabel('Job file').setInputFiles(file);
  await expect(page.getByRole('heading', { name: 'Pier wall' })).toBeVisible();
  await expect(page.getByText('Wall 1', { exact: true })).toBeVisible();
}
