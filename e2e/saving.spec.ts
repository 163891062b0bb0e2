import { expect, test, type Page } from '@playwright/test';
import { fileURLToPath } from 'node:url';
import { RunningServer } from '@azulejo/server/running';

const KIOSK = fileURLToPath(new URL('../demo/ferry-kiosk.json', import.meta.url));
const server = new RunningServer();
test.beforeAll(() => server.start('--add-job', KIOSK));
test.afterAll(() => server.remove());
const job = (path = ''): string => `${server.address}/jobs/ferry-kiosk${path}`;
const mark = (page: Page) => page.getByTestId('save-state');
const stored = async (): Promise<{ version: number; job: { programme?: { startHour?: number } } }> =>
  (await fetch(`${server.address}/api/jobs/ferry-kiosk`)).json() as Promise<never>;

test('a note that is refused lies in sight with its reason and holds nothing up; a page to sign in is no answer, and what waits goes out from any page', async ({
  page,
}) => {
  await page.route('**/entries', async (route) => {
    const isNote = (route.request().postData() ?? '').includes('Screed is damp');
    if (!isNote) return route.continue();
    return route.fulfill({ status: 400, json: { code: 'request/invalid', message: 'The request is not as expected.', issues: [] } });
  });
  await page.goto(job('/log'));
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByLabel('In words').fill('Screed is damp');
  // Enter takes the words; only the button keeps the entry.
  await page.getByLabel('In words').press('Enter');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(mark(page)).toHaveText('1 thing not saved');
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByLabel('In words').fill('Window is in');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect
    .poll(async () => ((await (await page.request.get(`${server.address}/api/jobs/ferry-kiosk/entries`)).json()) as object[]).length)
    .toBe(1);
  await mark(page).getByRole('button').click();
  const dialog = page.getByRole('dialog', { name: 'Not saved' });
  await expect(dialog).toContainText('Screed is damp');
  await page.unroute('**/entries');
  await dialog.getByRole('button', { name: 'Try again' }).click();
  await expect(mark(page)).toHaveText('Saved');

  await page.route('**/api/jobs/ferry-kiosk/changes', (route) =>
    route.fulfill({ status: 200, contentType: 'text/html', body: '<title>Sign in</title>' }),
  );
  await page.goto(job('/days'));
  await page.getByLabel('Begins at').fill('7');
  await page.getByLabel('Begins at').press('Enter');
  await expect(page.getByRole('link', { name: 'Sign in' })).toHaveAttribute('href', /^\/api\/back\?to=/);
  await expect(mark(page)).toHaveText('Not saved');
  expect((await stored()).job.programme?.startHour).not.toBe(7);
  await page.unroute('**/api/jobs/ferry-kiosk/changes');
  // Another page, of no job at all, sends it.
  await page.goto(server.address);
  await expect.poll(async () => (await stored()).job.programme?.startHour).toBe(7);
});

/** Puts rows into a database as an older release had it. */
async function keepAsOnce(page: Page, name: string, version: number, store: string, keyPath: string[], row: object): Promise<void> {
  await page.evaluate(
    async ([of, at, into, path, kept]) => {
      const opened = await new Promise<IDBDatabase>((resolve, reject) => {
        const asked = indexedDB.open(of, at);
        asked.onupgradeneeded = () => asked.result.createObjectStore(into, { keyPath: path });
        asked.onsuccess = () => resolve(asked.result);
        asked.onerror = () => reject(new Error(asked.error?.message));
      });
      const writing = opened.transaction(into, 'readwrite');
      writing.objectStore(into).put(kept);
      await new Promise((resolve) => (writing.oncomplete = resolve));
      opened.close();
    },
    [name, version, store, keyPath, row] as const,
  );
}

test('what an older release kept in databases of its own goes out after the update', async ({ browser }) => {
  const page = await (await browser.newContext()).newPage();
  const { version } = await stored();
  const change = { id: 'kept-since', label: 'Begin of work', edits: [{ op: 'set', path: ['programme', 'startHour'], value: 9 }] };
  const queue = { jobId: 'ferry-kiosk', windowId: 'closed', version, waiting: [change], parked: [] };
  const note = {
    id: '00000000-0000-4000-8000-00000000000b',
    at: '2027-03-01T08:00:00.000Z',
    by: '',
    surfaceId: null,
    replaces: null,
    data: { kind: 'note', text: 'Kept since before', pin: null },
  };
  // Any page of the same origin that is none of the application.
  await page.goto(`${server.address}/api/docs`);
  await keepAsOnce(page, 'azulejo-unsaved', 1, 'queues', ['jobId', 'windowId'], queue);
  await keepAsOnce(page, 'azulejo-site', 2, 'entries', ['jobId', 'id'], { jobId: 'ferry-kiosk', id: note.id, item: note });
  await page.goto(job('/log'));
  await expect(page.getByText('Kept since before')).toBeVisible();
  await expect.poll(async () => (await stored()).job.programme?.startHour).toBe(9);
  await expect(mark(page)).toHaveText('Saved');
  const entries = (await (await page.request.get(`${server.address}/api/jobs/ferry-kiosk/entries`)).json()) as object[];
  expect(JSON.stringify(entries)).toContain('Kept since before');
});

test('a phone on a job that was deleted says so, and keeps it with what was ticked', async ({ browser }) => {
  const page = await (await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })).newPage();
  await page.goto(job('/site'));
  const cut = page.getByRole('button', { name: /is cut$/ });
  await expect(cut).toBeVisible({ timeout: 60_000 });
  await fetch(`${server.address}/api/jobs/ferry-kiosk?baseVersion=${(await stored()).version}`, { method: 'DELETE' });
  const label = ((await cut.textContent()) ?? '').replace(' is cut', '').trim();
  await cut.tap();
  await expect(mark(page)).toHaveText('Deleted elsewhere');
  await page.getByRole('button', { name: 'Keep it as a job' }).tap();
  await expect(mark(page)).toHaveText('Saved');
  const ticks = (await (await page.request.get(`${server.address}/api/jobs/ferry-kiosk/ticks`)).json()) as {
    label: string;
    state: string;
  }[];
  expect(ticks.map((tick) => [tick.label, tick.state])).toEqual([[label, 'cut']]);
});
