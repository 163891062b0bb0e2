import { expect, test } from '@playwright/test';
import { RunningServer } from '@azulejo/server/running';
import { choose, fill, measuring, part, saved, surfaceNamed, toMeasure } from './measuring.ts';
import { demoPart } from './demoPart.ts';

const DEMO = demoPart('tidewater-bakehouse', /^splashback$/);
const server = new RunningServer();
test.beforeAll(() => server.start('--add-job', DEMO));
test.afterAll(() => server.remove());

const { start, storedJob } = measuring(server);

test('an L kitchen with a cabinet run left out and an appliance bay tiled; what can not be is refused', async ({ page }) => {
  await start(page, 'L');
  await fill(page, 'Width over all', '4200');
  await fill(page, 'Height over all', '3300');
  await fill(page, 'Missing corner, width', '4300');
  await expect(page.getByText('The parts come to 4300 mm, but the whole they lie in is 4200 mm')).toBeHidden();
  await fill(page, 'Missing corner, height', '1100');
  await expect(page.getByText(/The parts come to 4300 mm/)).toBeVisible();
  await fill(page, 'Missing corner, width', '1400');
  await fill(page, 'Missing corner, height', '1100');
  await fill(page, 'Name', 'L kitchen');
  await page.getByRole('button', { name: 'Set it out' }).click();
  await toMeasure(page);
  await part(page, 'Fixtures');
  await page.getByRole('button', { name: 'Add a fixture' }).click();
  await page.getByRole('button', { name: 'Appliance bay', exact: true }).click();
  await page.getByLabel('to its near side').last().fill('0');
  await fill(page, 'Width', '4000');
  await expect(page.getByText(/"Appliance bay" reaches outside the surface/)).toBeVisible();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('4000');
  await page.getByLabel('to its near side').first().fill('0');
  await page.getByLabel('to its near side').first().press('Enter');
  await expect(page.getByText(/"Appliance bay" reaches outside the surface/)).toBeHidden();
  await expect(page.getByText('4000 x 600 mm')).toBeVisible();
  await page.getByRole('button', { name: 'Add a fixture' }).click();
  await page.getByRole('button', { name: 'Cabinet', exact: true }).click();
  await choose(page, 'Outline', 'L');
  await fill(page, 'to its near side', '9000');
  await expect(page.getByText(/"Cabinet" reaches outside the surface/)).toBeVisible();
  await part(page, 'Edges');
  await choose(page, 'inner right', 'threshold');
  const { measured } = surfaceNamed(await storedJob(page), 'L kitchen');
  expect(measured.roles['inner-right']).toBe('threshold');
  expect(measured.fixtures.map(({ kind, tiledUnder, outline }) => [kind, tiledUnder, outline.kind])).toEqual([
    ['applianceBay', true, 'rectangle'],
    ['cabinet', false, 'shape'],
  ]);
});

test('five sockets in a row: those that would stand outside are refused, then all stand', async ({ page }) => {
  await start(page, 'Rectangle', 'Wall');
  await fill(page, 'Left to right', '2400');
  await page.getByLabel('Name', { exact: true }).fill('Worktop wall');
  await page.getByLabel('Bottom to top', { exact: true }).fill('600');
  await page.getByRole('button', { name: 'Set it out' }).click();
  await toMeasure(page);
  await part(page, 'Fixtures');
  await page.getByRole('button', { name: 'Add a fixture' }).click();
  await page.getByRole('button', { name: 'Socket', exact: true }).click();
  await page.getByLabel('to its near side').first().fill('200');
  await page.getByLabel('to its near side').first().press('Enter');
  await page.getByRole('button', { name: 'Copies in a row' }).click();
  await fill(page, 'Copies', '4');
  await fill(page, 'Spacing', '600');
  await page.getByRole('button', { name: 'Make 4 copies' }).click();
  await expect(page.getByText(/"Socket 5" reaches outside the surface/)).toBeVisible();
  await fill(page, 'Spacing', '450');
  await page.getByRole('button', { name: 'Make 4 copies' }).click();
  await saved(page);
  const { measured } = surfaceNamed(await storedJob(page), 'Worktop wall');
  expect(measured.fixtures.map(({ name, from }) => [name, from[0].mm])).toEqual([
    ['Socket', 200],
    ['Socket 2', 650],
    ['Socket 3', 1100],
    ['Socket 4', 1550],
    ['Socket 5', 2000],
  ]);
});

