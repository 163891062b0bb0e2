import { expect, test } from '@jest/globals';
import { stripsAcross, stripSide } from './tileStrips.ts';

const rule = { widthMm: 80, kerfMm: 2.5, factoryEdge: false };

test('skirting of 80 from a 600 tile, kerf 2.5: seven strips; two where the edge that shows is one of the factory', () => {
  expect(stripsAcross(600, rule)).toBe(7);
  expect(stripsAcross(600, { ...rule, factoryEdge: true })).toBe(2);
  expect(stripsAcross(70, rule)).toBe(0);
});

test('the long side is cut along where that opens no more tiles, and none where the tile is too narrow', () => {
  // Along 600 a tile gives 3 strips: two tiles. Along 300 it gives 7, and eight are wanted: two as well, but with more joints.
  expect(stripSide([600, 600, 600, 600], { widthMm: 600, heightMm: 300 }, rule)).toBe('width');
  expect(stripSide([600, 600, 600, 600], { widthMm: 300, heightMm: 600 }, rule)).toBe('height');
  // Fourteen of 300: along 300 seven a tile make two tiles; along 600 two in a strip and three strips, three tiles.
  expect(stripSide(new Array<number>(14).fill(300), { widthMm: 600, heightMm: 300 }, rule)).toBe('height');
  expect(stripSide([600], { widthMm: 70, heightMm: 60 }, rule)).toBeNull();
});
