import { expect, test, type Page } from '@playwright/test';
import { RunningServer } from '@azulejo/server/running';
import { startPostgres, type TestPostgres } from '../testing/postgres.ts';
import { demoPart } from './demoPart.ts';

const DEMO = demoPart('tidewater-bakehouse', /^shower-wall-[23]$/);

let postgres: TestPostgres;
let servers: readonly [RunningServer, RunningServer];

test.beforeAll(async () => {
  postgres = await startPostgres();
  const beside = { DATABASE_URL: await postgres.newDatabase() };
  const first = new RunningServer(undefined, beside);
  // Processes of one machine share the folder for copies.
  servers = [first, new RunningServer(first.folder, beside)];
  await Promise.all(servers.map((server) => server.start('--add-job', DEMO)));
});
test.afterAll(async () => {
  for (const server of servers) await server.remove();
  await postgres.stop();
});

const open = (page: Page, server: RunningServer, wall: string) =>
  page.goto(`${server.address}/jobs/tidewater-bakehouse/surfaces/${wall}/tile`);
const joint = (page: Page) => page.getByLabel('Joint', { exact: true });
const setJoint = async (page: Page, mm: string): Promise<void> => {
  await joint(page).fill(mm);
  await joint(page).press('Enter');
};
const state = (page: Page) => page.getByTestId('save-state');

test('two servers on one PostgreSQL: one is killed in the middle of saving, the other goes on, and nothing is lost', async ({
  browser,
}) => {
  test.setTimeout(240_000);
  const [first, second] = servers;
  const [here, there] = [await (await browser.newContext()).newPage(), await (await browser.newContext()).newPage()];
  await open(here, first, 'shower-wall-3');
  await open(there, second, 'shower-wall-2');
  for (const mm of ['2.5', '3.5', '4.5']) {
    await Promise.all([setJoint(here, mm), setJoint(there, mm)]);
    for (const page of [here, there]) await expect(state(page)).toHaveText('Saved');
  }
  const { port } = new URL(first.address);
  // It is saved, but the server is gone before it has said so.
  const gone = here.waitForEvent('requestfailed');
  await here.route(
    '**/changes',
    async (route) => {
      await route.fetch();
      await first.end();
      await route.abort();
    },
    { times: 1 },
  );
  await setJoint(here, '5.5');
  await gone;
  await setJoint(here, '6');
  await expect(state(here)).toHaveText('Not saved');
  // Whatever the other did when it was killed, it keeps nobody waiting.
  await setJoint(there, '7');
  await expect(state(there)).toHaveText('Saved');
  await open(there, second, 'shower-wall-3');
  await expect(joint(there)).toHaveValue('5.5');

  await first.start('--port', port);
  await open(here, first, 'shower-wall-3');
  await expect(joint(here)).toHaveValue('6');
  await expect(state(here)).toHaveText('Saved');
  await open(there, second, 'shower-wall-3');
  await expect(joint(there)).toHaveValue('6');
  await open(here, first, 'shower-wall-2');
  await expect(joint(here)).toHaveValue('7');
});

test('while PostgreSQL is away the page says so and keeps what was changed; when it is back, that is saved', async ({ page }) => {
  test.setTimeout(240_000);
  const [, server] = servers;
  await open(page, server, 'shower-wall-2');
  await expect(joint(page)).toBeVisible();
  await postgres.halt();
  await setJoint(page, '8.5');
  await expect(state(page)).toHaveText('Not saved');
  await expect(page.getByText('The database does not answer.')).toBeVisible();
  await postgres.resume();
  await page.reload();
  await expect(joint(page)).toHaveValue('8.5');
  await expect(state(page)).toHaveText('Saved');
});
