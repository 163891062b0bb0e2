import { expect, test } from '@jest/globals';
import type { Point } from '../../geometry/point.ts';
import { plan } from '../../plan.ts';
import { wallsThrough } from '../../surface/shapes/asWalls.ts';
import { jobOfOne } from '../../samples/testJob.ts';

const FULL = { rule: 'fullFromStart' } as const;

/** Tiles of 100 and a joint of 2, full off the left and the bottom, within these corners. */
const wallWith = (corners: readonly Point[]) =>
  plan(
    jobOfOne({
      size: [1000, 1000],
      tile: [100, 100],
      jointMm: 2,
      gapMm: 0,
      surface: { kind: 'wall', setout: { x: FULL, y: FULL } },
      measured: {
        shape: wallsThrough(
          corners,
          corners.map((_, k) => ({ id: 'abcdefgh'[k], name: '', curve: null })),
        ),
      },
    }),
  ).surfaces[0];

test('a piece that runs out to a point is judged by its wide end, one with a corner off by what stays', () => {
  const { edges } = wallWith([
    [0, 0],
    [1000, 0],
    [0, 500],
  ]);
  // The left side of a tile is met 500 - 51 n up from its foot, its right side 50 lower: 143 and 93, 92 and 42, 41 and none.
  const slope = edges.find(({ id }) => id === 'b');
  expect(slope?.smallestCutMm).toBeCloseTo(41, 4);
  expect([...new Set(slope?.cuts.map(({ thinnestMm }) => Math.round(thinnestMm * 10) / 10))].sort()).toEqual([41, 42, 93]);
});
