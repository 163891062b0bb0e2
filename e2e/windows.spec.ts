import { expect, test, type Browser, type Page } from '@playwright/test';
import { RunningServer } from '@azulejo/server/running';
import { demoPart } from './demoPart.ts';

const DEMO = demoPart('tidewater-bakehouse', /^shower-wall-[23]$/);
const server = new RunningServer();
test.beforeAll(() => server.start('--add-job', DEMO));
test.afterAll(() => server.remove());

const open = (page: Page) => page.goto(`${server.address}/jobs/tidewater-bakehouse/surfaces/shower-wall-3/tile`);
const joint = (page: Page) => page.getByLabel('Joint', { exact: true });
const setJoint = async (page: Page, mm: string): Promise<void> => {
  await joint(page).fill(mm);
  await joint(page).press('Enter');
};
const state = (page: Page) => page.getByTestId('save-state');

test('two windows of one person follow each other', async ({ context }) => {
  const [here, there] = [await context.newPage(), await context.newPage()];
  await open(here);
  await open(there);
  await setJoint(here, '4');
  await expect(joint(there)).toHaveValue('4');
});

const pair = (browser: Browser) => Promise.all([1, 2].map(async () => (await browser.newContext()).newPage()));

test('two people on one surface: both values side by side, nothing is overwritten, the person decides', async ({ browser }) => {
  const [here, there] = await pair(browser);
  await open(here);
  await open(there);
  await expect(joint(there)).toBeVisible();
  await setJoint(here, '2.5');
  await expect(state(here)).toHaveText('Saved');
  await setJoint(there, '6');
  const dialog = there.getByRole('dialog', { name: 'Changed in another window' });
  await expect(dialog).toContainText('last: Joint');
  await expect(dialog.getByRole('row', { name: /joint/ })).toContainText('6 mm');
  await expect(dialog.getByRole('row', { name: /joint/ })).toContainText('2.5 mm');
  await dialog.getByRole('button', { name: 'Take theirs' }).click();
  await expect(joint(there)).toHaveValue('2.5');
  await there.getByRole('button', { name: 'Pattern', exact: true }).click();
  await there.getByText('Upright', { exact: true }).click();
  await expect(state(there)).toHaveText('Saved');
  await here.reload();
  await here.getByRole('button', { name: 'Pattern', exact: true }).click();
  await expect(here.getByRole('radio', { name: 'Upright' })).toBeChecked();
});

test('two people on two surfaces never meet, and both see what the other did', async ({ browser }) => {
  const [here, there] = await pair(browser);
  await open(here);
  await there.goto(`${server.address}/jobs/tidewater-bakehouse/surfaces/shower-wall-2/tile`);
  await setJoint(there, '4.5');
  await expect(state(there)).toHaveText('Saved');
  await setJoint(here, '3.5');
  await expect(state(here)).toHaveText('Saved');
  await here.goto(`${server.address}/jobs/tidewater-bakehouse/surfaces/shower-wall-2/tile`);
  await expect(joint(here)).toHaveValue('4.5');
});

test('what could not be saved outlives a reload, and is sent when the server is back', async ({ page }) => {
  await open(page);
  await expect(joint(page)).toBeVisible();
  await page.route('**/changes', (route) => route.abort());
  await setJoint(page, '5.5');
  await expect(state(page)).toHaveText('Not saved');
  page.on('dialog', (dialog) => void dialog.accept());
  await page.reload();
  await expect(joint(page)).toHaveValue('5.5');
  await page.unroute('**/changes');
  await expect(state(page)).toHaveText('Saved');
  await page.reload();
  await expect(joint(page)).toHaveValue('5.5');
});

test('a change that is refused for good is put aside with its reason, and the rest goes on', async ({ page }) => {
  await open(page);
  await expect(joint(page)).toBeVisible();
  const refusal = { code: 'job/refused', message: 'The job would not be true with this change. Nothing was saved.', issues: [] };
  await page.route('**/changes', (route) => route.fulfill({ status: 422, json: refusal }), { times: 1 });
  await setJoint(page, '4');
  await page.getByRole('button', { name: '1 change not saved' }).click();
  const dialog = page.getByRole('dialog', { name: 'Not saved' });
  await expect(dialog).toContainText('would not be true');
  await dialog.getByRole('button', { name: 'Try again' }).click();
  await expect(state(page)).toHaveText('Saved');
  await expect(joint(page)).toHaveValue('4');
});

test('a job that is deleted elsewhere says so, and what is seen can be kept', async ({ context }) => {
  const [here, there] = [await context.newPage(), await context.newPage()];
  await open(here);
  await expect(joint(here)).toBeVisible();
  await there.goto(server.address);
  await there.getByRole('button', { name: 'Delete Tidewater Bakehouse' }).click();
  await there.getByRole('dialog').getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(state(here)).toHaveText('Deleted elsewhere');
  await here.getByRole('button', { name: 'Keep it as a job' }).click();
  await expect(state(here)).toHaveText('Saved');
});

test('a server that is killed loses nothing that the screen said was saved', async ({ page }) => {
  test.setTimeout(120_000);
  await open(page);
  for (const mm of ['3.5', '5', '6.5']) {
    await setJoint(page, mm);
    await expect(state(page)).toHaveText('Saved');
  }
  await server.end();
  await setJoint(page, '7');
  await expect(state(page)).toHaveText('Not saved');
  await expect(page.getByText('The server does not answer.')).toBeVisible();
  const { port } = new URL(server.address);
  await server.start('--port', port);
  // What waited was kept here, and goes out.
  await open(page);
  await expect(joint(page)).toHaveValue('7');
  await expect(state(page)).toHaveText('Saved');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/^Taken back: /)).toBeVisible();
  await expect(joint(page)).toHaveValue('6.5');
});
