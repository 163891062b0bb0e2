import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { rectangleRing } from '../../geometry/ring.ts';
import { describeBuildUp, describeLevels } from '../../messages/en/levels.ts';
import { METRIC_TAPE } from '../../units/tape.ts';
import { baseFigures, bendToBase } from '../baseLine.ts';
import { buildUpFigures } from '../buildUp.ts';
import { outlineOf } from '../shapes/registry.ts';
import { flatnessLimit, gapUnder } from './flatness.ts';
import { heightField } from './heightField.ts';
import { levelFigures } from './levelFigures.ts';
import type { Levels } from './levels.ts';

const REGION = [[rectangleRing(0, 0, 4000, 3000)]];
const grid = (down: (x: number, y: number) => number): Levels => ({
  datum: '',
  fill: 'leveller',
  leastMm: 3,
  readings: [0, 1000, 2000, 3000, 4000].flatMap((xMm, i) =>
    [0, 1000, 2000, 3000].map((yMm, j) => ({ id: `${i}${j}`, xMm, yMm, downMm: down(xMm, yMm) })),
  ),
});

test('the ground runs through every reading, and over a tilted plane it is that plane', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 990, max: 1015 }), { minLength: 20, maxLength: 20 }), (downs) => {
      const { readings } = grid(() => 0);
      const read = readings.map((reading, k) => ({ ...reading, downMm: downs[k] }));
      const height = heightField(read);
      for (const { xMm, yMm, downMm } of read) expect(height([xMm, yMm])).toBeCloseTo(-downMm, 6);
    }),
    { numRuns: 30 },
  );
  const tilted = heightField(grid((x, y) => 1000 + x / 500 - y / 1000).readings);
  expect(tilted([1234, 567])).toBeCloseTo(-(1000 + 1234 / 500 - 0.567), 6);
});

describe('a floor that falls 8 mm over 4 m', () => {
  const figures = levelFigures(
    grid((x) => 1000 + x / 500),
    REGION,
    'european',
    600,
  );
  test('takes a wedge of leveller: half the fall in the mean, and the least on top', () => {
    expect(figures?.rangeMm).toBe(8);
    expect(figures?.meanMm).toBeCloseTo(3 + 4, 3);
    expect(figures?.volumeLitres).toBeCloseTo(12 * 7, 1);
    expect(figures?.pads.find(({ id }) => id === '00')?.thicknessMm).toBeCloseTo(3, 6);
    expect(figures?.pads.find(({ id }) => id === '43')?.thicknessMm).toBeCloseTo(11, 6);
  });
  test('is flat all the same', () => {
    expect(figures?.flatness.worst.gapMm).toBeCloseTo(0, 3);
    expect(figures && describeLevels(figures, { fill: 'leveller', leastMm: 3 }, METRIC_TAPE).join(' ')).toContain('so it is flat enough');
  });
});

test('a dish is found by the straightedge: under 2 m lies the sagitta of 2 m', () => {
  const radius = 250_000;
  const levels = grid((x, y) => 1000 - ((x - 2000) ** 2 + (y - 1500) ** 2) / (2 * radius));
  const fine = {
    ...levels,
    readings: Array.from({ length: 9 * 7 }, (_, k) => k).map((k) => {
      const [xMm, yMm] = [(k % 9) * 500, Math.floor(k / 9) * 500];
      return { id: String(k), xMm, yMm, downMm: 1000 - ((xMm - 2000) ** 2 + (yMm - 1500) ** 2) / (2 * radius) };
    }),
  };
  const figures = levelFigures(fine, REGION, 'european', 600);
  expect(Math.abs((figures?.flatness.worst.gapMm ?? 0) - 2000 ** 2 / (8 * radius))).toBeLessThan(0.15);
});

test('a straightedge rests on the high points, whatever lies between', () => {
  expect(gapUnder([0, -3, 0])).toBeCloseTo(3, 9);
  expect(gapUnder([0, 5, 0, -1, 0])).toBeCloseTo(10 / 3, 9);
  expect(gapUnder([1, 2, 3, 4])).toBeCloseTo(0, 9);
  expect(
    [flatnessLimit('northAmerican', 300), flatnessLimit('northAmerican', 400), flatnessLimit('european', 400)].map(({ gapMm }) => gapMm),
  ).toEqual([6, 3, 3]);
});

test('a build-up 1.4 mm proud of the hall says so, and how thick the board would make it flush', () => {
  const layers = [
    { id: 'board', name: 'Board', thicknessMm: 6 },
    { id: 'bed', name: 'Bed', thicknessMm: 4 },
  ];
  const figures = buildUpFigures({ layers, neighbour: 'the hall', neighbourMm: 17.6, adjust: 'board' }, 9);
  expect(figures).toEqual({ totalMm: 19, proudMm: expect.closeTo(1.4, 9), flushMm: expect.closeTo(4.6, 9) });
  expect(describeBuildUp(figures, 'the hall', 'Board', { ...METRIC_TAPE, metricStepMm: 0.1 }).join(' ')).toBe(
    'The build-up is 19 mm with the tile and finishes 1.4 mm proud of the hall. Board of 4.6 mm would make it flush.',
  );
});

test('a base that falls bends the bottom edge; the outline holds at the first reading', () => {
  const base = {
    edge: 'bottom',
    readings: [
      { alongMm: 0, downMm: 1000 },
      { alongMm: 900, downMm: 1004 },
      { alongMm: 1700, downMm: 1009 },
    ],
  };
  expect(baseFigures(base)).toEqual({ heightsMm: [0, -4, -9], lowest: 2, highest: 0, runOutMm: 9 });
  const { ring, edgeIds } = bendToBase(outlineOf({ kind: 'rectangle', widthMm: 1800, heightMm: 2000 }), base);
  expect(ring).toEqual([
    [0, 0],
    [900, -4],
    [1700, -9],
    [1800, -9],
    [1800, 2000],
    [0, 2000],
  ]);
  expect(edgeIds).toEqual(['bottom', 'bottom', 'bottom', 'right', 'top', 'left']);
});
