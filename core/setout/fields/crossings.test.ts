import { describe, expect, test } from '@jest/globals';
import { plan } from '../../plan.ts';
import type { Point } from '../../geometry/point.ts';
import { forEachWhole, tileRing } from '../place/layout.ts';
import type { Field } from './field.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import { randomJob } from '../../samples/randomJob.ts';
import { countCrossings, sharedJointLengths } from './crossings.ts';
import { trials } from '../../../testing/trials.ts';

const fieldsOf = (job: ReturnType<typeof jobOfOne>): readonly Field[] => plan(job).surfaces[0].fields;

/** Corners of all pieces as they lie, each with its piece. */
function cornersOf(fields: readonly Field[]): { at: Point; piece: number }[] {
  const rings: (readonly Point[])[] = [];
  for (const { layout } of fields) {
    forEachWhole(layout, (address) => rings.push(tileRing(layout, address)));
    for (const { polygons } of layout.cutTiles) for (const [outer] of polygons) rings.push(outer);
  }
  return rings.flatMap((ring, piece) => ring.map((at) => ({ at, piece })));
}

describe('crossings', () => {
  test('a grid of 4 x 3 whole tiles has 6 crosses; half-bond has tees alone', () => {
    const grid = {
      size: [1219, 916],
      tile: [300, 300],
      jointMm: 3,
      surface: { setout: { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } } },
    } as const;
    expect(countCrossings(fieldsOf(jobOfOne(grid)))).toEqual({ cross: 6, tee: 0, wye: 0 });
    const bond = jobOfOne({
      ...grid,
      size: [1219, 407],
      tile: [300, 97],
      surface: { ...grid.surface, pattern: { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' } },
    });
    // Between four courses of four, three beds; above each the upright joints of one course, below it those of the next: 3 + 4.
    expect(countCrossings(fieldsOf(bond))).toEqual({ cross: 0, tee: 3 * 7, wye: 0 });
  });

  test('in rooms of squares as many crosses as places where corners of four pieces are a joint apart', () => {
    for (let seed = 1; seed <= trials(12); seed++) {
      const job = randomJob(seed);
      // At a movement joint nothing is kept apart by a cross.
      const measured = { ...job.surfaces[0].measured };
      delete measured.carriedJoints;
      const plain = { bands: [], insets: [], border: null, measured };
      const surface = { ...job.surfaces[0], pattern: { kind: 'stack', lay: 'lying' } as const, ...plain };
      const tile = job.products.find(({ shape }) => shape.kind === 'rectangle');
      if (!tile) continue;
      const planned = plan({ ...job, surfaces: [{ ...surface, productId: tile.id, jointMm: 3 }], links: [] }).surfaces[0];
      const corners = cornersOf(planned.fields);
      const seen = new Set<string>();
      for (const { at } of corners) {
        const near = corners.filter(({ at: [x, y] }) => Math.hypot(x - at[0], y - at[1]) < 4.6);
        if (new Set(near.map(({ piece }) => piece)).size < 4) continue;
        const mean = [0, 1].map((axis) => near.reduce((sum, one) => sum + one.at[axis], 0) / near.length);
        seen.add(mean.map((mm) => Math.round(mm / 3)).join());
      }
      expect(Math.abs(countCrossings(planned.fields).cross - seen.size)).toBeLessThanOrEqual(Math.ceil(seen.size * 0.02));
    }
  });

  test('hexagons meet by three: twice as many places as pieces, but for those at the walls', () => {
    const plain = jobOfOne({ size: [3000, 3000], tile: [200, 230.94], jointMm: 3 });
    const job = {
      ...plain,
      products: [{ ...plain.products[0], shape: { kind: 'hexagon' } as const }],
      surfaces: [{ ...plain.surfaces[0], pattern: { kind: 'hexagon', lay: 'upright' } as const }],
    };
    const planned = plan(job as typeof plain).surfaces[0];
    const { cross, tee, wye } = countCrossings(planned.fields);
    expect([cross, tee]).toEqual([0, 0]);
    const spots = new Set<string>();
    const corners = cornersOf(planned.fields);
    for (const { at } of corners) {
      const near = corners.filter(({ at: [x, y] }) => Math.hypot(x - at[0], y - at[1]) < 4);
      if (new Set(near.map(({ piece }) => piece)).size < 3) continue;
      spots.add([0, 1].map((axis) => Math.round(near.reduce((sum, one) => sum + one.at[axis], 0) / near.length / 3)).join());
    }
    expect(wye).toBe(spots.size);
  });
});

test('the shared joints of a grid, each once', () => {
  const grid = jobOfOne({
    size: [1219, 916],
    tile: [300, 300],
    jointMm: 3,
    surface: { setout: { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } } },
  });
  expect([...sharedJointLengths(fieldsOf(grid), 20)]).toEqual([[300, 3 * 3 + 4 * 2]]);
});
