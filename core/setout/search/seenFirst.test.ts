import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { planSurface } from '../../plan.ts';
import { candidatesOf } from '../../compare/compareSetouts.ts';
import type { SurfacePlan } from '../../plan/planned.ts';
import { wallsThrough } from '../../surface/shapes/asWalls.ts';
import type { EdgeRole } from '../../surface/edge.ts';
import { jobOfOne, type WantedJob } from '../../samples/testJob.ts';
import type { EdgeTally } from '../tally/figures.ts';

const planned = (wanted: WantedJob): SurfacePlan => {
  const job = jobOfOne(wanted);
  return planSurface(job, job.surfaces[0]);
};
const along = ({ advice }: SurfacePlan, id: string): EdgeTally => {
  const found = advice.chosen.figures.edges.find(({ owner }) => owner.id === id);
  if (!found) throw new Error(`no edge ${id}`);
  return found;
};

describe('a full piece where one looks first is not paid for by a strip elsewhere', () => {
  /** Half bond of 593 tiles at a free end: courses begin full and half by turns, or nowhere full. */
  const wall = (widthMm: number, heightMm: number, role: EdgeRole) =>
    planned({
      size: [widthMm, heightMm],
      tile: [593, 293],
      jointMm: 3,
      gapMm: 3,
      surface: { pattern: { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' } },
      measured: { roles: { left: role } },
    });
  test('strips of 12.5 mm in the inside corner are no price for it', () => {
    // From the left 3 + (295 + 3 + 593 + 3) leave 12.5 of 909.5 less 3 at the right in every course that begins with a half.
    const plan = wall(909.5, 2000, 'exposed');
    expect(along(plan, 'left').thinnestMm).toBeGreaterThan(100);
    expect(along(plan, 'right').thinnestMm).toBeGreaterThan(100);
  });
  test('in any wall: where the seen end begins full in every other course, the other has no sliver in any', () => {
    const roles = fc.constantFrom<EdgeRole>('exposed', 'focal', 'threshold');
    fc.assert(
      fc.property(fc.integer({ min: 860, max: 2600 }), fc.constantFrom(900, 2000), roles, (widthMm, heightMm, role) => {
        const plan = wall(widthMm, heightMm, role);
        const left = along(plan, 'left');
        if (left.cutMm < 0.6 * left.owner.lengthMm) expect(along(plan, 'right').sliverMm).toBe(0);
      }),
      { numRuns: 60 },
    );
  });
});

test('a step of 60 x 35 in the outline does not put cut pieces at the free end', () => {
  // The field is 1592 less 2 x 3; off the free end whole tiles of 150 and joints of 2 leave 66 above the step and 6 beside it.
  const points = [
    [0, 0],
    [1532, 0],
    [1532, 35],
    [1592, 35],
    [1592, 560],
    [0, 560],
  ] as const;
  const shape = wallsThrough(
    points,
    points.map((_, k) => ({ id: 'abcdef'[k], name: '', curve: null })),
  );
  const plan = planned({ size: [1592, 560], tile: [150, 150], jointMm: 2, gapMm: 3, measured: { shape, roles: { f: 'exposed' } } });
  expect(along(plan, 'f').cutMm).toBe(0);
  expect(along(plan, 'd').thinnestMm).toBeCloseTo(66, 6);
});

test.each([
  [100, 1430, 1210],
  [150, 1835, 2240],
  [100, 1835, 2240],
])('octagons of %i stand whole along the edge seen first, in %i x %i', (across, ...size) => {
  const job = jobOfOne({ size, tile: [across, across], jointMm: 3, measured: { roles: { bottom: 'focal' } } });
  const octagon = { ...job.products[0], shape: { kind: 'octagon' as const, cornerMm: 0.29 * across } };
  const [surface] = job.surfaces;
  const plan = planSurface(
    { ...job, products: [octagon] },
    { ...surface, kind: 'floor', setout: { x: { rule: 'best' }, y: { rule: 'best' } }, pattern: { kind: 'octagonDot' } },
  );
  expect(along(plan, 'bottom').mainCutMm).toBe(0);
  expect(along(plan, 'bottom').cutMm).toBeGreaterThan(0);
});

test('a floor turned by 45° comes out alike at opposite walls', () => {
  // Diagonals of 200 + 3 square to the wall: 143.54 apart; centred, 105.6 to 249.2 at each of four walls.
  const plan = planned({ size: [1948, 1948], tile: [200, 200], jointMm: 3, surface: { turnDeg: 45, kind: 'floor' } });
  const ends = ['left', 'right', 'bottom', 'top'].map((id) => along(plan, id));
  for (const { thinnestMm, widestMm } of ends) {
    expect(thinnestMm).toBeCloseTo(105.6, 0);
    expect(widestMm).toBeCloseTo(249.2, 0);
  }
});

test('a doorway is a middle of the floor behind it: what is cut beside it is cut alike on both sides', () => {
  const plan = planned({
    size: [2417, 2000],
    tile: [300, 300],
    jointMm: 3,
    surface: { kind: 'floor' },
    measured: {
      roles: { left: 'hidden', right: 'hidden' },
      doorways: [{ id: 'door', edge: 'bottom', fromStartMm: 500, widthMm: 800, depthMm: 60 }],
    },
  });
  expect(along(plan, 'door').cutMm).toBe(0);
  expect(along(plan, 'door-start').thinnestMm).toBeCloseTo(along(plan, 'door-end').thinnestMm, 1);
});

test('of compared starts no two are twins, and none scores better than the first', () => {
  fc.assert(
    fc.property(fc.integer({ min: 800, max: 2400 }), fc.integer({ min: 800, max: 2000 }), fc.boolean(), (widthMm, heightMm, isExposed) => {
      const job = jobOfOne({
        size: [widthMm, heightMm],
        tile: [593, 293],
        jointMm: 3,
        surface: { pattern: { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' } },
        measured: { roles: isExposed ? { left: 'exposed' } : {} },
      });
      const starts = candidatesOf(job, job.surfaces[0]).map(({ candidate }) => candidate);
      const sizes = starts.map(({ figures }) =>
        figures.edges
          .map(({ cutMm, thinnestMm, widestMm }) => (cutMm < 1 ? 'full' : `${Math.round(thinnestMm)} ${Math.round(widestMm)}`))
          .join(),
      );
      expect(new Set(sizes).size).toBe(sizes.length);
      for (const { score } of starts) expect(score).toBeGreaterThanOrEqual(starts[0].score);
      // What is laid is the first of them, or scores as well.
      expect(planSurface(job, job.surfaces[0]).advice.chosen.score).toBeLessThanOrEqual(starts[0].score + 0.02 * Math.abs(starts[0].score));
    }),
    { numRuns: 8 },
  );
});
