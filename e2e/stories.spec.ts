import { expect, test, type Locator, type Page } from './onePerson.ts';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import type { Job } from '@azulejo/core/job/job';
import { kitchenFloor } from '@azulejo/core/stories/floorJobs';
import { stairRisers } from '@azulejo/core/stories/setJobs';
import { showerOnALedger } from '@azulejo/core/stories/wallJobs';
import { RunningServer } from '@azulejo/server/running';

/** Whole jobs on the screen, from the setout to the log, held against figures worked out by hand in core/stories. */
const JOBS: readonly Job[] = [
  { ...showerOnALedger(), id: 'shower' },
  { ...kitchenFloor(), id: 'kitchen' },
  { ...stairRisers(), id: 'stair' },
];
const server = new RunningServer();
const folder = mkdtempSync(join(tmpdir(), 'azulejo-stories-'));
test.beforeAll(async () => {
  const files = JOBS.map((job) => {
    const file = join(folder, `${job.id}.json`);
    writeFileSync(file, writeJobFile(job));
    return ['--add-job', file];
  });
  await server.start(...files.flat());
});
test.afterAll(async () => {
  await server.remove();
  rmSync(folder, { recursive: true });
});

const open = async (page: Page, path: string, seen: (page: Page) => Locator): Promise<void> => {
  await page.goto(`${server.address}/jobs/${path}`);
  await expect(seen(page).first()).toBeVisible({ timeout: 60_000 });
};
const part = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).first().click();
const row = (page: Page, name: string) => page.getByRole('row').filter({ hasText: name });
const ends = async (page: Page, wanted: Readonly<Record<string, string>>): Promise<void> => {
  for (const [side, text] of Object.entries(wanted)) await expect(page.getByTestId(`end-${side}`)).toHaveText(text);
};
/** How many there are of each size, as the list of cuts tells it. */
const cutsOf = async (page: Page, wanted: Readonly<Record<string, string>>): Promise<void> => {
  for (const [size, count] of Object.entries(wanted)) await expect(page.getByRole('button', { name: size }).first()).toContainText(count);
};
/** The works as the days tell them one after the other, without their hours. */
const works = async (page: Page): Promise<string[]> =>
  (await page.getByText(/^\d+:\d\d to \d+:\d\d /).allTextContents()).map((text) =>
    text
      .trim()
      .replace(/^\d+:\d\d to \d+:\d\d\s+/, '')
      .replace(/, [^,]*$/, ''),
  );
const paperText = async (page: Page, path: string): Promise<string> => {
  const file = join(folder, 'paper.pdf');
  writeFileSync(file, await (await page.request.get(`${server.address}/api/jobs/${path}`)).body());
  return execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }).replace(/\s+/g, ' ');
};