test('a movement joint goes on through the tiles: drawn, marked, sealed, refused where there is no floor, and closed with a profile', async ({
  page,
}) => {
  await start(page, 'Rectangle');
  await fill(page, 'Left to right', '4000');
  await page.getByLabel('Name', { exact: true }).fill('Store floor');
  await page.getByLabel('Bottom to top', { exact: true }).fill('3000');
  await page.getByRole('button', { name: 'Set it out' }).click();
  await toMeasure(page);
  await part(page, 'Fixtures');
  await page.getByRole('button', { name: 'Joint through the tiles' }).click();
  await choose(page, 'Measured from', 'left');
  await fill(page, 'In from that edge', '4200');
  await expect(page.getByText('This joint runs outside the surface. Expected less than 4000 mm from the left edge')).toBeVisible();
  await expect(page.getByLabel('In from that edge')).toHaveValue('4200');
  await fill(page, 'In from that edge', '1733');
  await page.getByLabel('Width', { exact: true }).last().fill('8');
  await page.getByLabel('Width', { exact: true }).last().press('Enter');
  await page.getByRole('button', { name: 'Joint through the tiles' }).click();
  await page.getByRole('combobox', { name: 'Under it lies' }).last().click();
  await page.getByRole('option', { name: 'crack', exact: true }).click();
  await expect(page.getByText('A crack runs under these tiles: have it looked at before you tile over it.')).toBeVisible();
  await page.getByRole('button', { name: 'Remove this joint' }).last().click();
  await saved(page);
  const { measured } = surfaceNamed(await storedJob(page), 'Store floor');
  expect(measured.carriedJoints).toMatchObject([{ kind: 'movement', edge: 'left', fromStartMm: 1733, fromEndMm: 1733, widthMm: 8 }]);
  await choose(page, 'Closed with', 'profile');
  await page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name: 'Set out' }).click();
  await page.getByRole('button', { name: 'Lines', exact: true }).click();
  await expect(page.getByText('Movement joint, the middle of 8 mm: 1733 at both ends, from the left edge.')).toBeVisible();
  await page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name: 'Order' }).click();
  await expect(page.getByText('Movement-joint profile').first()).toBeVisible();
});

test('a round counter with a sink that is dragged into place', async ({ page }) => {
  await start(page, 'Rectangle', 'Countertop');
  await fill(page, 'Left to right', '1.8 m');
  await page.getByLabel('Name', { exact: true }).fill('Round counter');
  await page.getByLabel('Bottom to top', { exact: true }).fill('640');
  await page.getByRole('button', { name: 'Set it out' }).click();
  await toMeasure(page);
  await page.getByRole('button', { name: /Measure it wall by wall/ }).click();
  await page.getByRole('button', { name: 'More about wall B–C' }).click();
  await choose(page, 'Runs', 'Arc, by its radius');
  await fill(page, 'Radius', '300');
  await expect(page.getByText("A radius of 300 mm can't span 640 mm. Expected at least 320 mm.")).toBeVisible();
  await fill(page, 'Radius', '320');
  await expect(page.getByText('That is a rise of 320 mm')).toBeVisible();
  await part(page, 'Fixtures');
  await page.getByRole('button', { name: 'Add a fixture' }).click();
  await page.getByRole('button', { name: 'Sink', exact: true }).click();
  await saved(page);
  const before = surfaceNamed(await storedJob(page), 'Round counter').measured.fixtures[0].from.map(({ mm }) => mm);
  const board = await page.getByTestId('board').boundingBox();
  if (!board) throw new Error('there is no board on the page');
  const [x, y] = [board.x + board.width * 0.5, board.y + board.height * 0.5];
  await page.mouse.move(x - 40, y);
  await page.mouse.down();
  await page.mouse.move(x - 90, y, { steps: 8 });
  await page.mouse.up();
  await expect
    .poll(async () => surfaceNamed(await storedJob(page), 'Round counter').measured.fixtures[0].from.map(({ mm }) => mm))
    .not.toEqual(before);
  const { measured } = surfaceNamed(await storedJob(page), 'Round counter');
  expect(measured.shape).toMatchObject({ kind: 'walls', walls: [{}, { curve: { by: 'radius', radiusMm: 320 } }, {}, {}] });
  expect(measured.fixtures[0].from.every(({ mm }) => Number.isInteger(mm))).toBe(true);
});
