import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { difference } from '../geometry/clip.ts';
import { boxOf, isInside, polygonsArea, rectangleRing, type Polygon, type Ring } from '../geometry/ring.ts';
import type { Point } from '../geometry/point.ts';
import { planSurface } from '../plan.ts';
import { forEachWhole, tileRing } from '../setout/place/layout.ts';
import { jobOfOne } from '../samples/testJob.ts';
import { trials } from '../../testing/trials.ts';
import { partsOf, type PartGrid } from './floorParts.ts';

const room = (x: number, y: number, wide: number, high: number, holes: readonly Polygon[] = []): readonly Polygon[] =>
  difference([[rectangleRing(x, y, wide, high)]], holes);

/** Lines that part a length from a place on, a little beyond both ends. */
const lines = (from: number, length: number, count: number): number[] => [
  from - 1,
  ...Array.from({ length: count - 1 }, (_, k) => from + (length * (k + 1)) / count),
  from + length + 1,
];

describe('a region in parts', () => {
  test('far from the origin as at it: six of a square metre each, wide open to those beside them', () => {
    for (const [x, y] of [
      [0, 0],
      [12_000, -7_000],
    ]) {
      const { parts, partAt } = partsOf(room(x, y, 3000, 2000), { xs: lines(x, 3000, 3), ys: lines(y, 2000, 2) });
      expect(parts.map(({ id }) => id)).toEqual(['1.1', '1.2', '1.3', '2.1', '2.2', '2.3']);
      for (const { areaMm2 } of parts) expect(areaMm2 / 1e6).toBeCloseTo(1, 3);
      expect(parts.map(({ passes }) => passes.map(({ to }) => to).sort())).toEqual([
        [1, 3],
        [0, 2, 4],
        [1, 5],
        [0, 4],
        [1, 3, 5],
        [2, 4],
      ]);
      for (const { passes } of parts) for (const { mm, isWide } of passes) expect([Math.round(mm), isWide]).toEqual([1000, true]);
      // The middle of the way from one into another lies on the line between them.
      const right = parts[0].passes.find(({ to }) => to === 1);
      expect(right?.at).toEqual([expect.closeTo(x + 1000, 3), expect.closeTo(y + 500, 3)]);
      const at = (dx: number, dy: number): string => parts[partAt([x + dx, y + dy])].id;
      expect([at(999, 999), at(1001, 999), at(999, 1001), at(2999, 1999), at(-50, -50)]).toEqual(['1.1', '1.2', '2.1', '2.3', '1.1']);
    }
  });

  test('a gap of 340 lets nobody through, one of 360 does', () => {
    const parted = (gap: number) => {
      const wall: Polygon = [rectangleRing(950, gap, 100, 2000)];
      return partsOf(room(0, 0, 2000, 1000, [wall]), { xs: lines(0, 2000, 2), ys: lines(0, 1000, 1) }).parts;
    };
    // What has no way in is laid with what lies beside it.
    expect(parted(340).map(({ id, passes }) => [id, passes.length])).toEqual([['1.2', 0]]);
    expect(parted(360).map(({ passes }) => passes.map(({ mm, isWide }) => [Math.round(mm), isWide]))).toEqual([
      [[360, true]],
      [[360, true]],
    ]);
  });

  test('two gaps that are a way only together are told as no wide one', () => {
    const island: Polygon = [rectangleRing(900, 200, 200, 600)];
    const [left] = partsOf(room(0, 0, 2000, 1000, [island]), { xs: lines(0, 2000, 2), ys: lines(0, 1000, 1) }).parts;
    expect(left.passes).toMatchObject([{ to: 1, mm: expect.closeTo(400, 3), isWide: false }]);
  });

  test('a strip of 200 goes with what it lies along, one of 700 stays', () => {
    const grid = (wide: number): PartGrid => ({ xs: [-1, 1500, 1500 + wide + 1], ys: [-1, 1001] });
    const ids = (wide: number) => partsOf(room(0, 0, 1500 + wide, 1000), grid(wide)).parts.map(({ id }) => id);
    expect([ids(200), ids(290), ids(700)]).toEqual([['1.1'], ['1.1'], ['1.1', '1.2']]);
  });
});