test('a shower wall on a ledger: from the centre line to the bottom row, a day later (J10)', async ({ browser }) => {
  const page = await browser.newPage();
  await open(page, 'shower/surfaces/wall/setout', () => page.getByTestId('end-top'));
  // 745 a side of the middle: 1.5 of joint, two steps of 303, and 137.5; 2097 less six of 303 is 279.
  await ends(page, { left: '137.5 mm', right: '137.5 mm', top: 'full', bottom: '279 mm' });
  await part(page, 'Lines');
  await expect(page.getByText('Cross line: 751.5 at both ends, from the left edge.')).toBeVisible();
  await expect(page.getByText('Ledger, level under the second course: 285 mm above the base.')).toBeVisible();
  await part(page, 'Zones');
  await expect(page.getByText('4 zones, up from the ledger, at each height from the left.')).toBeVisible();

  await open(page, 'shower/surfaces/wall/cuts', () => page.getByText(/different cuts for/));
  await expect(page.getByText(/^4 different cuts for 18 pieces/)).toBeVisible();
  await cutsOf(page, {
    '300 x 279 mm': '4 off',
    '137.5 x 300 mm': '12 off',
  });

  await open(page, 'shower/order', () => page.getByTestId('order-total'));
  await expect(row(page, 'square').first()).toContainText('4 boxes of 10 pieces');
  await expect(row(page, 'Ledger board')).toContainText('1.5 m');
  await expect(row(page, 'Screws for the ledger')).toContainText('5 pieces');
  await expect(row(page, 'Wedges for the bottom row')).toContainText('12 pieces');
  await expect(row(page, 'Edge profile')).toContainText('1 bar of 2.5 m');
  await part(page, 'Mixes');
  await expect(page.getByText('2.0 to 4.2 kg a zone')).toBeVisible();
  await expect(page.getByText('Laid in 4 zones, each with a mix of its own.')).toBeVisible();

  await open(page, 'shower/days', () => page.getByText('Day by day'));
  const inOrder = [
    'Cutting',
    'Trims and profiles',
    'Fixing the ledger',
    'Laying',
    'Taking the ledger off',
    'Closing the holes of the ledger',
    'Sealing again where the ledger was, coat 1 of 2',
    'Sealing again where the ledger was, coat 2 of 2',
    'Bottom row',
    'Scraping out the joints',
    'Grouting and washing',
    'Sealant',
  ];
  expect((await works(page)).slice(-inOrder.length)).toEqual(inOrder);

  // On site every cut in turn, the bottom row cut with the rest and laid last.
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })).newPage();
  const cut = phone.getByRole('button', { name: /is cut$/ });
  await open(phone, 'shower/site', () => cut);
  const labels: string[] = [];
  for (let k = 0; k < 18; k++) {
    await expect(phone.getByText(`${18 - k} of 18 left`)).toBeVisible();
    labels.push(((await cut.textContent()) ?? '').trim().replace(' is cut', ''));
    await cut.tap();
  }
  expect(new Set(labels).size).toBe(18);
  await phone.getByRole('button', { name: 'Lay', exact: true }).tap();
  // Laid zone by zone, whole tiles and ends by one press: twelve ends, then the six of the bottom course in a zone of their own.
  for (let zone = 1; zone <= 4; zone++) {
    await expect(phone.getByText(`Zone ${zone} of 4`)).toBeVisible();
    const own = phone.getByRole('list', { name: 'Cut pieces of this zone' }).getByRole('button');
    await expect(own).toHaveText(zone < 4 ? Array<RegExp>(4).fill(/^\s*[B-G]\d/) : Array<RegExp>(6).fill(/^\s*A\d/));
    await phone.getByRole('button', { name: `Zone ${zone} is laid` }).tap();
  }
  await expect(phone.getByText('All laid.')).toBeVisible();
  // A slip of the thumb is taken back; piece by piece it goes too.
  await phone.getByRole('button', { name: 'Not zone 4' }).tap();
  await phone.getByRole('button', { name: 'Piece by piece' }).tap();
  const laid = phone.getByRole('button', { name: /^A\d+ is laid$/ });
  for (let k = 6; k > 0; k--) {
    await expect(phone.getByText(`${k} of 18 left`)).toBeVisible();
    await laid.tap();
  }
  await expect(phone.getByText('All laid.')).toBeVisible();
  await open(page, 'shower/surfaces/wall/cuts', () => page.getByText(/different cuts for/));
  await expect(page.getByText('18 of 18 cut, 18 laid.')).toBeVisible({ timeout: 30_000 });
  await phone.context().close();
  await page.close();
});

