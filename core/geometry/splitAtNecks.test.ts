import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { polygonArea, polygonsArea, type Polygon, type Ring } from './ring.ts';
import { splitAtNecks } from './splitAtNecks.ts';

/** A tile of 395 with a notch out of its upper left that leaves a leg on the right; the leg widens or narrows upwards. */
const notched = (legMm: number, topMm: number): Polygon => [
  [
    [0, 0],
    [395, 0],
    [395, 395],
    [395 - topMm, 395],
    [395 - legMm, 100],
    [0, 100],
  ],
];

describe('a piece is parted where it hangs together by less than can be held', () => {
  test.each<[string, Polygon, number[]]>([
    ['a leg that begins in a point', notched(0, 4), [395 * 100, (4 * 295) / 2]],
    ['a leg of one millimetre', notched(1, 1), [395 * 100, 295]],
    ['a leg that can be held', notched(30, 30), [395 * 100 + 30 * 295]],
  ])('%s', (_, polygon, areas) => {
    const parts = splitAtNecks(polygon, 1.5)
      .map(polygonArea)
      .sort((a, b) => b - a);
    expect(parts).toHaveLength(areas.length);
    parts.forEach((area, k) => expect(area).toBeCloseTo(areas[k], 6));
  });
  test('a narrow notch is no neck: the material beside it is wide', () => {
    const slit: Ring = [
      [0, 0],
      [300, 0],
      [300, 300],
      [151, 300],
      [151, 100],
      [150, 100],
      [150, 300],
      [0, 300],
    ];
    expect(splitAtNecks([slit], 1.5)).toEqual([[slit]]);
  });
  test('no area is lost, whatever the notch', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 60, noNaN: true }), fc.double({ min: 0.01, max: 60, noNaN: true }), (leg, top) => {
        const polygon = notched(leg, top);
        expect(polygonsArea(splitAtNecks(polygon, 1.5))).toBeCloseTo(polygonArea(polygon), 4);
      }),
    );
  });
});
