import { expect, test } from '@jest/globals';
import { stripsAcross, stripSide } from './tileStrips.ts';

const rule = { widthMm: 80, kerfMm: 2.5, factoryEdge: false };

test('skirting of 80 from a 600 tile, kerf 2.5: seven strips; two where the edge that shows is one of the factory', () => {
  expect(stripsAcross(600, rule)).toBe(7);
  expect(stripsAcross(600, { ...rule, factoryEdge: true })).toBe(2);
  expect(stripsAcross(70, rule)).toBe(0);
});

test('the longer side is cut along where the tile gives a strip that way, else the other, else none', () => {
  expect(stripSide({ widthMm: 600, heightMm: 300 }, rule)).toBe('width');
  expect(stripSide({ widthMm: 148, heightMm: 898 }, rule)).toBe('height');
  expect(stripSide({ widthMm: 600, heightMm: 70 }, rule)).toBe('height');
  expect(stripSide({ widthMm: 70, heightMm: 60 }, rule)).toBeNull();
});
