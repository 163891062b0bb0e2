import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { traceSurface } from '@azulejo/core/surface/traceSurface';
import { jobOfOne } from '@azulejo/core/testJob';
import { nearestEdge } from './nearestEdge.ts';
import { fitView, toScreen, toSurface, visibleBox, zoomView } from './view.ts';

const boxes = fc
  .record({
    minX: fc.integer({ min: -5000, max: 5000 }),
    minY: fc.integer({ min: -5000, max: 5000 }),
    w: fc.integer({ min: 200, max: 50_000 }),
    h: fc.integer({ min: 200, max: 50_000 }),
  })
  .map(({ minX, minY, w, h }) => ({ minX, minY, maxX: minX + w, maxY: minY + h }));
const screens = fc.record({ width: fc.integer({ min: 320, max: 2000 }), height: fc.integer({ min: 320, max: 1400 }) });

describe('the view', () => {
  test('a whole box is on screen, within its margins and clear of what lies below', () => {
    fc.assert(
      fc.property(boxes, screens, (box, size) => {
        const view = fitView(box, size, { x: 40, y: 30 }, 36);
        const [left, bottom] = toScreen(view, [box.minX, box.minY]);
        const [right, top] = toScreen(view, [box.maxX, box.maxY]);
        expect(Math.min(left - 40, top - 30, size.width - 40 - right, size.height - 66 - bottom)).toBeGreaterThan(-1e-6);
      }),
    );
  });
  test('zooming keeps the place under the hand; screen and surface are each other reversed', () => {
    fc.assert(
      fc.property(
        boxes,
        screens,
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        fc.tuple(fc.integer({ min: 0, max: 900 }), fc.integer({ min: 0, max: 700 })),
        (box, size, factor, at) => {
          const view = fitView(box, size, { x: 10, y: 10 });
          const [x, y] = toScreen(zoomView(view, factor, at), toSurface(view, at));
          expect(Math.hypot(x - at[0], y - at[1])).toBeLessThan(1e-6);
          const seen = visibleBox(view, size);
          expect(Math.hypot(...toScreen(view, [seen.minX, seen.maxY]))).toBeLessThan(1e-6);
        },
      ),
    );
  });
});

test('the edge that is pointed at is the nearest within reach', () => {
  const { edges } = traceSurface(jobOfOne({ size: [2000, 1000], tile: [100, 100], jointMm: 2 }).surfaces[0].measured);
  const at = (x: number, y: number): string | null => nearestEdge(edges, [x, y], 60)?.id ?? null;
  expect([at(1000, 20), at(1990, 500), at(900, 1040), at(-30, 400), at(1000, 500), at(20, 10)]).toEqual([
    'bottom',
    'right',
    'top',
    'left',
    null,
    'bottom',
  ]);
});