/** The part that holds a position, looked for in all of them. */
const holders = (parts: ReturnType<typeof partsOf>['parts'], p: Point): number[] =>
  parts.flatMap(({ polygons }, k) => (isInside(p, polygons) ? [k] : []));

test('in any room with anything in it: parts are all of it and no more, whoever stands in one finds it, and ways lead both ways', () => {
  const box = fc.record({ x: fc.integer({ min: -400, max: 3800 }), y: fc.integer({ min: -400, max: 2800 }) });
  fc.assert(
    fc.property(
      fc.array(fc.tuple(box, fc.integer({ min: 150, max: 1600 }), fc.integer({ min: 150, max: 1600 })), { maxLength: 4 }),
      fc.tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 4 })),
      fc.tuple(fc.integer({ min: -9000, max: 9000 }), fc.integer({ min: -9000, max: 9000 })),
      fc.array(fc.tuple(fc.integer({ min: 1, max: 3799 }), fc.integer({ min: 1, max: 2799 })), { minLength: 30, maxLength: 30 }),
      (boxes, [columns, rows], [x, y], places) => {
        const holes = boxes.map(([at, wide, high]): Polygon => [rectangleRing(x + at.x, y + at.y, wide, high)]);
        const region = room(x, y, 3800, 2800, holes);
        if (region.length === 0) return;
        const own = boxOf(region.flat(2));
        const grid = { xs: lines(own.minX, own.maxX - own.minX, columns), ys: lines(own.minY, own.maxY - own.minY, rows) };
        const { parts, partAt } = partsOf(region, grid);
        expect(parts.reduce((sum, { areaMm2 }) => sum + areaMm2, 0) / polygonsArea(region)).toBeCloseTo(1, 4);
        for (const { areaMm2, polygons } of parts) expect(polygonsArea(polygons)).toBeCloseTo(areaMm2, 0);
        for (const [dx, dy] of places) {
          const p: Point = [x + dx + 0.31, y + dy + 0.47];
          const found = holders(parts, p);
          if (found.length === 1) expect([p, partAt(p)]).toEqual([p, found[0]]);
        }
        parts.forEach(({ passes }, k) => {
          for (const { to, mm, isWide } of passes) {
            expect(mm).toBeGreaterThanOrEqual(350);
            const back = parts[to].passes.find((other) => other.to === k);
            expect([back?.isWide, back?.mm]).toEqual([isWide, expect.closeTo(mm, 3)]);
          }
        });
        // What is small all the same has nothing beside it.
        const cellMm2 = ((own.maxX - own.minX) / columns) * ((own.maxY - own.minY) / rows);
        for (const { areaMm2, passes } of parts) if (areaMm2 < 0.2 * cellMm2) expect(passes).toEqual([]);
      },
    ),
    { numRuns: trials(60) },
  );
});

test('lines between zones stand in joints: no whole tile lies in two of them', () => {
  for (const turnDeg of [0, 90, 180, 270]) {
    const job = jobOfOne({
      size: [4000, 3000],
      tile: [300, 200],
      jointMm: 4,
      surface: { kind: 'floor', turnDeg, zones: { areaM2: 1.2 } },
    });
    const { zones, layout, traced } = planSurface(job, job.surfaces[0]);
    expect(zones.zones.length).toBeGreaterThan(6);
    const inner = zones.zones.flatMap(({ polygons }) => polygons.flat(2));
    let tile: Ring = [];
    forEachWhole(layout, (address) => (tile = tileRing(layout, address)));
    const low = boxOf(tile);
    const { minX, maxX, minY, maxY } = boxOf(traced.region.flat(2));
    const [stepX, stepY] = turnDeg % 180 === 0 ? [304, 204] : [204, 304];
    /** How far a line lies off the middle of a joint, mm. */
    const off = (mm: number, from: number, step: number): number => {
      const past = (((mm - from) % step) + step) % step;
      return Math.min(past, step - past);
    };
    for (const [px, py] of inner) {
      if (px > minX + 1 && px < maxX - 1) expect(off(px, low.minX - 2, stepX)).toBeLessThan(0.01);
      if (py > minY + 1 && py < maxY - 1) expect(off(py, low.minY - 2, stepY)).toBeLessThan(0.01);
    }
  }
});
