import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { packsFor } from '../money/packs.ts';
import { startJob } from '../job/startJob.ts';
import { madeUpTiles } from '../madeUp/tiles.ts';
import { METRIC_TAPE } from '../units/tape.ts';
import { notchFor, takeOffAdhesive } from './adhesive.ts';
import { groutKg, takeOffGrout } from './grout.ts';
import type { SurfaceFigures } from './material.ts';
import { takeOffSealant } from './sealant.ts';
import { takeOffTiles } from './tiles.ts';

const { consumption, prices } = startJob('j', 'J', METRIC_TAPE);
const figures: SurfaceFigures = {
  surfaceId: 's',
  areaMm2: 10e6,
  jointAreaMm2: 0.25e6,
  tiles: [
    {
      productId: 'quay-300',
      opened: 118,
      lowerBound: 112,
      whole: 90,
      wholeTiles: 90,
      piecesPerTile: 1,
      straightCuts: 30,
      shapedCuts: 5,
      laidAreaMm2: 9.75e6,
      tileAreaMm2: 297.5 ** 2,
    },
  ],
  sealed: [{ lengthMm: 12_000, widthMm: 5 }],
  thicknessMm: 9,
  longestSideMm: 297.5,
};

describe('adhesive', () => {
  test.each([
    [6, 2.5],
    [8, 3.4],
    [10, 4.2],
    [12, 5.1],
  ] as const)('a %i mm notch takes %f kg/m², as the bed formula says', (notch, kg) => {
    const used = takeOffAdhesive([figures], { ...consumption, trowelNotchMm: notch }, prices);
    expect(used.quantity).toBeCloseTo(10 * kg, 9);
    expect(Math.abs(((notch * Math.sin(Math.PI / 4)) / 2) * 1.2 - kg)).toBeLessThanOrEqual(0.051);
  });
  test('the bigger the tile, the deeper the notch; buttered backs add a skim', () => {
    const notches = [100, 200, 400, 600].map(notchFor);
    expect(notches).toEqual([...notches].sort((a, b) => a - b));
    const dry = takeOffAdhesive([figures], consumption, prices).quantity;
    expect(takeOffAdhesive([figures], { ...consumption, backButtered: true }, prices).quantity - dry).toBeCloseTo(12, 9);
  });
});

describe('grout', () => {
  test('the reference figures: 600 x 300 x 9 at 3, and hexagons of 200 at 3, 8 deep', () => {
    const share = 1 - (600 * 300) / (603 * 303);
    expect(groutKg(share * 1e6, 9, 1.6)).toBeCloseTo(0.2135, 3);
    expect(groutKg(0.02934 * 1e6, 8, 1.6)).toBeCloseTo(0.3755, 3);
    expect(((600 + 300) / (600 * 300)) * 3 * 9 * 1.6).toBeCloseTo(0.216, 3);
  });
  test('a tenth stays in the bucket', () =>
    expect(takeOffGrout([figures], consumption, prices).quantity).toBeCloseTo(0.25 * 9 * 1.6 * 1.1, 9));
});

test('sealant fills length x width x depth, no deeper than the tile', () => {
  expect(takeOffSealant([figures], consumption, prices).quantity).toBeCloseTo((12_000 * 5 * 6) / 1000, 9);
  expect(takeOffSealant([{ ...figures, thicknessMm: 4 }], consumption, prices).quantity).toBeCloseTo((12_000 * 5 * 4) / 1000, 9);
});

test('tiles: opened, broken by kind of cut, spares; the rule of thumb beside it', () => {
  const { quantity, how, packs } = takeOffTiles(madeUpTiles()[0], [figures], consumption);
  expect(how).toMatchObject({
    opened: 118,
    breakage: Math.ceil(30 * 0.02 + 5 * 0.08),
    spare: 2,
    ruleOfThumb: Math.ceil((10e6 / 297.5 ** 2) * 1.1),
  });
  expect([quantity, packs.count]).toEqual([118 + 1 + 2, 11]);
});

test('packs are the fewest that cover the need', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.01, max: 5000, noNaN: true }), fc.integer({ min: 1, max: 300 }), (need, size) => {
      const { count, covers } = packsFor(need, size, 12.5);
      expect(count * size).toBeGreaterThanOrEqual(need - 1e-6);
      expect((count - 1) * size).toBeLessThan(need);
      expect(covers).toBeGreaterThanOrEqual(1 - 1e-6);
    }),
  );
  expect(packsFor(0, 20, 12)).toMatchObject({ count: 0, cost: 0, covers: null });
});
