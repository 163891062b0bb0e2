import { describe, expect, test } from '@jest/globals';
import { ADVICE_WORDS, describeFinding, describeMend } from '../messages/en/advice.ts';
import { plan } from '../plan.ts';
import type { Job } from '../job/job.ts';
import { jobOfOne } from '../trials/testJob.ts';
import type { Fixture } from '../surface/fixture.ts';
import { IMPERIAL_TAPE, METRIC_TAPE } from '../units/tape.ts';
import { good, withTile, inSheets, PROVOKED, type Provoked } from '../trials/provoked.ts';
import { PROVOKED_WORKS } from '../trials/provokedWorks.ts';
import { setIn } from '../job/setIn.ts';
import type { ADVICE_RULES } from './registry.ts';
import { openFindings } from './registry.ts';
import { standing } from '../trials/standing.ts';

const codes = (job: Job): string[] => plan(job).findings.map(({ code }) => code);

test('a sound surface sets off nothing', () => expect(codes(jobOfOne(good))).toEqual([]));

/** Every rule of the registry has a case in which it speaks. */
const ALL: Readonly<Record<keyof typeof ADVICE_RULES, Provoked>> = { ...PROVOKED, ...PROVOKED_WORKS };

describe.each(Object.entries(ALL))('%s', (_, { code, job, path }) => {
  test('is found, names the field that mends it, and has words in both tapes', () => {
    const finding = plan(job).findings.find((found) => found.code === code);
    expect(finding?.path.join('.')).toBe(path);
    for (const tape of [METRIC_TAPE, IMPERIAL_TAPE]) expect(finding && describeFinding(finding, tape)).toMatch(/^[A-Z"\d].{40,}[.)]$/s);
  });
  test('a press that mends it says what it does, and does', () => {
    const finding = plan(job).findings.find((found) => found.code === code);
    const words = finding && describeMend(finding, METRIC_TAPE);
    expect([Boolean(finding?.mend), /^[A-Z].*\w/.test(words ?? '')]).toEqual(finding?.mend ? [true, true] : [false, false]);
    if (!finding?.mend) return;
    const mended = [finding.mend, ...(finding.mend.also ?? [])].reduce((now, one) => setIn(now, one.path, one.value), job);
    expect(plan(mended).findings.map((found) => `${found.code} ${found.path.join('.')}`)).not.toContain(`${code} ${path}`);
  });
});

test('a hidden edge may keep its sliver; a third of offset is safe', () => {
  const hidden = {
    ...good,
    measured: { roles: { left: 'hidden', right: 'hidden' } },
    surface: { kind: 'wall', setout: { x: { rule: 'free', offsetMm: 30 }, y: { rule: 'fullFromStart' } } },
  } as const;
  expect(codes(jobOfOne(hidden))).toEqual([]);
  const third = jobOfOne({
    ...good,
    tile: [600, 300],
    surface: { kind: 'wall', pattern: { kind: 'runningBond', lay: 'lying', offset: 1 / 3, step: 'alternating' } },
  });
  expect(codes(third)).not.toContain('advice/long-offset');
});

test('sheets laid closer or wider than their own joint show their seams; a lot that covers all is no trouble', () => {
  expect(codes(inSheets([905, 905], 4))).toContain('advice/sheet-seam');
  expect(codes(inSheets([905, 905], 2))).not.toContain('advice/sheet-seam');
  expect(codes(withTile({ lots: [{ id: 'l', code: 'T', shade: '', calibre: '', pieces: 60 }] }))).toEqual([]);
});

test('a door begins at the foot of its wall; a bath in the corner or well away from it is none to mention', () => {
  const withFixture = (fixture: Fixture): string[] => codes(jobOfOne({ ...good, measured: { fixtures: [fixture] } }));
  const door = (bottomMm: number): Fixture => standing('door', { kind: 'rectangle', widthMm: 900, heightMm: 1000 }, 700, bottomMm);
  expect(withFixture(door(40))).toContain('advice/door-in-the-air');
  expect(withFixture(door(0))).not.toContain('advice/door-in-the-air');
  const bath = (leftMm: number): Fixture => standing('bath', { kind: 'rectangle', widthMm: 900, heightMm: 300 }, leftMm, 0);
  for (const leftMm of [0, 400]) expect(withFixture(bath(leftMm))).not.toContain('advice/stands-off');
});

test('a strip behind a sink is told at what stays of it, not at what the whole tile would leave', () => {
  const behind = (fromTopMm: number): Job =>
    jobOfOne({
      ...good,
      size: [1205, 640],
      measured: {
        fixtures: [
          {
            ...standing('tray', { kind: 'rectangle', widthMm: 700, heightMm: 300 }, 250, 0),
            from: [
              { edge: 'top', mm: fromTopMm },
              { edge: 'left', mm: 250 },
            ],
          },
        ],
      },
      surface: { kind: 'wall', setout: { x: { rule: 'jointCentred' }, y: { rule: 'free', offsetMm: 495 } } },
    });
  const top = (job: Job) => plan(job).surfaces[0].edges.find(({ id }) => id === 'top');
  expect(top(behind(45))?.smallestCutMm).toBeCloseTo(40);
  expect(top(behind(45))?.largestCutMm).toBeCloseTo(135);
  expect(
    plan(behind(45))
      .findings.filter(({ code }) => code === 'advice/sliver')
      .map(({ figures }) => figures.edge),
  ).toContain('top');
  expect(top(behind(300))?.smallestCutMm).toBeCloseTo(135);
});

test('set stones stay as they are when the saw changes; a narrower one can cut them', () => {
  const wide = PROVOKED.underKerf.job;
  const narrow = { ...wide, consumption: { ...wide.consumption, kerfMm: 0.8 } };
  expect(plan(narrow).surfaces[0].layout).toEqual(plan(wide).surfaces[0].layout);
  expect(codes(narrow)).not.toContain('advice/under-kerf');
});

test('a sheet that nobody measured has the size of its chips, not one on a box', () => {
  const sheets = inSheets([905, 905], 2);
  const unmeasured = { ...sheets, products: [{ ...sheets.products[0], measured: null }] };
  expect(codes(unmeasured)).toContain('advice/nominal-sheet');
  const { shape } = sheets.products[0];
  const boxed = withTile({ shape, nominal: { widthMm: 200, heightMm: 200 }, measured: null }, { ...good, surface: sheets.surfaces[0] });
  expect(codes({ ...boxed, surfaces: sheets.surfaces })).toContain('advice/nominal-size');
});

/** What rules say besides, in cases like those above. */
const OTHER_OUTCOMES = [
  'advice/door-in-the-air',
  'advice/fill-thick',
  'advice/finishes-low',
  'advice/heavy-load',
  'advice/missed-window',
  'advice/no-way-in',
  'advice/nominal-sheet',
  'advice/part-joint',
  'advice/reading-disagrees',
  'advice/sheet-seam',
];

test('every code has words and every word a rule', () => {
  expect(Object.keys(ADVICE_WORDS).sort()).toEqual([...Object.values(ALL).map(({ code }) => code), ...OTHER_OUTCOMES].sort());
});

test('other outcomes: a leveller too thick, heavy loads over dry backs; limits go by the practice; what is known of is quiet', () => {
  const { job } = PROVOKED_WORKS.thinCoverage;
  const heavy = { ...job, surfaces: [{ ...job.surfaces[0], kind: 'floor', works: { load: 'heavy' } } as const] };
  expect(codes(heavy)).toContain('advice/heavy-load');
  const deep = PROVOKED_WORKS.fillThickness.job;
  const [surface] = deep.surfaces;
  const readings = surface.measured.levels?.readings.map((one) => ({ ...one, downMm: one.downMm + (one.id === 'c' ? 40 : 0) })) ?? [];
  const thick = { ...surface, measured: { ...surface.measured, levels: { datum: '', fill: 'leveller', leastMm: 3, readings } } } as const;
  expect(codes({ ...deep, surfaces: [thick] })).toContain('advice/fill-thick');
  // A bar right across the floor, and one leaves on its left.
  const bar = standing('column', { kind: 'rectangle', widthMm: 300, heightMm: 1205 }, 1000, 0);
  const parted = jobOfOne({ ...good, surface: { ...good.surface, kind: 'floor', zones: { exit: 'left' } }, measured: { fixtures: [bar] } });
  expect(codes(parted)).toContain('advice/no-way-in');
  const narrow = jobOfOne({ ...good, jointMm: 1.8 });
  expect(codes(narrow)).toContain('advice/narrow-joint');
  expect(codes({ ...narrow, practice: 'northAmerican' })).not.toContain('advice/narrow-joint');
  const known = { ...narrow, surfaces: [{ ...narrow.surfaces[0], known: { 'advice/narrow-joint': 'rectified, tried on a board' } }] };
  expect(openFindings(plan(known).findings)).toEqual([]);
  expect(plan(known).findings[0].known).toBe('rectified, tried on a board');
});
