import { beforeAll, describe, expect, test } from '@jest/globals';
import { polygonsArea, ringArea, type Ring } from '@azulejo/core/geometry/ring';
import type { Point } from '@azulejo/core/geometry/point';
import { forEachWhole } from '@azulejo/core/setout/place/layout';
import { demoPlan } from '../../testing/demoJob.ts';
import { gripAt } from './grip.ts';
import { inSight, SHADES, shadeAt, tilePatches } from './tilePaths.ts';

/** A path that keeps what is drawn into it. */
class KeptPath {
  readonly rings: Point[][] = [];
  rect(x: number, y: number, w: number, h: number): void {
    this.rings.push([
      [x, y],
      [x + w, y],
      [x + w, y + h],
      [x, y + h],
    ]);
  }
  moveTo(x: number, y: number): void {
    this.rings.push([[x, y]]);
  }
  lineTo(x: number, y: number): void {
    this.rings.at(-1)?.push([x, y]);
  }
  closePath(): void {
    expect(this.rings.at(-1)?.length).toBeGreaterThan(2);
  }
}
beforeAll(() => void Object.assign(globalThis, { Path2D: KeptPath }));

const surfaces = demoPlan('sample-boards').surfaces;

describe.each(surfaces.map((surface) => [surface.surfaceId, surface] as const))('the whole pieces of %s', (_, surface) => {
  test.each([false, true])('are drawn once each, within the box of their patch (finished look: %s)', (finished) => {
    for (const field of surface.fields) {
      const patches = tilePatches(field, finished);
      const rings: Ring[] = [];
      for (const { box, looks } of patches)
        for (const { path, shade } of looks.values()) {
          expect(shade).toBeLessThan(finished ? SHADES : 1);
          for (const ring of (path as unknown as KeptPath).rings) {
            rings.push(ring);
            for (const [x, y] of ring)
              expect([x >= box.minX - 1e-6, x <= box.maxX + 1e-6, y >= box.minY - 1e-6, y <= box.maxY + 1e-6]).not.toContain(false);
          }
        }
      let whole = 0;
      forEachWhole(field.layout, () => whole++);
      expect(rings).toHaveLength(whole);
      // None of them lies over another: all fit into what may be tiled.
      const drawn = rings.reduce((sum, ring) => sum + Math.abs(ringArea(ring)), 0);
      expect(drawn).toBeLessThanOrEqual(polygonsArea(surface.traced.region) + 1);
      // Made once for a layout.
      expect(tilePatches(field, finished)).toBe(patches);
    }
  });
});

test('a piece has the same shade each time, and the shades are all used about as often', () => {
  const counts = new Map<number, number>();
  for (let i = 0; i < 60; i++)
    for (let j = 0; j < 60; j++) {
      expect(shadeAt(0, i, j)).toBe(shadeAt(0, i, j));
      counts.set(shadeAt(0, i, j), (counts.get(shadeAt(0, i, j)) ?? 0) + 1);
    }
  expect([...counts.keys()].sort()).toEqual(Array.from({ length: SHADES }, (_, k) => k));
  for (const count of counts.values()) expect(count / 3600).toBeGreaterThan(0.6 / SHADES);
});

test('boxes that touch are in sight of each other, those apart are not', () => {
  const box = (minX: number, minY: number) => ({ minX, minY, maxX: minX + 10, maxY: minY + 10 });
  expect([
    inSight(box(0, 0), box(10, 10)),
    inSight(box(0, 0), box(11, 0)),
    inSight(box(0, 0), box(0, -11)),
    inSight(box(0, 0), box(3, 3)),
  ]).toEqual([true, false, false, true]);
});

test('what is near is taken hold of first, then what one points into; of two over each other the one drawn last', () => {
  const square = (x: number): Ring => [
    [x, 0],
    [x + 100, 0],
    [x + 100, 100],
    [x, 100],
  ];
  const grips = [
    { id: 'bath', at: [50, 50], ring: square(0) },
    { id: 'pipe', at: [110, 50], ring: square(60) },
    { id: 'corner', at: [300, 0], ring: null },
  ] as const;
  expect(gripAt(grips, [52, 50], 10)?.id).toBe('bath');
  expect(gripAt(grips, [80, 90], 10)?.id).toBe('pipe');
  expect(gripAt(grips, [10, 90], 10)?.id).toBe('bath');
  expect(gripAt(grips, [305, 3], 10)?.id).toBe('corner');
  expect(gripAt(grips, [400, 400], 10)).toBeNull();
});
