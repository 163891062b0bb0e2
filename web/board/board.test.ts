import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { traceSurface } from '@azulejo/core/surface/traceSurface';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { nearestEdge } from './nearestEdge.ts';
import { canvasPlace, coversBoard, fitView, toScreen, toSurface, visibleBox, zoomView, type View } from './view.ts';

const boxes = fc
  .record({
    minX: fc.integer({ min: -5000, max: 5000 }),
    minY: fc.integer({ min: -5000, max: 5000 }),
    w: fc.integer({ min: 200, max: 50_000 }),
    h: fc.integer({ min: 200, max: 50_000 }),
  })
  .map(({ minX, minY, w, h }) => ({ minX, minY, maxX: minX + w, maxY: minY + h }));
const screens = fc.record({ width: fc.integer({ min: 320, max: 2000 }), height: fc.integer({ min: 320, max: 1400 }) });

describe('a painted canvas that is moved', () => {
  const views = fc.record({
    scale: fc.double({ min: 0.01, max: 3, noNaN: true }),
    x: fc.integer({ min: -900, max: 900 }),
    y: fc.integer({ min: -900, max: 900 }),
  });
  test('shows every place of the surface where the new view has it', () => {
    fc.assert(
      fc.property(views, views, fc.integer({ min: 0, max: 200 }), fc.integer(), fc.integer(), (from, to, rim, a, b) => {
        const point = [a % 9000, b % 9000] as const;
        const place = canvasPlace(from, to, rim);
        const onCanvas = toScreen({ ...from, x: from.x + rim, y: from.y + rim }, point);
        const wanted = toScreen(to, point);
        expect(place.x + place.k * onCanvas[0]).toBeCloseTo(wanted[0], 4);
        expect(place.y + place.k * onCanvas[1]).toBeCloseTo(wanted[1], 4);
      }),
    );
  });
  test('is painted again before an edge of it comes into sight', () => {
    const size = { width: 800, height: 600 };
    const from = { scale: 0.2, x: 10, y: 500 };
    const covers = (to: View) => coversBoard(canvasPlace(from, to, 120), size, 120);
    expect(covers({ ...from, x: 130, y: 380 })).toBe(true);
    expect(covers({ ...from, x: 131 })).toBe(false);
    expect(covers({ ...from, y: 379 })).toBe(false);
    expect(covers(zoomView(from, 0.7, [400, 300]))).toBe(false);
    expect(covers(zoomView(from, 1.5, [400, 300]))).toBe(true);
  });
});

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
