import { expect, test, type Browser, type Page } from '@playwright/test';
import { RunningServer } from '@azulejo/server/running';
import { demoPart } from './demoPart.ts';

const DEMO = demoPart('tidewater-bakehouse', /^shop-floor$/);
const JOB = '/jobs/tidewater-bakehouse';
const server = new RunningServer();
let address = '';
test.beforeAll(async () => {
  await server.start('--add-job', DEMO);
  ({ address } = server);
});
test.afterAll(() => server.remove());

const cutButton = (page: Page) => page.getByRole('button', { name: /is cut$/ });

/** A phone that has seen the site once, so that the application and the job are kept on it. */
async function phone(browser: Browser, clock?: string): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, serviceWorkers: 'allow' });
  const page = await context.newPage();
  if (clock) await page.clock.setSystemTime(new Date(clock));
  await page.goto(`${address}${JOB}/site`);
  await expect(cutButton(page)).toBeVisible({ timeout: 60_000 });
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  return page;
}

/** Ticks the piece that is shown; answers its label. */
async function tickNext(page: Page): Promise<string> {
  const cut = cutButton(page);
  const label = ((await cut.textContent()) ?? '').replace(' is cut', '').trim();
  await cut.tap();
  await expect(cut).not.toHaveText(`${label} is cut`);
  return label;
}

test('two phones on a site without a network: reloaded, ticked, written down, nothing lost when the server is back', async ({
  browser,
}) => {
  test.setTimeout(240_000);
  const one = await phone(browser);
  // Its clock is years behind.
  const other = await phone(browser, '2019-05-05T08:00:00');
  await server.end('SIGTERM');

  await one.reload();
  await expect(cutButton(one)).toBeVisible({ timeout: 60_000 });
  await expect(one.getByTestId('save-state')).toContainText('No server');
  const first = await tickNext(one);
  const second = await tickNext(one);
  await one.goto(`${address}${JOB}/log`);
  await one.getByRole('button', { name: 'Note', exact: true }).tap();
  await one.getByLabel('In words').fill('Screed is still damp by the window');
  await one.getByRole('button', { name: 'Keep', exact: true }).tap();
  await expect(one.getByText('Screed is still damp by the window')).toBeVisible();
  await one.reload();
  await expect(one.getByText('Screed is still damp by the window')).toBeVisible({ timeout: 30_000 });

  await other.reload();
  await expect(cutButton(other)).toHaveText(`${first} is cut`, { timeout: 60_000 });
  await tickNext(other);
  await other.goto(`${address}/`);
  await expect(other.getByText('Tidewater Bakehouse').first()).toBeVisible();
  await other.goto(`${address}${JOB}/site`);
  await expect(cutButton(other)).toHaveText(`${second} is cut`, { timeout: 60_000 });

  await server.start('--port', new URL(address).port);
  expect(server.address).toBe(address);
  const api = one.request;
  const ticked = async (): Promise<string[]> =>
    ((await (await api.get(`${address}/api${JOB}/ticks`)).json()) as { label: string; state: string }[])
      .filter(({ state }) => state === 'cut')
      .map(({ label }) => label)
      .sort();
  await expect.poll(ticked, { timeout: 60_000 }).toEqual([first, second].sort());
  await one.reload();
  await expect
    .poll(
      async () =>
        ((await (await api.get(`${address}/api${JOB}/entries`)).json()) as { data: { text?: string } }[]).map(({ data }) => data.text),
      { timeout: 60_000 },
    )
    .toEqual(['Screed is still damp by the window']);
  // Both phones agree in the end.
  await one.goto(`${address}${JOB}/site`);
  await other.reload();
  const next = await cutButton(one).textContent({ timeout: 60_000 });
  await expect(cutButton(other)).toHaveText(next ?? '', { timeout: 60_000 });
  await expect(one.getByTestId('save-state')).toContainText('Saved');
});
