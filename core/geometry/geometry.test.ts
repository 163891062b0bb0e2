import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { areaInBox } from './areaInBox.ts';
import { circleRing } from './circleRing.ts';
import { difference, intersect, sharedArea, unionOfRings } from './clip.ts';
import { ARC_SAGITTA_MM } from './conventions.ts';
import { insetEdges } from './insetEdges.ts';
import { labelPoint } from './labelPoint.ts';
import { leftOfLine } from './leftOfLine.ts';
import { motion, type Point } from './point.ts';
import {
  boxOf,
  boxRing,
  isConvex,
  isInside,
  mapRing,
  polygonsArea,
  rectangleRing,
  ringArea,
  ringLength,
  tidyRing,
  type Ring,
} from './ring.ts';

/** A convex ring on a circle, counter-clockwise. */
const convexRing = fc
  .tuple(fc.integer({ min: 200, max: 3000 }), fc.uniqueArray(fc.integer({ min: 0, max: 71 }), { minLength: 3, maxLength: 9 }))
  .filter(([, steps]) => {
    const sorted = [...steps].sort((a, b) => a - b);
    return sorted.every((step, k) => ((sorted[(k + 1) % sorted.length] - step + 72) % 72 || 72) < 34);
  })
  .map(([radius, steps]): Ring =>
    [...steps].sort((a, b) => a - b).map((step) => [radius * Math.cos((step * Math.PI) / 36), radius * Math.sin((step * Math.PI) / 36)]),
  );

/** A star-shaped ring, as crooked as rooms come. */
const crookedRing = fc
  .array(fc.integer({ min: 300, max: 2500 }), { minLength: 5, maxLength: 14 })
  .map((radii): Ring =>
    radii.map((r, k) => [r * Math.cos((2 * Math.PI * k) / radii.length), r * Math.sin((2 * Math.PI * k) / radii.length)]),
  );

const anyMotion = fc
  .tuple(fc.integer({ min: -360, max: 360 }), fc.integer({ min: -5000, max: 5000 }), fc.integer({ min: -5000, max: 5000 }))
  .map(([turn, x, y]) => motion(turn, [x, y]));

describe('rings', () => {
  test('area, length and sense survive any motion, and it can be taken back', () => {
    fc.assert(
      fc.property(crookedRing, anyMotion, (ring, { turn, unturn }) => {
        const moved = mapRing(ring, turn);
        expect(ringArea(moved)).toBeCloseTo(ringArea(ring), 2);
        expect(ringLength(moved)).toBeCloseTo(ringLength(ring), 6);
        mapRing(moved, unturn).forEach(([x, y], k) => expect(Math.hypot(x - ring[k][0], y - ring[k][1])).toBeLessThan(1e-6));
      }),
    );
  });

  test('quarter turns are exact', () => expect(motion(90, [0, 0]).turn([7, 3])).toEqual([-3, 7]));

  test('a circle has its own area and strays less than its sagitta', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 4000, noNaN: true }), (radius) => {
        const ring = circleRing([10, -20], radius);
        expect(ringArea(ring) / (Math.PI * radius * radius)).toBeCloseTo(1, 9);
        const middles = ring.map((p, k): Point => [
          (p[0] + ring[(k + 1) % ring.length][0]) / 2,
          (p[1] + ring[(k + 1) % ring.length][1]) / 2,
        ]);
        const strays = [...ring, ...middles].map(([x, y]) => Math.abs(Math.hypot(x - 10, y + 20) - radius));
        expect(strays.filter((mm) => mm >= ARC_SAGITTA_MM)).toEqual([]);
      }),
    );
  });

  test('tidying leaves out what is on a straight line and nothing else', () => {
    const ring: Ring = [
      [0, 0],
      [50, 0],
      [100, 0],
      [100, 0],
      [100, 80],
      [60, 80.0005],
      [0, 80],
    ];
    expect(tidyRing(ring)).toEqual([
      [0, 0],
      [100, 0],
      [100, 80],
      [0, 80],
    ]);
  });

  test('a label lies inside its piece, however crooked', () => {
    fc.assert(
      fc.property(crookedRing, fc.integer({ min: 20, max: 200 }), (ring, hole) => {
        const pieces = difference([[ring]], [[circleRing([0, 0], hole)]]);
        for (const piece of pieces) expect(isInside(labelPoint(piece), [piece])).toBe(true);
      }),
    );
  });
});

