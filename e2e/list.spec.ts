import { expect, test, type Page } from './onePerson.ts';
import { RunningServer } from '@azulejo/server/running';

const server = new RunningServer();
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());

const row = (page: Page, name: string) => page.getByRole('listitem').filter({ has: page.getByRole('link', { name, exact: true }) });

test('an empty list brings three jobs; each row says how far it is, what needs attention and what is next', async ({ page }) => {
  await page.goto(server.address);
  await page.getByRole('button', { name: 'Bring three jobs to look at' }).click();
  await expect(page.getByRole('heading', { level: 2 })).toHaveText(['In hand', 'All laid']);
  const bakehouse = row(page, 'Tidewater Bakehouse');
  await expect(bakehouse).toContainText('4 of 26 surfaces laid');
  // All of the bakehouse is planned for this.
  await expect(bakehouse).toContainText('Shop floor: Finishes 3.5 mm above the store floor', { timeout: 100_000 });
  await expect(bakehouse.locator('svg .outline').first()).toBeAttached();
  await expect(row(page, 'Ferry kiosk')).toContainText('2 surfaces, all laid');
  await expect(row(page, 'Ferry kiosk').getByRole('link', { name: /Go on with/ })).toHaveCount(0);

  // Work taken up again moves the job back in hand, with the surface to go on with.
  await page.getByRole('link', { name: 'Ferry kiosk' }).click();
  const laid = page.getByRole('button', { name: 'Laid' });
  await expect(laid.first()).toHaveAttribute('aria-pressed', 'true');
  await laid.first().click();
  await expect(page.getByText('1 of 2 laid')).toBeVisible();
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  await page.goto(server.address);
  await row(page, 'Ferry kiosk').getByRole('link', { name: 'Go on with Back wall' }).click();
  await expect(page.getByText('Starts to compare')).toBeVisible();
});

test('two lengths on an empty list are a setout; nothing is started with one', async ({ page, request }) => {
  for (const { id, version } of (await (await request.get(`${server.address}/api/jobs`)).json()) as { id: string; version: number }[])
    await request.delete(`${server.address}/api/jobs/${id}?baseVersion=${version}`);
  await page.goto(server.address);
  await page.getByText('Feet and inches').click();
  await page.getByLabel('Left to right').fill(`9' 4 1/2"`);
  await page.getByRole('button', { name: 'Set it out' }).click();
  await expect(page.getByRole('alert')).toContainText('Expected both lengths');
  await page.getByLabel('Bottom to top').fill(`7'`);
  // Enter in the last field sets it out.
  await page.getByLabel('Bottom to top').press('Enter');
  // A joint of 3 in the middle: 2857.5 / 2 - 5 - 1.5 - 4 x 300.5 = 220.25 mm at each end.
  await expect(page.getByTestId('end-left')).toHaveText('8 11/16"');
});

test('Back closes what lies over the page, and the page stays; gone on, it goes back', async ({ page }) => {
  await page.goto(`${server.address}/`);
  await page.getByRole('button', { name: 'New job' }).first().click();
  await page.getByLabel('Name', { exact: true }).fill('Pier wall');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Pier wall' })).toBeVisible();
  await page.getByRole('link', { name: 'Azulejo' }).click();
  await page.getByRole('button', { name: 'New job' }).first().click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toBeVisible();
  // What is half typed goes at the second press, and not unsaid.
  await page.getByLabel('Name', { exact: true }).pressSequentially('Half a na');
  await page.goBack();
  await expect(dialog).toContainText('not kept yet');
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Half a na');
  await page.goBack();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'Pier wall' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Pier wall' })).toBeVisible();
});
