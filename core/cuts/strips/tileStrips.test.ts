import { expect, test } from '@jest/globals';
import { planTileStrips, stripsAcross } from './tileStrips.ts';

const rule = { widthMm: 80, kerfMm: 2.5, factoryEdge: false };

test('skirting of 80 from a 600 tile, kerf 2.5: seven strips; two where the edge that shows is one of the factory', () => {
  expect(stripsAcross(600, rule)).toBe(7);
  expect(stripsAcross(600, { ...rule, factoryEdge: true })).toBe(2);
  expect(stripsAcross(70, rule)).toBe(0);
});

test('pieces of a run are cut from strips, those from tiles; a run longer than the tile is parted', () => {
  const planned = planTileStrips([600, 600, 250, 250, 1400], { widthMm: 600, heightMm: 600 }, rule);
  // 600, 600, 600, 500 and 300 take a strip each, the two of 250 share one: six, and a tile gives seven.
  expect(planned).toMatchObject({ perTile: 7, stripMm: 600, opened: 1, lowerBound: 1 });
  expect(planned?.strips).toHaveLength(6);
  expect(planTileStrips([600], { widthMm: 70, heightMm: 60 }, rule)).toBeNull();
});

test('the long side is cut along where that opens fewer tiles', () => {
  const planned = planTileStrips([600, 600, 600, 600], { widthMm: 600, heightMm: 300 }, rule);
  // Along 600 a tile gives 3 strips: two tiles. Along 300 it gives 7, and eight are wanted: two as well, but with more joints.
  expect(planned).toMatchObject({ stripMm: 600, perTile: 3, opened: 2 });
});
