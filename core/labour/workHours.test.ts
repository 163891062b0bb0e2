import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { DEMO_JOBS, demoJob, demoPlan } from '../../testing/demoJob.ts';
import { PATTERNS, type PatternId } from '../pattern/registry.ts';
import { planSurface } from '../plan.ts';
import { jobOfOne } from '../samples/testJob.ts';
import type { SurfaceFigures } from '../takeoff/figures.ts';
import { TASK_IDS, TASKS, type TaskId } from './tasks.ts';
import { hoursOf, mixPaces, paceInForce, workHours, type HoursRules, type WorkHours } from './workHours.ts';

const job = jobOfOne({ size: [3000, 2400], tile: [300, 300], jointMm: 3, surface: { kind: 'floor' } });
const floor = planSurface(job, job.surfaces[0]).figures;
const RULES: HoursRules = { materials: {} };

const of = (task: TaskId, figures: SurfaceFigures, rules: HoursRules = RULES): WorkHours | undefined =>
  workHours([figures], rules).find((one) => one.task === task);
const hours = (task: TaskId, figures: SurfaceFigures, rules: HoursRules = RULES): number => of(task, figures, rules)?.hours ?? 0;
const does = (works: Partial<SurfaceFigures['works']['does']>): SurfaceFigures => ({
  ...floor,
  works: { ...floor.works, does: { ...floor.works.does, ...works } },
});

describe.each(DEMO_JOBS)('the work of %s', (name) => {
  const figures = demoPlan(name).surfaces.map((surface) => surface.figures);
  const work = workHours(figures, demoJob(name));

  test('is amount over pace, counted once for each work and surface, in the order of the work', () => {
    for (const one of work) {
      expect(one.hours).toBeCloseTo(one.amount / one.pace, 9);
      expect(one.hours).toBeGreaterThan(0);
    }
    expect(new Set(work.map(({ task, surfaceId }) => `${task} ${surfaceId}`)).size).toBe(work.length);
    const turns = work.map(({ task }) => TASK_IDS.indexOf(task));
    expect(turns).toEqual([...turns].sort((a, b) => a - b));
    expect(hoursOf(work)).toBeCloseTo(
      TASK_IDS.reduce((sum, task) => sum + hoursOf(work, task), 0),
      6,
    );
  });

  test('of two surfaces is what each takes by itself', () => {
    const apart = figures.flatMap((one) => workHours([one], demoJob(name)));
    expect(hoursOf(apart)).toBeCloseTo(hoursOf(work), 6);
  });

  test('every surface is set out, laid and grouted, and what it lays and grouts is its area', () => {
    for (const one of figures) {
      const own = work.filter(({ surfaceId }) => surfaceId === one.surfaceId);
      const amount = (task: TaskId): number => own.find((line) => line.task === task)?.amount ?? 0;
      expect(amount('setOut')).toBe(1);
      expect(amount('grout')).toBeCloseTo(one.areaMm2 / 1e6, 9);
      expect(amount('lay') + amount('bottomRow')).toBeCloseTo(one.areaMm2 / 1e6, 9);
    }
  });
});

describe('how fast it goes', () => {
  test('this job speaks before habit, and habit before what is usual', () => {
    const habits = { pace: { lay: 3 } };
    expect(paceInForce(RULES, 'lay')).toEqual({ pace: TASKS.lay.pace, from: 'typical' });
    expect(paceInForce({ habits }, 'lay')).toEqual({ pace: 3, from: 'habit' });
    expect(paceInForce({ habits, labour: { paces: { lay: 2 } } }, 'lay')).toEqual({ pace: 2, from: 'job' });
    expect(of('lay', floor, { ...RULES, habits })?.from).toBe('habit');
  });

  test.each(TASK_IDS)('%s at twice the pace takes half the hours, down to what no face takes less than', (task) => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 60, noNaN: true }), (pace) => {
        const at = (so: number): number => hours(task, floor, { ...RULES, labour: { paces: { [task]: so } } });
        const least = (TASKS[task] as { leastHours?: number }).leastHours ?? 0;
        expect(at(2 * pace)).toBeCloseTo(Math.max(at(pace) / 2, at(pace) > 0 ? least : 0), 9);
      }),
    );
  });

  test('a face of a hand’s size takes its least: mixing, reaching, cleaning', () => {
    const tiny = { ...floor, areaMm2: 10_000, jointAreaMm2: 100 };
    expect([hours('lay', tiny), hours('grout', tiny)]).toEqual([0.25, 0.1]);
  });

  test('walls and counters are slower than floors, a turned field than a straight one, small tiles than large ones', () => {
    const lay = (part: Partial<SurfaceFigures>): number => hours('lay', { ...floor, ...part });
    expect(lay({ kind: 'wall' })).toBeGreaterThan(lay({}));
    expect(lay({ kind: 'countertop' })).toBeGreaterThan(lay({ kind: 'wall' }));
    expect(lay({ isTurned: true })).toBeGreaterThan(lay({}));
    const bySide = [100, 200, 300, 400, 600].map((longestSideMm) => lay({ longestSideMm }));
    expect(bySide).toEqual([...bySide].sort((a, b) => b - a));
    // Two pairs of hands go at a plank of a metre twenty.
    expect(lay({ longestSideMm: 1200 })).toBeGreaterThan(lay({ longestSideMm: 600 }));
  });

  test.each(Object.keys(PATTERNS) as PatternId[])('%s goes no faster than straight joints, and no more than twice as slow', (pattern) => {
    const slower = hours('lay', { ...floor, pattern }) / hours('lay', { ...floor, pattern: 'stack' });
    expect(slower).toBeCloseTo(PATTERNS[pattern].slower, 9);
    expect(slower).toBeGreaterThanOrEqual(1);
    expect(slower).toBeLessThan(2);
  });

  test('more joint to fill takes longer to grout, up to three times', () => {
    const grout = (share: number): number => hours('grout', { ...floor, jointAreaMm2: share * floor.areaMm2 });
    expect(grout(0.01)).toBe(grout(0.04));
    expect(grout(0.08)).toBeCloseTo(2 * grout(0.04), 9);
    expect(grout(0.5)).toBeCloseTo(3 * grout(0.04), 9);
  });
});

