import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { rectangleRing, type Ring } from '../geometry/ring.ts';
import { bridgeOf, legsOf } from './legs.ts';

const mm = (least: number, most: number) => fc.integer({ min: least, max: most });

test('a notch leaves two legs, a slot two and what is under it; corners told twice change nothing', () => {
  fc.assert(
    fc.property(mm(100, 900), mm(100, 900), mm(10, 90), mm(10, 90), fc.boolean(), (wide, high, x, y, twice) => {
      const tile = rectangleRing(0, 0, wide, high);
      const corners: Ring = [
        [x, 0],
        [wide, 0],
        [wide, high],
        [0, high],
        [0, y],
        [x, y],
      ];
      const notched = twice ? corners.flatMap((p) => [p, p]) : corners;
      expect(legsOf({ inTile: [notched], tile })).toEqual([
        { mm: wide - x, fullMm: wide },
        { mm: high - y, fullMm: high },
      ]);
    }),
  );
  const slotted: Ring = [
    [0, 0],
    [40, 0],
    [40, 60],
    [110, 60],
    [110, 0],
    [150, 0],
    [150, 100],
    [0, 100],
  ];
  const legs = legsOf({ inTile: [slotted], tile: rectangleRing(0, 0, 150, 100) });
  expect(legs.map((leg) => Math.round(leg.mm)).sort((a, b) => a - b)).toEqual([40, 40, 40, 40]);
});

test('a box within a piece keeps so much to the nearest side; a piece without one has no bridge', () => {
  const tile = rectangleRing(0, 0, 300, 200);
  expect(bridgeOf({ inTile: [tile, [...rectangleRing(8, 60, 71, 71)].reverse()] })).toBeCloseTo(8);
  expect(bridgeOf({ inTile: [tile] })).toBeNull();
});
