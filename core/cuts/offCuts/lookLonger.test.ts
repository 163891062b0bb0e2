import { Memory } from '../../memory.ts';
import { expect, test } from '@jest/globals';
import { plan } from '../../plan.ts';
import type { Job } from '../../job/job.ts';
import { PATTERNS } from '../../pattern/registry.ts';
import { cutRuleOf } from '../../plan/share/shareOut.ts';
import { roomToSearch } from '../../samples/roomToSearch.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import { roundsFor } from './packTiles.ts';
import { planOffCuts } from './planOffCuts.ts';
import { lookingLonger, type LookedLonger } from './lookLonger.ts';

/** A countertop of small stones of many sizes, sawn from one: their many cuts leave something to be found. */
const countertop = (): Job =>
  jobOfOne({
    size: [2536, 948],
    tile: [395, 395],
    jointMm: 2,
    surface: {
      pattern: { ...PATTERNS.ashlar.defaults, seed: 29 },
      setout: { x: { rule: 'free', offsetMm: 145.5 }, y: { rule: 'free', offsetMm: 109.5 } },
    },
  });

test('what looking longer finds is the plan of the job from then on, to the tile, and the same again after as many rounds', () => {
  const job = countertop();
  const laid = plan(job).surfaces.map((surface) => ({ ...surface, sheets: [], cuts: surface.cuts.filter(({ of }) => of !== 'chip') }));
  const steps = lookingLonger(laid, job.products, cutRuleOf(job), 200);
  const told: LookedLonger[] = [];
  let step = steps.next();
  for (; !step.done; step = steps.next()) told.push(step.value);
  const looked = step.value;
  const opened = (rounds: number): number =>
    planOffCuts(laid, job.products, { ...cutRuleOf(job), offCutRounds: rounds }, new Memory()).reduce(
      (sum, { openedForCuts }) => sum + openedForCuts,
      0,
    );
  expect(looked.openedAtFirst).toBe(opened(0));
  expect(opened(looked.foundAfter)).toBe(looked.opened);
  expect(looked.opened).toBeLessThan(looked.openedAtFirst);
  expect(looked.opened).toBeGreaterThanOrEqual(looked.lowerBound);
  // Stopped on the way it tells what it has so far, and that is the plan of as many rounds.
  const half = told[Math.floor(looked.foundAfter / 2)];
  expect(opened(half.foundAfter)).toBe(half.opened);
  // Never worse from one round to the next.
  expect(told.every(({ opened: now }, k) => k === 0 || now <= told[k - 1].opened)).toBe(true);
});

test('where nothing can be found, or no off-cut is kept, it ends by itself', () => {
  const room = roomToSearch(1, 25);
  const thrown: Job = { ...room, consumption: { ...room.consumption, offCutsKept: false } };
  const { value, done } = lookingLonger(plan(thrown).surfaces, thrown.products, cutRuleOf(thrown), 500).next();
  expect([value.opened, value.openedAtFirst, done]).toEqual([0, 0, true]);
});

test('however many rounds a job file asks for, no plan is busy for longer than some seconds', () => {
  // A million pieces looked at, whatever is asked; where there are few, as many rounds as that is.
  expect([roundsFor(100, 4000), roundsFor(2000, 4000), roundsFor(2000), roundsFor(40)]).toEqual([4000, 500, 3, 150]);
});
