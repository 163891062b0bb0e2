import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { compareSetouts, planCompared } from '@azulejo/core/compare/compareSetouts';
import type { Job, Surface } from '@azulejo/core/job/job';
import { Memory } from '@azulejo/core/memory';
import { planSurface } from '@azulejo/core/plan';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { demoJob } from '../../../testing/demoJob.ts';
import type { ShownSetout } from '../../workers/planWorker.ts';
import { besides, isBehind, isInForce, orderMoved, tradePoints, zonesWanted } from './model.ts';
import { narrowestOf } from './starts/startWords.ts';

const job: Job = demoJob('tidewater-bakehouse');
const found = job.surfaces.find(({ id }) => id === 'washroom-floor');
if (!found) throw new Error('the demo has a washroom floor');
const free: Surface = { ...found, setout: { x: { rule: 'best' }, y: { rule: 'best' } } };
const memory = new Memory();
let shown: readonly ShownSetout[];
let plan: SurfacePlan;

beforeAll(() => {
  const steps = compareSetouts(job, free, memory);
  let step = steps.next();
  while (!step.done) step = steps.next();
  shown = step.value.map((compared) => ({ ...compared, plan: planCompared(job, free, compared, memory) }));
  plan = planSurface(job, free, memory);
}, 120_000);

describe('starts to compare', () => {
  test('once one is taken it is in force, and no other that differs', () => {
    for (const [k, { change }] of shown.entries()) {
      const laid = { ...free, ...change };
      const own = planSurface(job, laid, memory);
      expect(shown.map((start) => isInForce(start, laid, own))).toEqual(shown.map((_, other) => other === k));
    }
  });

  test('another joint or another pattern is not in force, however alike it lies', () => {
    const [best] = shown;
    const laid = { ...free, ...best.change };
    const own = planSurface(job, laid, memory);
    expect(isInForce(best, { ...laid, jointMm: laid.jointMm + 0.5 }, own)).toBe(false);
    expect(isInForce(best, { ...laid, pattern: { kind: 'runningBond', lay: 'lying', offset: 0.5 } as Surface['pattern'] }, own)).toBe(
      false,
    );
  });

  test('what is laid is behind where a clearly better start was found, and only where it was left to the product', () => {
    const at = (score: number): SurfacePlan => ({ ...plan, advice: { ...plan.advice, chosen: { ...plan.advice.chosen, score } } });
    const best = shown[0].candidate.score;
    expect(isBehind(shown, free, at(best))).toBe(false);
    expect(isBehind(shown, free, at(best + 0.005 * Math.abs(best)))).toBe(false);
    expect(isBehind(shown, free, at(best + 0.02 * Math.abs(best)))).toBe(true);
    const byHand: Surface = { ...free, setout: { x: { rule: 'fullFromStart' }, y: { rule: 'best' } } };
    expect(isBehind(shown, byHand, at(best + 1))).toBe(false);
    expect(isBehind([], free, at(best + 1))).toBe(false);
  });

  test('at most three stand side by side, the ones asked for last', () => {
    const events = fc.array(fc.tuple(fc.nat(6), fc.boolean()), { maxLength: 30 });
    fc.assert(
      fc.property(events, (asked) => {
        let now: readonly number[] = [];
        for (const [k, on] of asked) {
          now = besides(now, k, on);
          expect(now.length).toBeLessThanOrEqual(3);
          expect(new Set(now).size).toBe(now.length);
          expect(now.includes(k)).toBe(on);
          if (on) expect(now.at(-1)).toBe(k);
        }
      }),
    );
  });

  test('the chart has each start once, with the narrowest piece that its plan cuts', () => {
    const points = tradePoints(shown, narrowestOf);
    expect(points.map(({ k }) => k)).toEqual(shown.map((_, k) => k));
    for (const { k, cuts, wastePercent, narrowestMm } of points) {
      const { totals, cuts: pieces } = shown[k].plan;
      expect([cuts, wastePercent]).toEqual([totals.cut, Math.round(1000 * totals.wasteShare) / 10]);
      expect(narrowestMm === null).toBe(pieces.length === 0);
      if (narrowestMm !== null) expect(narrowestMm).toBeGreaterThan(0);
    }
  });
});

describe('zones in their order', () => {
  const zones = () => plan.zones.zones;
  test('moved by hand they are numbered as they will be laid, before the plan has caught up', () => {
    const planned = zones();
    const order = planned.map(({ id }) => id).reverse();
    const wanted = zonesWanted(planned, order);
    expect(wanted.map(({ id }) => id)).toEqual(order);
    expect(wanted.map(({ number }) => number)).toEqual(planned.map((_, k) => k + 1));
    // An order of zones that are no longer there is not followed by half.
    expect(zonesWanted(planned, [...order.slice(1), 'gone']).map(({ id }) => id)).toEqual(planned.map(({ id }) => id));
    expect(zonesWanted(planned).map(({ id }) => id)).toEqual(planned.map(({ id }) => id));
  });

  test('a zone changes places with the one before or after it, and no zone is lost', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9 }), fc.nat(8), fc.constantFrom(-1, 1), (count, at, by) => {
        const ids = Array.from({ length: count }, (_, k) => ({ id: `z${k}` }));
        const k = at % count;
        const moved = orderMoved(ids, k, by);
        expect([...moved].sort()).toEqual(ids.map(({ id }) => id).sort());
        const there = k + by >= 0 && k + by < count;
        expect(moved[there ? k + by : k]).toBe(`z${k}`);
      }),
    );
  });
});
