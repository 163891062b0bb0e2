import { expect, test } from './onePerson.ts';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { RunningServer } from '@azulejo/server/running';
import { demoPart } from './demoPart.ts';
import { choose, fill, measuring, part, surfaceNamed, toMeasure } from './measuring.ts';

const DEMO = demoPart('tidewater-bakehouse', /^shop-floor$/, /^splashback$/, /^washroom/, /^flat-kitchen$/, /^shower-wall-3$/);
const server = new RunningServer();
test.use({ opensAnew: true });
test.beforeAll(() => server.start('--add-job', DEMO));
test.afterAll(() => server.remove());

const JOB = '/jobs/tidewater-bakehouse';
const { start, storedJob } = measuring(server);

test('a skew room: one wall at a time, then diagonals; a misread wall is named and mended', async ({ page }) => {
  await start(page, 'Wall by wall');
  for (const mm of ['3612', '2710', '3588']) {
    await fill(page, /^Wall from/, mm);
    await page.getByRole('button', { name: 'Square left' }).click();
  }
  await fill(page, 'Wall from D', '2695');
  await expect(page.getByText('4 walls, closed. 28.5 mm stay open and are spread over the corners.')).toBeVisible();
  await fill(page, 'Name', 'Skew store');
  await page.getByRole('button', { name: 'Set it out' }).click();
  await expect(page.getByText('Starts to compare')).toBeVisible();
  await toMeasure(page);
  await expect(page.getByTestId('judgement')).toContainText('Nothing checks these walls yet');
  for (const [from, to, mm] of [
    ['A', 'C', '4532'],
    ['B', 'D', '4471'],
  ]) {
    await expect(page.getByLabel('From corner')).toContainText(from);
    await expect(page.getByLabel('to corner', { exact: true })).toContainText(to);
    await fill(page, 'New diagonal', mm);
    await expect(page.getByLabel(`${from}–${to}`, { exact: true })).toHaveValue(mm);
  }
  await expect(page.getByTestId('judgement')).toContainText('The readings agree');
  await fill(page, 'A–B', '361');
  await expect(page.getByText(/can't be/).first()).toBeVisible();
  await expect(page.getByLabel('A–B', { exact: true })).toHaveValue('361');
  await fill(page, 'A–B', '3640');
  await expect(page.getByTestId('judgement')).toContainText('Something was misread by about');
  await expect(page.getByRole('region', { name: 'Look at' })).toContainText('Something was misread by about');
  await fill(page, 'A–B', '3612');
  await expect(page.getByTestId('judgement')).toContainText('The readings agree');
  await fill(page, 'They are apart', '4512');
  await expect(page.getByTestId('square-reading')).toContainText('outwards');
});

test('stairs, a shower and a niche are measured together, and meet', async ({ page }) => {
  const add = async (set: string, name: string, figures: readonly (readonly [string, string])[]): Promise<void> => {
    await page.goto(`${server.address}${JOB}/new`);
    await page.getByText('Several', { exact: true }).click();
    await page.getByText(set, { exact: true }).click();
    for (const [label, text] of figures) await fill(page, label, text);
    await fill(page, 'Name', name);
    await page.getByRole('button', { name: 'Add them all' }).click();
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
  };
  await add('Stairs', 'Cellar steps', [
    ['Riser, height, 1', '168'],
    ['Riser, height, 2', '181'],
    ['Tread, depth, 3', '274.5'],
  ]);
  await add('Shower', 'Guest shower', [
    ['Width, 2', '1195'],
    ['Height, 3', '2104'],
  ]);
  await add('Niche', 'Guest niche', [
    ['Back, width', '590'],
    ['Depth, sill', '101'],
  ]);
  const job = await storedJob(page);
  const sizes = (name: string): unknown => surfaceNamed(job, name).measured.shape;
  expect(sizes('Cellar steps, riser 2')).toMatchObject({ heightMm: 181 });
  expect(sizes('Cellar steps, tread 3')).toMatchObject({ heightMm: 274.5 });
  expect(sizes('Guest shower, wall 2')).toMatchObject({ widthMm: 1195 });
  expect(sizes('Guest niche, sill')).toMatchObject({ widthMm: 590, heightMm: 101 });
  await page.goto(`${server.address}${JOB}/surfaces/${surfaceNamed(job, 'Guest shower, wall 2').id}/measure`);
  await part(page, 'Around it');
  await expect(page.getByText(/meets Guest shower, wall 1/)).toBeVisible();
  // The wall that is looked at runs through; another press turns it round, and its figure follows.
  await expect(page.getByText(/^Wall 2 is laid first\. Wall 1 begins [\d.]+ from the corner/)).toBeVisible();
  await page.getByRole('button', { name: 'wall 1 runs through' }).click();
  await fill(page, 'Tile and bed of Guest shower, wall 1', '14');
  await expect(page.getByText(/^Wall 1 is laid first\. Wall 2 begins 19 from the corner/)).toBeVisible();
  await part(page, 'Edges');
  await expect(page.getByText('Tile ends 19 from the edge: the gap, and 14 for what stands there.')).toBeVisible();
  await part(page, 'Around it');
  await expect(page.getByText(/edge is 2100 mm here, but 2104 mm on "Guest shower, wall 3"/)).toBeHidden();
  await part(page, 'Shape');
  await fill(page, 'Height, bottom to top', '2095');
  await expect(page.getByText(/edge is 2095 mm here, but 2104 mm on "Guest shower, wall 3"/)).toBeVisible();
  await page.goto(`${server.address}${JOB}/surfaces/${surfaceNamed(job, 'Guest niche, back').id}/measure`);
  await part(page, 'Around it');
  await page.getByRole('link', { name: 'Open Guest niche, head' }).click();
  await expect(page.getByRole('combobox', { name: 'Surface', exact: true })).toContainText('Guest niche, head');
});

test('a room is repeated elsewhere, and asks only for what is to be measured again', async ({ page }) => {
  await page.goto(`${server.address}${JOB}`);
  await page.getByRole('button', { name: 'Repeat Splashback' }).click();
  await expect(page.getByText(/Still to measure here: \d+/)).toBeVisible();
  const count = Number((await page.getByText(/Still to measure here/).textContent())?.match(/\d+/)?.[0]);
  await fill(page, 'Width, left to right', '95 1/4');
  await expect(page.getByText(`Still to measure here: ${count - 1}`)).toBeVisible();
  await page.getByRole('button', { name: 'Height, bottom to top is the same' }).click();
  await expect(page.getByText(`Still to measure here: ${count - 2}`)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(`Still to measure here: ${count - 1}`)).toBeVisible();
  await page.getByRole('button', { name: 'All are the same' }).click();
  await expect(page.getByText(/Still to measure here/)).toBeHidden();
  await page.goto(`${server.address}${JOB}`);
  await page.getByRole('button', { name: 'Repeat the whole room' }).first().click();
  await expect(page.getByRole('heading', { name: 'Washroom again', exact: true })).toBeVisible();
  const job = await storedJob(page);
  const copies = job.surfaces.filter(({ roomId }) => roomId === job.rooms.at(-1)?.id);
  expect(copies).toHaveLength(3);
  expect(copies.every(({ measured }) => measured.again.length > 0)).toBe(true);
});

test('a distance meter fills field after field, and its misreading is caught', async ({ page }) => {
  await page.goto(`${server.address}${JOB}/surfaces/shop-floor/measure`);
  await page.getByRole('button', { name: /Use a distance meter/ }).click();
  await page.getByLabel('street wall', { exact: true }).focus();
  const misread = page
    .getByTestId('judgement')
    .filter({ hasText: /Measure .* again: it disagrees with the others by|Something was misread/ });
  for (let k = 0; k < 40 && !(await misread.isVisible()); k++) {
    await page.keyboard.press('F2');
    await page.waitForTimeout(120);
  }
  await expect(misread).toBeVisible();
  await expect(page.locator('.suspect').first()).toBeVisible();
});

test('levels say whether the floor is flat, and the base of a wall bends its bottom row', async ({ page }) => {
  await page.goto(`${server.address}${JOB}/surfaces/flat-kitchen/measure`);
  await part(page, 'Levels');
  await page.getByRole('button', { name: 'Start with nine points' }).click();
  await fill(page, 'Down, p5', '1012');
  await expect(page.getByTestId('level-figures')).toContainText('lowest at p5: 12 mm between them');
  await expect(page.getByTestId('level-figures')).toContainText('so it has to be made flat');
  await page.getByRole('button', { name: 'Add up the layers' }).click();
  await fill(page, 'which is at', '18.5');
  await expect(page.getByTestId('build-up')).toContainText('1.5 mm proud of its neighbour');
  await expect(page.getByTestId('build-up')).toContainText('Board of 4.5 mm would make it flush');
  await page.goto(`${server.address}${JOB}/surfaces/shower-wall-3/measure`);
  await part(page, 'Levels');
  await page.getByRole('button', { name: 'Read the base' }).click();
  await fill(page, 'Down to the base, 3', '1004');
  await expect(page.getByTestId('base-figures')).toContainText('The base runs out by 4 mm');
});

test('an outline comes out of a drawing; a broken one says where', async ({ page }) => {
  await page.goto(`${server.address}${JOB}/new`);
  await page.getByText('From a file', { exact: true }).click();
  const pairs = (...all: (string | number)[]): string => all.join('\n');
  const line = (x1: number, y1: number, x2: number, y2: number): string => pairs(0, 'LINE', 8, 'walls', 10, x1, 20, y1, 11, x2, 21, y2);
  const sides = [line(0, 0, 320, 0), line(320, 0, 318, 210), line(318, 210.1, 2, 205), line(2, 205, 0, 0)];
  const post = [line(100, 50, 130, 50), line(130, 50, 130, 70), line(130, 70, 100, 70), line(100, 70, 100, 50)];
  const dxf = pairs(0, 'SECTION', 2, 'ENTITIES', ...sides, ...post, 0, 'ENDSEC', 0, 'EOF');
  const file = join(server.folder, 'plan.dxf');
  writeFileSync(file, dxf.replace('LINE', 'LINE\nwall'));
  await page.getByLabel('DXF or SVG file').setInputFiles(file);
  await expect(page.getByText(/^Line \d+ of the DXF should be a whole number/)).toBeVisible();
  writeFileSync(file, dxf);
  await page.getByLabel('DXF or SVG file').setInputFiles(file);
  await expect(page.getByText('The file does not say its unit.')).toBeVisible();
  await choose(page, 'One unit is one', 'cm');
  await expect(page.getByTestId('import-report')).toContainText('The widest gap closed is 1 mm');
  await expect(page.getByText('Another outline lies within this one. Take it as a cut-out')).toBeVisible();
  await fill(page, 'Name', 'Drawn yard');
  await page.getByRole('button', { name: 'Set it out' }).click();
  await expect(page.getByText('Starts to compare')).toBeVisible();
  const { shape, fixtures } = surfaceNamed(await storedJob(page), 'Drawn yard').measured;
  expect(fixtures.map(({ kind, outline }) => ({ kind, outline }))).toEqual([
    { kind: 'cutOut', outline: { kind: 'rectangle', widthMm: 300, heightMm: 200 } },
  ]);
  expect(shape.kind === 'walls' && shape.walls.map(({ lengthMm }) => Math.round(lengthMm))).toEqual([3200, 2100, 3160, 2050]);
});

test('corners drawn on squared paper become walls to type over', async ({ page }) => {
  await page.goto(`${server.address}${JOB}/new`);
  await page.getByText('Draw it', { exact: true }).click();
  const paper = await page.getByTestId('paper').boundingBox();
  if (!paper) throw new Error('there is no paper on the page');
  const press = (x: number, y: number) => page.mouse.click(paper.x + paper.width * x, paper.y + paper.height * y);
  for (const [x, y] of [
    [0.2, 0.7],
    [0.2, 0.35],
    [0.6, 0.3],
    [0.8, 0.7],
  ])
    await press(x, y);
  await press(0.2, 0.7);
  await expect(page.getByText('Closed. Type the real lengths in Measure.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Drawn bay');
  await page.getByRole('button', { name: 'Set it out' }).click();
  await toMeasure(page);
  await fill(page, 'A–B', '2700');
  await expect(page.getByText(/With that length the walls stay/)).toBeVisible();
  await page.getByRole('button', { name: 'Spread it over the corners' }).click();
  await expect
    .poll(async () => surfaceNamed(await storedJob(page), 'Drawn bay').measured.shape)
    .toMatchObject({
      kind: 'walls',
      spread: true,
      walls: [{ lengthMm: 2700 }, {}, {}, {}],
    });
});