describe('what is there to do', () => {
  test.each([
    ['prime', 'prime'],
    ['board', 'board'],
    ['membrane', 'waterproof'],
    ['sealTile', 'sealTile'],
    ['haze', 'haze'],
    ['sealGrout', 'sealGrout'],
    ['protect', 'protect'],
  ] as const)('where %s is said, %s is done; where not, not', (said, task) => {
    expect(hours(task, does({ [said]: true }))).toBeGreaterThan(0);
    expect(of(task, does({ [said]: false }))).toBeUndefined();
  });

  test('coats are gone over each, by the data sheet or as is usual on the ground', () => {
    const wet = does({ membrane: true, prime: true });
    const coats = (item: string, figure: string, value: number): HoursRules => ({
      materials: { [item]: { figures: { [figure]: value } } },
    });
    const once = hours('waterproof', wet, coats('membrane', 'coats', 1));
    expect(hours('waterproof', wet, coats('membrane', 'coats', 3))).toBeCloseTo(3 * once, 9);
    expect(of('waterproof', wet, coats('membrane', 'coats', 3))?.coats).toBe(3);
    expect(of('waterproof', wet, coats('membrane', 'coats', 1))?.coats).toBeUndefined();
    expect(hours('prime', wet, coats('primer', 'coats', 2))).toBeCloseTo(2 * hours('prime', wet, coats('primer', 'coats', 1)), 9);
  });

  test('a bed and levelling compound are one or the other, over what is filled', () => {
    const fill = (kind: 'bed' | 'leveller'): SurfaceFigures => ({ ...floor, fill: { kind, meanMm: 12, areaMm2: 4e6 } });
    expect([of('level', fill('leveller'))?.amount, of('bed', fill('leveller'))]).toEqual([4, undefined]);
    expect([of('level', fill('bed')), of('bed', fill('bed'))?.amount]).toEqual([undefined, 4]);
    expect(of('level', floor)).toBeUndefined();
  });

  test('what lies under a ledger is laid when it is off, and the board is fixed and taken down by its metres', () => {
    const wall = { ...floor, kind: 'wall' as const, ledgerRunsMm: [1200, 800], ledgerRowMm2: 6e5 };
    expect(of('ledger', wall)?.amount).toBe(2);
    expect(of('ledgerOff', wall)?.amount).toBe(2);
    // The holes are filled, and where it is wet sealed again in as many coats as the wall.
    expect([of('ledgerHoles', wall)?.amount, of('ledgerSeal', wall)]).toEqual([2, undefined]);
    const wet = does({ membrane: true });
    expect(of('ledgerSeal', { ...wall, works: wet.works })).toMatchObject({ amount: 4, coats: 2 });
    expect(of('bottomRow', wall)?.amount).toBeCloseTo(0.6, 9);
    expect((of('lay', wall)?.amount ?? 0) + 0.6).toBeCloseTo(floor.areaMm2 / 1e6, 9);
  });
});

test('powders are used up as fast as is laid, grouted and poured; where nothing is, as is usual', () => {
  const work = workHours([floor], RULES);
  const paces = mixPaces(work);
  expect(paces.adhesive).toBeCloseTo(floor.areaMm2 / 1e6 / hoursOf(work, 'lay'), 9);
  expect(paces.leveller).toBe(TASKS.level.pace);
  expect(mixPaces([])).toEqual({ adhesive: TASKS.lay.pace, grout: TASKS.grout.pace, leveller: TASKS.level.pace });
});
