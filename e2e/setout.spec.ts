import { expect, test, type Page } from './onePerson.ts';
import { RunningServer } from '@azulejo/server/running';
import { demoPart } from './demoPart.ts';

const server = new RunningServer();
const DEMO = demoPart('tidewater-bakehouse', /^shower-wall/, /^steps-tread-1$/, /^washroom/);
test.use({ opensAnew: true });
test.beforeAll(() => server.start('--add-job', DEMO));
test.afterAll(() => server.remove());

const openSetout = async (page: Page, surface: string): Promise<void> => {
  await page.goto(`${server.address}/jobs/tidewater-bakehouse/surfaces/${surface}/setout`);
  await expect(page.getByRole('heading', { name: 'Starts to compare' })).toBeVisible();
};
const part = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Parts of setting out' }).getByRole('button', { name }).click();
const saved = (page: Page) => expect(page.getByTestId('save-state')).toHaveText('Saved');
const cards = (page: Page) => page.getByRole('list').filter({ hasText: 'left over' }).getByRole('listitem');

test('starts that were found are compared, laid by one press, and taken back', async ({ page }) => {
  await openSetout(page, 'washroom-floor');
  await expect(cards(page).first()).toBeVisible({ timeout: 30_000 });
  expect(await cards(page).count()).toBeGreaterThan(1);
  expect(await cards(page).count()).toBeLessThanOrEqual(6);
  await expect(cards(page).first()).toContainText('best');
  await cards(page).nth(1).getByRole('button').first().click();
  await expect(cards(page).nth(1)).toContainText('laid now');
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(cards(page).nth(1)).not.toContainText('laid now');
  for (const k of [0, 1]) await cards(page).nth(k).getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Lay 2 side by side' }).click();
  const dialog = page.getByRole('dialog', { name: 'Side by side' });
  await expect(dialog.getByText('Narrowest piece')).toHaveCount(2);
  await dialog.getByRole('button', { name: 'Lay start 2' }).click();
  await expect(cards(page).nth(1)).toContainText('laid now');
});

test('a place that is pointed at is pinned and kept; two that exclude each other are named', async ({ page }) => {
  await openSetout(page, 'shower-wall-1');
  await part(page, 'Pins');
  const board = await page.getByTestId('board').boundingBox();
  if (!board) throw new Error('there is no board on the page');
  const point = async (tool: string, dx: number): Promise<void> => {
    await page.getByRole('button', { name: tool, exact: true }).click();
    // Off the valve: a tap near something round is led to its centre.
    await page.mouse.click(board.x + board.width / 2 + dx, board.y + board.height * 0.72);
    await saved(page);
  };
  await point('Joint across the courses here', 0);
  await expect(page.getByRole('heading', { name: 'Pinned' })).toBeVisible();
  await expect(page.getByText('Not kept')).toHaveCount(0);
  await point('Joint across the courses here', 18);
  await expect(page.getByText(/Not both it and "Joint across/)).toBeVisible({ timeout: 20_000 });
  await page
    .getByRole('button', { name: /^Take out: Joint across/ })
    .first()
    .click();
  await expect(page.getByText(/Not both it and "Joint across/)).toHaveCount(0);
  // A start that is held by hand misses it; what would keep it is said, and done by a press.
  await page.getByTestId('board').focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('The start is held where it is, and so one pin is missed')).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: 'Let the start move' }).click();
  await expect(page.getByText('Not kept')).toHaveCount(0);
});

test('a school is one key; a way of working is set by what counts; lines can be read off', async ({ page }) => {
  await openSetout(page, 'washroom-side');
  // A key before the setout is there finds nothing to hold to a school.
  await expect(page.getByTestId('end-top')).toHaveText(/mm|full/);
  await page.keyboard.press('5');
  // The floor that is laid before takes 12 of the 68 that a bare base would leave.
  await expect(page.getByTestId('end-top')).toHaveText('56 mm');
  // There is a band between the base and the top.
  await page.keyboard.press('6');
  await expect(page.getByTestId('end-top')).toHaveText('full');
  await part(page, 'Weighing');
  await page.getByRole('combobox', { name: 'Little work at the saw counts' }).click();
  await page.getByRole('option', { name: 'much' }).click();
  await expect(page.getByLabel('Name of this way')).toHaveValue('My way of working');
  await page.getByLabel('Joint, no narrower than').fill('9');
  await page.getByLabel('Joint, no narrower than').press('Enter');
  await expect(page.getByText('Expected the narrowest joint first')).toBeVisible();
  await part(page, 'Lines');
  await expect(page.getByText(/^Cross line: /)).toBeVisible();
  await expect(page.getByText(/^Square where they cross: /)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Gauge rod' })).toBeVisible();
});

test('tiles are turned by hand: by a key, by a figure, no further than a right angle, and back', async ({ page }) => {
  await openSetout(page, 'washroom-floor');
  await part(page, 'By rule');
  const best = await page.getByTestId('end-top').textContent();
  await page.keyboard.press(',');
  const turned = page.getByLabel('Turned to the left by');
  const before = Number(await turned.inputValue());
  await page.keyboard.press(';');
  await expect(turned).toHaveValue(String(Math.round((before + 1) * 100) / 100));
  await turned.fill('120');
  await turned.press('Enter');
  await expect(page.getByText('Expected at most 90.')).toBeVisible();
  await turned.fill('12.5');
  await turned.press('Enter');
  await expect(page.getByText('Cut at every side')).toBeVisible();
  await part(page, 'Lines');
  await expect(page.getByText(/^Course line at 12\.5°: /)).toBeVisible();
  await page.keyboard.press('b');
  await expect(page.getByTestId('end-top')).toHaveText(best ?? '');
});

test('tiles that need no cut are found and laid', async ({ page }) => {
  await page.goto(server.address);
  await openSetout(page, 'steps-tread-1');
  await part(page, 'By rule');
  await page.getByRole('button', { name: 'Look through the tiles of the job' }).click();
  await expect(page.getByText(/It would fit with .*a tile of /).first()).toBeVisible();
  // By its height alone, with any joint, some tile does.
  await page.getByText('In height only, cut at the sides').click();
  await page.getByLabel('Joint to', { exact: true }).fill('40');
  await page.getByLabel('Joint to', { exact: true }).press('Enter');
  await page
    .getByRole('button', { name: /^Lay .* without a cut$/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
});

test('a floor is laid zone by zone: another order says who is caged in, and the proposed one mends it', async ({ page }) => {
  await openSetout(page, 'washroom-floor');
  await part(page, 'Zones');
  await expect(page.getByText(/^5 zones, backwards to the door\. Each is reached/)).toBeVisible({ timeout: 30_000 });
  const zones = page.getByRole('listitem').filter({ hasText: 'm²,' });
  await expect(zones).toHaveCount(5);
  // The one at the door is moved to the front, a turn at a time.
  for (let k = 5; k > 1; k--) {
    const last = (await zones.nth(k - 1).textContent())?.slice(1, 8) ?? '';
    await page.getByRole('button', { name: `Lay zone ${k} earlier` }).click();
    await expect(zones.nth(k - 2)).toContainText(last);
  }
  await expect(page.getByText('Nobody gets there any more.').first()).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(/reached only over fresh tiles/)).toBeVisible();
  await page.getByRole('button', { name: 'Take the proposed order' }).click();
  await expect(page.getByText(/Each is reached, and left, over floor/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText('Nobody gets there any more.')).toHaveCount(0);
});
