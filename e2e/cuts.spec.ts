import { expect, test, type Page } from './onePerson.ts';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import { PATTERNS } from '@azulejo/core/pattern/registry';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { RunningServer } from '@azulejo/server/running';
import { fill } from './measuring.ts';
import { tiling } from './tiling.ts';
import { demoPart } from './demoPart.ts';

const DEMO = demoPart('tidewater-bakehouse', /^shower-wall/, /^washroom-side$/);
const server = new RunningServer();
/** A countertop of small stones of many sizes: their many cuts leave a longer look something to find. */
const stones = {
  size: [2536, 948],
  tile: [395, 395],
  jointMm: 2,
  surface: {
    pattern: { ...PATTERNS.ashlar.defaults, seed: 29 },
    setout: { x: { rule: 'free', offsetMm: 145.5 }, y: { rule: 'free', offsetMm: 109.5 } },
  },
} as const;
const folder = mkdtempSync(join(tmpdir(), 'azulejo-stones-'));
test.beforeAll(async () => {
  const file = join(folder, 'stones.json');
  writeFileSync(file, writeJobFile(jobOfOne(stones)));
  await server.start('--add-job', file, '--add-job', DEMO);
});
test.afterAll(async () => {
  await server.remove();
  rmSync(folder, { recursive: true });
});

const { open, stored, storedJob } = tiling(server);
const part = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Parts of cutting' }).getByRole('button', { name, exact: true }).click();

test('cuts go to a saw far away in trips, a helper practises, a counter is laid dry', async ({ page }) => {
  await open(page, 'washroom-side', 'cuts');
  await page.getByText('Far away', { exact: true }).click();
  await fill(page, 'Pieces a trip', '12');
  await expect(page.getByRole('heading', { name: /^Trip 4/ })).toBeVisible();
  await expect(page.getByText(/4 trips to the saw, in the order of laying/)).toBeVisible();

  await page.getByRole('button', { name: 'Print labels' }).click();
  const printer = page.getByRole('dialog');
  await printer.getByRole('button', { name: /^Print \d+ labels/ }).click();
  await expect(printer.getByRole('listitem')).toHaveCount(
    await numberOf(page.getByText(/different cuts for \d+ pieces/).textContent(), /for (\d+)/),
  );
  await printer.getByRole('button', { name: 'Close' }).click();

  // B1 is 70 wide: from the tile before it to the wall are 77, joint 2 and gap 5.
  await part(page, 'Practice');
  const straight = page.getByText(/keeps its (left|right|bottom|top) edge/);
  await expect(page.getByRole('button', { name: 'Cut it' })).toBeVisible();
  while (!(await straight.isVisible())) await page.getByRole('button', { name: 'Another piece' }).click();
  const asked = await straight.textContent();
  const [, edge] = /keeps its (\w+) edge/.exec(asked ?? '') ?? [];
  const [opening, joint, gap] = ['goes up to: ', 'Joint ', 'gap '].map((word) => Number(asked?.split(word)[1].match(/[\d.]+/)?.[0]));
  await page.getByText(edge.charAt(0).toUpperCase() + edge.slice(1), { exact: true }).click();
  await fill(page, 'Mark at', String(opening - gap));
  await page.getByRole('button', { name: 'Cut it' }).click();
  await expect(page.getByText(/The joint was not taken off.*the tile is saved/)).toBeVisible();
  await fill(page, 'Mark at', String(opening - gap - joint));
  await page.getByRole('button', { name: 'Cut it' }).click();
  await expect(page.getByText('Right.')).toBeVisible();

  // A notch is measured from the tiles beside it.
  const notch = page.getByText(/to what it goes round: from the tile/);
  await page.getByRole('button', { name: 'The next piece' }).click();
  while (!(await notch.isVisible())) await page.getByRole('button', { name: 'Another piece' }).click();
  await fill(page, 'In from the left', '5');
  await fill(page, 'From the bottom', '5');
  await page.getByRole('button', { name: 'Cut it' }).click();
  await expect(page.getByText(/It would have cost: .* Right is notch/)).toBeVisible();

  await part(page, 'Dry lay');
  await page.getByRole('button', { name: 'It lies here' }).click();
  await expect(page.getByText(/^2 of \d+, 1 laid$/)).toBeVisible();
  // What is laid stays where it lies, whatever start would be better later.
  const begun = await stored(page, 'washroom-side');
  expect([begun.setout.x.rule, begun.setout.y.rule]).not.toContain('best');
  expect(begun.counted).toBeDefined();
  await fill(page, 'One', 'B1');
  await fill(page, 'The other', 'd1');
  await expect(page.getByText('B1 and D1 are equal: no harm done.')).toBeVisible();
  await fill(page, 'The other', 'C1');
  await expect(page.getByText('C1 is 100 mm too large for the place of B1. Put them back.')).toBeVisible();

  await part(page, 'Tiles to open');
  await expect(page.getByText(/^Cut: 1\. /).first()).toBeVisible();
});

test('looking longer finds a plan that opens fewer, and undo brings the plan back', async ({ page }) => {
  const at = '/jobs/job';
  await open(page, 's', 'cuts', at);
  await part(page, 'Tiles to open');
  await expect(page.getByText(/tiles are opened for the cuts here/)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Look longer for fewer' }).click();
  await expect(page.getByText(/tiles over all surfaces so far/)).toBeVisible();
  await expect(page.getByText(/Found: \d+ tiles over all surfaces instead of \d+/)).toBeVisible({ timeout: 30_000 });
  const rounds = async (): Promise<number> => (await storedJob(page, at)).consumption.offCutRounds;
  await expect.poll(rounds, { timeout: 15_000 }).toBeGreaterThan(0);
  await page.keyboard.press('Control+z');
  await expect.poll(rounds, { timeout: 15_000 }).toBe(0);
});

test('papers of the cuts: face down the sides change and the figures stay', async ({ page }) => {
  const textOf = async (what: string): Promise<string> => {
    const file = join(server.folder, `${what}.pdf`);
    const answer = await page.request.get(`${server.address}/api/jobs/tidewater-bakehouse/exports/${what}?surface=shower-wall-1`);
    writeFileSync(file, await answer.body());
    return execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }).replace(/\s+/g, ' ');
  };
  expect(await textOf('paper')).toContain('397.5 from the right edge');
  const back = await textOf('back');
  expect(back).toContain('tiles face down');
  expect(back).toContain('397.5 from the left edge');
  expect(back).not.toContain('397.5 from the right edge');
  expect(await textOf('stickers')).toContain('D2');
  expect(await textOf('templates')).toContain('No piece needs a template');
});

async function numberOf(text: Promise<string | null>, pattern: RegExp): Promise<number> {
  return Number(pattern.exec((await text) ?? '')?.[1]);
}