describe('clipping', () => {
  test('inside and outside make up the whole, and order does not matter', () => {
    fc.assert(
      fc.property(crookedRing, crookedRing, anyMotion, (a, b, { turn }) => {
        const clip = [[mapRing(b, turn)]];
        const area = polygonsArea([[a]]);
        expect(polygonsArea(intersect([[a]], clip)) + polygonsArea(difference([[a]], clip))).toBeCloseTo(area, 0);
        expect(polygonsArea(intersect(clip, [[a]]))).toBeCloseTo(sharedArea([[a]], clip), 0);
      }),
    );
  });

  test('the area of a crooked ring with a hole within a box is what the library makes of it', () => {
    fc.assert(
      fc.property(crookedRing, fc.integer({ min: -1500, max: 1500 }), fc.integer({ min: 100, max: 2500 }), (ring, at, size) => {
        const holed = [ring, [...rectangleRing(-40, -30, 90, 70)].reverse()];
        const box = { minX: at, minY: at / 2, maxX: at + size, maxY: at / 2 + size / 3 };
        expect(areaInBox(holed, box)).toBeCloseTo(sharedArea([holed], [[boxRing(box)]]), 0);
      }),
    );
  });

  test('a half-plane cut of a convex ring is what the library makes of it', () => {
    fc.assert(
      fc.property(convexRing, fc.integer({ min: -3000, max: 3000 }), fc.integer({ min: 0, max: 359 }), (ring, shift, angle) => {
        expect(isConvex(ring)).toBe(true);
        const { turn } = motion(angle, [shift, shift / 2]);
        const kept = leftOfLine(ring, turn([0, 0]), turn([1, 0]));
        const halfPlane = [[mapRing(rectangleRing(-9000, 0, 18_000, 9000), turn)]];
        expect(kept.length === 0 ? 0 : ringArea(kept)).toBeCloseTo(sharedArea([[ring]], halfPlane), -1);
      }),
    );
  });
});

describe('perimeter gaps', () => {
  test('of a rectangle are taken off side by side', () => {
    const [[ring]] = insetEdges(rectangleRing(0, 0, 2000, 1000), [5, 12, 0, 7]);
    expect(boxOf(ring)).toEqual({ minX: 7, minY: 5, maxX: 1988, maxY: 1000 });
  });

  test('of an inside corner keep it sharp', () => {
    const ell: Ring = [
      [0, 0],
      [3000, 0],
      [3000, 1000],
      [1200, 1000],
      [1200, 2500],
      [0, 2500],
    ];
    expect(
      polygonsArea(
        insetEdges(
          ell,
          ell.map(() => 10),
        ),
      ),
    ).toBeCloseTo(2980 * 980 + 1180 * 1500, 3);
  });

  test('of a convex room leave what lies that far from every wall', () => {
    fc.assert(
      fc.property(convexRing, fc.array(fc.integer({ min: 0, max: 25 }), { minLength: 9, maxLength: 9 }), (ring, gaps) => {
        const expected = ring.reduce<Ring>((left, from, k) => {
          const to = ring[(k + 1) % ring.length];
          const size = Math.hypot(to[0] - from[0], to[1] - from[1]);
          const normal: Point = [(-(to[1] - from[1]) / size) * gaps[k], ((to[0] - from[0]) / size) * gaps[k]];
          return left.length === 0
            ? left
            : leftOfLine(left, [from[0] + normal[0], from[1] + normal[1]], [to[0] + normal[0], to[1] + normal[1]]);
        }, ring);
        fc.pre(
          expected.length === ring.length &&
            ring.every((p, k) => Math.hypot(p[0] - ring[(k + 1) % ring.length][0], p[1] - ring[(k + 1) % ring.length][1]) > 150),
        );
        expect(polygonsArea(insetEdges(ring, gaps.slice(0, ring.length)))).toBeCloseTo(ringArea(expected), -1);
      }),
    );
  });

  test.each([[[60, 60, 60, 60]], [[0, 101, 0, 0]], [[30, 0, 70.01, 0]]])('too wide, %j leave nothing', (gaps) => {
    expect(insetEdges(rectangleRing(0, 0, 100, 100), gaps)).toEqual([]);
  });

  test('a join of overlapping rings counts shared ground once', () => {
    expect(polygonsArea(unionOfRings([rectangleRing(0, 0, 100, 100), rectangleRing(50, 0, 100, 100)]))).toBeCloseTo(15_000, 6);
  });
});