test('a kitchen floor: cabinets left out, two lines from the walls, back to the door (J02)', async ({ page }) => {
  await open(page, 'kitchen/surfaces/floor/setout', () => page.getByTestId('end-top'));
  // 4190 = 6 x 603 + 572, shifted by 201: 198 + 3 + 3618 + 371; 3090 = 10 x 303 + 60.
  await ends(page, { left: '198 mm', top: '60 mm', right: '572 / 371', bottom: 'full' });
  const leg = page.getByText('J5 keeps a leg of 17 mm that breaks easily');
  const more = page.getByRole('button', { name: /more to look at/ });
  await expect(leg.or(more).first()).toBeVisible({ timeout: 60_000 });
  if (!(await leg.isVisible())) await more.click();
  await expect(leg).toBeVisible();
  await part(page, 'Lines');
  for (const line of [
    'Cross line: 1814 at both ends, from the left edge.',
    'Second-course line: 2015 at both ends, from the left edge.',
    'Course line: 1823 at both ends, from the bottom edge.',
  ])
    await expect(page.getByText(line)).toBeVisible();
  await part(page, 'Zones');
  await expect(page.getByText(/^\d+ zones, backwards to the bottom edge\./)).toBeVisible();

  // A step by hand and back: what is told follows at once.
  await part(page, 'Starts');
  await page.getByTestId('board').focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByTestId('end-top')).toHaveText('59 mm');
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('end-top')).toHaveText('60 mm');

  await open(page, 'kitchen/surfaces/floor/cuts', () => page.getByText(/different cuts for/));
  await cutsOf(page, {
    '572 x 300 mm': '5 off',
    '371 x 300 mm': '5 off',
    '198 x 300 mm': '4 off',
    '600 x 71 mm': '4 off',
    '600 x 60 mm': '1 off',
  });

  await open(page, 'kitchen/order', () => page.getByTestId('order-total'));
  await expect(row(page, 'plank').first()).toContainText('12 boxes of 6 pieces');
  await expect(row(page, 'Levelling clips')).toContainText('4 bags of 100 pieces');
  await expect(page.getByText('Spacers')).toHaveCount(0);
  const total = (await page.getByTestId('order-total').textContent()) ?? '';

  await open(page, 'kitchen/days', () => page.getByText('Day by day'));
  expect(await works(page)).toEqual([
    'Priming',
    'Setting out',
    'Cutting',
    'Laying',
    'Laying',
    'Scraping out the joints',
    'Grouting and washing',
    'Sealant',
  ]);

  // Papers say what the screen says.
  const paper = await paperText(page, 'kitchen/exports/paper?surface=floor');
  for (const words of ['50 whole, 23 cut, 64 tiles opened, 12 boxes', 'Cross line: 1814 at both ends', '5 Straight 572 x 300 mm'])
    expect(paper).toContain(words);
  expect(await paperText(page, 'kitchen/exports/orderPaper')).toContain(total);

  await open(page, 'kitchen/log', () => page.getByRole('button', { name: 'Hours', exact: true }));
  await part(page, 'Hours');
  await page.getByRole('textbox', { name: 'Hours' }).fill('5.25');
  await part(page, 'Keep');
  await expect(page.getByText('5.25 h of laying')).toBeVisible();
});

test('five risers that all measure differently: each by itself, one place to work at, one order (J06)', async ({ page }) => {
  for (const number of [1, 5]) {
    await open(page, `stair/surfaces/stair-riser-${number}/setout`, () => page.getByTestId('end-top'));
    const left = (await page.getByTestId('end-left').textContent()) ?? '';
    await expect(page.getByTestId('end-right')).toHaveText(left);
    // 890 and 891 less 16 chips and 17 joints of two: 44 and 44.5 at either end.
    expect(left).toBe(number === 1 ? '44 mm' : '44.5 mm');
  }
  // On paper its sheets are drawn with their numbers.
  const [drawing] = (await paperText(page, 'stair/exports/paper?surface=stair-riser-1')).split(': sheets');
  expect(drawing).toContain('S2-2');
  await open(page, 'stair/order', () => page.getByTestId('order-total'));
  // Two sheets each, one that breaks and two for the client.
  await expect(row(page, 'mosaic').first()).toContainText('13 sheets');
  await expect(row(page, 'mosaic').first()).toContainText('3 boxes of 5 sheets');
  await expect(row(page, 'Edge profile')).toContainText('3 bars of 2.5 m');
  await expect(page.getByText('Ledger board')).toHaveCount(0);
  await open(page, 'stair/days', () => page.getByText('Day by day'));
  expect(await works(page)).toEqual([
    'Priming',
    'Setting out',
    'Cutting',
    'Trims and profiles',
    'Laying',
    'Grouting and washing',
    'Sealant',
  ]);
});
