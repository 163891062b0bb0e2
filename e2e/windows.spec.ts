import { expect, test, type Page } from '@playwright/test';
import { fileURLToPath } from 'node:url';
import { RealServer } from './realServer.ts';

const DEMO = fileURLToPath(new URL('../demo/tidewater-bakehouse.json', import.meta.url));
const server = new RealServer();
test.beforeAll(() => server.start(DEMO));
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

test('two people on one job: nothing is overwritten, the person decides', async ({ browser }) => {
  const [here, there] = await Promise.all([1, 2].map(async () => (await browser.newContext()).newPage()));
  await open(here);
  await open(there);
  await expect(joint(there)).toBeVisible();
  await setJoint(here, '2.5');
  await expect(state(here)).toHaveText('Saved');
  await there.getByRole('button', { name: 'Pattern', exact: true }).click();
  await there.getByText('Upright', { exact: true }).click();
  const dialog = there.getByRole('dialog', { name: 'Changed in another window' });
  await expect(dialog).toContainText('last: Joint');
  await dialog.getByRole('button', { name: 'Put mine on top' }).click();
  await expect(state(there)).toHaveText('Saved');
  await there.getByRole('button', { name: 'Tile', exact: true }).click();
  await expect(joint(there)).toHaveValue('2.5');
  await here.reload();
  await expect(joint(here)).toHaveValue('2.5');
  await here.getByRole('button', { name: 'Pattern', exact: true }).click();
  await expect(here.getByRole('radio', { name: 'Upright' })).toBeChecked();
});

test('a server that is killed loses nothing that the screen said was saved', async ({ page }) => {
  test.setTimeout(120_000);
  await open(page);
  for (const mm of ['3.5', '5', '6.5']) {
    await setJoint(page, mm);
    await expect(state(page)).toHaveText('Saved');
  }
  await server.kill();
  await setJoint(page, '7');
  await expect(state(page)).toHaveText('Not saved');
  await expect(page.getByText('The server does not answer.')).toBeVisible();
  await server.start();
  await open(page);
  await expect(joint(page)).toHaveValue('6.5');
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(joint(page)).not.toHaveValue('6.5');
});
