import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { circleRing } from '../../geometry/circleRing.ts';
import { motion, type Point } from '../../geometry/point.ts';
import { ringArea, type Ring } from '../../geometry/ring.ts';
import { startMeasured } from '../../job/startJob.ts';
import { checkMeasured } from '../../surface/checkMeasured.ts';
import { traceSurface } from '../../surface/traceSurface.ts';
import { cutOutsWithin } from './cutOutsWithin.ts';
import type { DrawnPath } from './drawnPath.ts';
import { placedOutline } from './outlineShape.ts';

const path = (ring: Ring): DrawnPath => ({ layer: '0', closed: true, corners: ring.map((at) => ({ at, bulge: 0 })) });
const name = (number: number): string => `Cut-out ${number}`;

/** An L of 4 x 3 m with its inner corner at 2.5, 1.8; the hole at a share of the room there is in its foot. */
const L: Ring = [
  [0, 0],
  [4000, 0],
  [4000, 1800],
  [2500, 1800],
  [2500, 3000],
  [0, 3000],
];
const HOLES: Readonly<Record<string, (size: number) => Ring>> = {
  rectangle: (size) => [
    [0, 0],
    [size, 0],
    [size, 0.6 * size],
    [0, 0.6 * size],
  ],
  triangle: (size) => [
    [0, 0],
    [size, 0.1 * size],
    [0.3 * size, 0.8 * size],
  ],
  round: (size) => circleRing([size / 2, size / 2], size / 2),
};

test('a hole of a drawing lies on the surface where it was drawn, however the drawing is turned and whatever its unit', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('rectangle', 'triangle', 'round'),
      fc.integer({ min: 60, max: 700 }),
      fc.double({ min: 0.02, max: 0.98, noNaN: true }),
      fc.double({ min: 0.02, max: 0.98, noNaN: true }),
      fc.constantFrom(0, 7, 30, 90, 213),
      fc.constantFrom(1, 10, 25.4),
      (kind, size, shareX, shareY, turnDeg, mmPerUnit) => {
        const at: Point = [shareX * (4000 - size), shareY * (1800 - size)];
        const { turn } = motion(turnDeg, [5000, -800]);
        const drawn = (ring: Ring): Ring => ring.map((p) => turn(p)).map(([x, y]): Point => [x / mmPerUnit, y / mmPerUnit]);
        const outline = path(drawn(L));
        const hole = drawn(HOLES[kind](size).map(([x, y]): Point => [x + at[0], y + at[1]]));
        const { cutOuts, deeper, left } = cutOutsWithin(outline, [outline, path(hole)], mmPerUnit, name);
        expect({ count: cutOuts.length, deeper, left }).toEqual({ count: 1, deeper: 0, left: 0 });
        expect(cutOuts[0].outline.kind).toBe(kind === 'triangle' ? 'shape' : kind);
        const { shape, first } = placedOutline(outline, mmPerUnit);
        const measured = { ...startMeasured(shape), fixtures: [...cutOuts] };
        expect(checkMeasured(measured)).toEqual([]);
        const [{ ring }] = traceSurface(measured).fixtures;
        expect(Math.abs(ringArea(ring))).toBeCloseTo(Math.abs(ringArea(hole)) * mmPerUnit ** 2, -2);
        // Each corner as it was drawn lies on the outline that is laid round.
        for (const [x, y] of hole) {
          const p: Point = [x * mmPerUnit - first[0], y * mmPerUnit - first[1]];
          expect(Math.min(...ring.map((q, k) => toLine(p, q, ring[(k + 1) % ring.length])))).toBeLessThan(0.2);
        }
      },
    ),
    { numRuns: 120 },
  );
});

test('what stands in a hole is left out and counted; more than a surface may hold is not taken', () => {
  const square = (x: number, y: number, size: number): DrawnPath =>
    path([
      [x, y],
      [x + size, y],
      [x + size, y + size],
      [x, y + size],
    ]);
  const outline = square(0, 0, 4000);
  const island = cutOutsWithin(outline, [square(1100, 1100, 300), outline, square(1000, 1000, 800), square(5000, 0, 100)], 1, name);
  expect(island.cutOuts.map(({ name: called, outline: own, from }) => ({ called, own, from: from.map(({ mm }) => mm) }))).toEqual([
    { called: 'Cut-out 1', own: { kind: 'rectangle', widthMm: 800, heightMm: 800 }, from: [1000, 2200] },
  ]);
  expect(island).toMatchObject({ deeper: 1, left: 0 });
  const many = Array.from({ length: 201 }, (_, k) => square(10 + 18 * k, 10, 9));
  expect(cutOutsWithin(outline, [outline, ...many], 1, name)).toEqual({ cutOuts: [], deeper: 0, left: 201 });
});

/** From a point to a stretch of line, mm. */
function toLine([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number {
  const [dx, dy] = [bx - ax, by - ay];
  const share = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / Math.max(1e-9, dx * dx + dy * dy)));
  return Math.hypot(x - ax - share * dx, y - ay - share * dy);
}
