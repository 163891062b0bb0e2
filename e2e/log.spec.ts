import { expect, test } from './onePerson.ts';
import { RunningServer } from '@azulejo/server/running';
import { demoPart } from './demoPart.ts';

const DEMO = demoPart('tidewater-bakehouse', /^splashback$/);
const LOG = '/jobs/tidewater-bakehouse/log';
const server = new RunningServer();
test.beforeAll(() => server.start('--add-job', DEMO));
test.afterAll(() => server.remove());

test('hours, a broken piece and a photo are kept in three presses, also while the server is away, and on another phone', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await page.goto(server.address + LOG);
  await expect(page.getByRole('button', { name: 'Hours', exact: true })).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Hours', exact: true }).click();
  await page.getByLabel('By', { exact: true }).fill('Ines');
  await page.getByRole('textbox', { name: 'Hours' }).fill('25');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('Expected more than 0 and no more than 24 hours.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Hours' }).fill('6.5');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('6.5 h of laying')).toBeVisible();
  await expect(page.getByText(/, Ines$/)).toBeVisible();
  await page.route('**/api/**', (route) => route.abort());
  await page.getByRole('button', { name: 'Photo', exact: true }).click();
  await page.locator('input[type=file]').setInputFiles({ name: 'no.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await expect(page.getByText(/no picture that can be read/)).toBeVisible();
  await page.getByRole('button', { name: 'Broken', exact: true }).click();
  await page.getByLabel('Why').fill('slipped at the saw');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('slipped at the saw')).toBeVisible();
  // On a slow machine the hours may not have gone out before.
  await expect(page.getByText(/^[12] not on the server yet/)).toBeVisible();
  await page.unroute('**/api/**');
  await expect(page.getByText('not on the server yet')).toHaveCount(0, { timeout: 20_000 });
  const other = await (await browser.newContext()).newPage();
  await other.goto(server.address + LOG);
  await expect(other.getByText('6.5 h of laying')).toBeVisible({ timeout: 30_000 });
  await expect(other.getByText('slipped at the saw')).toBeVisible();
  await other.getByRole('button', { name: /^Take back: Broken/ }).click();
  await expect(other.getByText('slipped at the saw')).toHaveCount(0);
});

test('what is ticked on site asks for its hours, whatever it took; the job is closed, and opened again', async ({ browser }) => {
  const page = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  // Hours that nobody worked are taken back: what is written down already is not asked for again.
  await page.goto(server.address + LOG);
  await page.getByRole('button', { name: 'Take back: Hours 6.5 h of laying' }).click();
  await page.getByRole('link', { name: 'Site', exact: true }).click();
  await page.getByRole('button', { name: 'Lay', exact: true }).click();
  const lies = page.getByRole('button', { name: /^Zone \d+ is laid/ });
  const surfaceLies = page.getByRole('button', { name: 'Splashback is laid' });
  await expect(lies).toBeVisible({ timeout: 60_000 });
  while (!(await surfaceLies.isVisible())) {
    const zone = (await lies.textContent()) ?? '';
    await lies.click();
    await expect(page.getByRole('button', { name: zone.trim(), exact: true })).toHaveCount(0);
  }
  await page.getByRole('link', { name: 'Write down the hours' }).click();
  await expect(page.getByText('Splashback: every zone lies, the surface is not closed.')).toBeVisible();
  // Slower than planned, and an hour that nobody meant is refused beside it.
  const laying = page.getByRole('listitem').filter({ hasText: 'Laying, Splashback: all of it is ticked.' });
  const took = laying.getByRole('textbox', { name: 'It took' });
  await expect(took).not.toHaveValue('0');
  await took.fill('0');
  await laying.getByRole('button', { name: /^Write down/ }).click();
  await expect(laying.getByText('Expected more than 0 and no more than 24 hours.')).toBeVisible();
  await took.fill('7.25');
  await laying.getByRole('button', { name: /^Write down/ }).click();
  await expect(page.getByText('7.25 h of laying')).toBeVisible();
  await expect(laying).toHaveCount(0);
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Cutting, Splashback' })
    .getByRole('button', { name: /^Write down/ })
    .click();
  await expect(page.getByText('Hours not written down yet')).toHaveCount(0);
  await page.getByRole('button', { name: 'It is laid: Splashback' }).click();
  await page.getByRole('button', { name: 'Close the job' }).click();
  await expect(page.getByText(/Closed on \w+, \d+ \w+ \d{4}\./)).toBeVisible();
  await page.goto(`${server.address}/jobs/tidewater-bakehouse`);
  await expect(page.getByText(/1 of 1 laid, closed on /)).toBeVisible();
  await page.getByRole('button', { name: 'Laid', exact: true }).click();
  await page.goto(server.address + LOG);
  await page.getByRole('button', { name: 'Open it again' }).click();
  await expect(page.getByRole('button', { name: 'Close it all the same' })).toBeVisible();
});

test('a snag with its place, done in the end; the note for the client; the same job again elsewhere', async ({ page }) => {
  await page.goto(server.address + LOG);
  await page.getByRole('button', { name: 'Snag', exact: true }).click();
  await page.getByLabel('In words').fill('Trim by the counter rattles');
  const map = page.getByRole('img', { name: 'The surface, to point at the place' });
  await expect(map).toBeVisible({ timeout: 60_000 });
  await map.click();
  await expect(page.getByText('The place', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('0 of 1 done.')).toBeVisible();
  await expect(page.getByRole('img', { name: /^Where it was/ })).toBeVisible();
  await page.getByRole('button', { name: 'Done: Trim by the counter rattles' }).click();
  await expect(page.getByText('1 of 1 done.')).toBeVisible();
  for (const name of ['Handover note', 'Snag list']) {
    const paper = await page.request.get(server.address + (await page.getByRole('link', { name }).getAttribute('href')));
    expect((await paper.body()).subarray(0, 5).toString()).toBe('%PDF-');
  }
  await page.getByRole('button', { name: 'Begin it' }).click();
  await expect(page.getByText('Expected what the other job is called.')).toBeVisible();
  await page.getByLabel('The same again elsewhere, called').fill('Harbour Bakehouse');
  await page.getByRole('button', { name: 'Begin it' }).click();
  await expect(page.getByRole('heading', { name: 'Harbour Bakehouse' })).toBeVisible({ timeout: 30_000 });
});
