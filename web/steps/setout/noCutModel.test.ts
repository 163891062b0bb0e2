import { expect, test } from '@jest/globals';
import { METRIC_TAPE } from '@azulejo/core/units/tape';
import { demoJob, demoPlan } from '../../../testing/demoJob.ts';
import { noCutModel, ranged, startRange } from './noCutModel.ts';

const job = demoJob('tidewater-bakehouse');
const { surfaces } = demoPlan('tidewater-bakehouse');
const tread = surfaces.find(({ surfaceId }) => surfaceId === 'steps-tread-1');
if (!tread) throw new Error('the demo has no first tread');
const { traced } = tread;

test('gaps begin about those that the surface has: what lies against a profile has next to none', () => {
  const { gapsMm } = startRange(traced);
  for (const { id, gapMm } of traced.edges) {
    const [least, most] = gapsMm[id as keyof typeof gapsMm];
    expect([least <= gapMm, gapMm <= most]).toEqual([true, true]);
  }
  const atProfile = traced.edges.map((edge) => (edge.id === 'bottom' ? { ...edge, gapMm: 0.5 } : edge));
  expect(startRange({ ...traced, edges: atProfile }).gapsMm.bottom).toEqual([0, 1]);
});

test('an end of a range that passes the other takes it along', () => {
  expect([ranged([2, 5], 0, 3), ranged([2, 5], 0, 7), ranged([2, 5], 1, 4), ranged([2, 5], 1, 1)]).toEqual([
    [3, 5],
    [7, 7],
    [2, 4],
    [1, 1],
  ]);
});

test('every rectangular tile of the job is told of, its own first, each with why; by the height alone there is one reason', () => {
  const range = startRange(traced);
  const { laid, others } = noCutModel(job, traced, range, METRIC_TAPE);
  const rectangles = job.products.filter(({ shape }) => shape.kind === 'rectangle').map(({ id }) => id);
  expect(new Set([...laid, ...others].map(({ found }) => found.productId))).toEqual(new Set(rectangles));
  expect(laid.map(({ found }) => found.productId)).toContain(job.surfaces.find(({ id }) => id === 'steps-tread-1')?.productId);
  for (const { words, why, found } of [...laid, ...others]) {
    expect(why).toHaveLength(2);
    expect(words === 'Needs a cut.').toBe(!found.across?.jointsMm || !found.up.jointsMm);
  }
  const byHeight = noCutModel(job, traced, { ...range, coursesOnly: true }, METRIC_TAPE);
  for (const { why } of [...byHeight.laid, ...byHeight.others]) expect(why).toEqual([expect.stringMatching(/^Bottom to top: /)]);
});
