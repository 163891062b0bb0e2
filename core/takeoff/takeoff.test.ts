import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { buyPacks } from '../money/packs.ts';
import { startJob } from '../job/startJob.ts';
import { madeUpTiles } from '../madeUp/tiles.ts';
import { METRIC_TAPE } from '../units/tape.ts';
import type { Consumption } from './consumption.ts';
import type { SurfaceFigures } from './figures.ts';
import { adhesive, notchFor } from './materials/adhesive.ts';
import { grout, groutKg } from './materials/grout.ts';
import { sealant } from './materials/sealant.ts';
import { tiles } from './materials/tiles.ts';

const { consumption } = startJob('j', 'J', METRIC_TAPE);
const need = (surface: SurfaceFigures, use: Partial<Consumption> = {}) => ({
  products: madeUpTiles(),
  consumption: { ...consumption, ...use },
  surfaces: [surface],
});
const figures: SurfaceFigures = {
  surfaceId: 's',
  areaMm2: 10e6,
  jointAreaMm2: 0.25e6,
  tiles: [
    {
      productId: 'quay-300',
      hand: null,
      opened: 118,
      lowerBound: 112,
      whole: 90,
      wholeTiles: 90,
      piecesPerTile: 1,
      straightCuts: 30,
      shapedCuts: 5,
      laidAreaMm2: 9.75e6,
      tileAreaMm2: 297.5 ** 2,
      footprintMm2: 297.5 ** 2,
    },
  ],
  sealed: [{ edgeId: 'left', lengthMm: 12_000, widthMm: 5 }],
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
    const [used] = adhesive.takeOff(need(figures, { trowelNotchMm: notch }));
    expect(used.quantity).toBeCloseTo(10 * kg, 9);
    expect(Math.abs(((notch * Math.sin(Math.PI / 4)) / 2) * 1.2 - kg)).toBeLessThanOrEqual(0.051);
  });
  test('the bigger the tile, the deeper the notch; buttered backs add a skim', () => {
    const notches = [48, 100, 200, 400, 600].map(notchFor);
    expect(notches).toEqual([...notches].sort((a, b) => a - b));
    const dry = adhesive.takeOff(need(figures))[0].quantity;
    expect(adhesive.takeOff(need(figures, { backButtered: true }))[0].quantity - dry).toBeCloseTo(12, 9);
  });
});

describe('grout', () => {
  test('the reference figures: 600 x 300 x 9 at 3, and hexagons of 200 at 3, 8 deep', () => {
    const share = 1 - (600 * 300) / (603 * 303);
    expect(groutKg(share * 1e6, 9, 1.6)).toBeCloseTo(0.2135, 3);
    expect(groutKg(0.02934 * 1e6, 8, 1.6)).toBeCloseTo(0.3755, 3);
    expect(((600 + 300) / (600 * 300)) * 3 * 9 * 1.6).toBeCloseTo(0.216, 3);
  });
  test('a tenth stays in the bucket', () => expect(grout.takeOff(need(figures))[0].quantity).toBeCloseTo(0.25 * 9 * 1.6 * 1.1, 9));
});

test('sealant fills length x width x depth, no deeper than the tile', () => {
  expect(sealant.takeOff(need(figures))[0].quantity).toBeCloseTo((12_000 * 5 * 6) / 1000, 9);
  expect(sealant.takeOff(need({ ...figures, thicknessMm: 4 }))[0].quantity).toBeCloseTo((12_000 * 5 * 4) / 1000, 9);
});

test('a corner of two walls has one joint, counted with the first', () => {
  const walls = [figures, { ...figures, surfaceId: 'other', sealed: [{ edgeId: 'right', lengthMm: 2400, widthMm: 5 }] }];
  const link = { id: 'l', a: { surface: 's', edge: 'left' }, b: { surface: 'other', edge: 'right' }, meets: 'inside' } as const;
  const [apart, joined] = [[], [link]].map((links) => sealant.takeOff({ ...need(figures), surfaces: walls, links })[0]);
  expect(apart.quantity - joined.quantity).toBeCloseTo((2400 * 5 * 6) / 1000, 9);
  expect(joined.how.surfaces[1]).toMatchObject({ lengthM: 0, countedThereM: 2.4 });
});

test('tiles: opened, broken by kind of cut, spares; the rule of thumb beside it', () => {
  const [{ quantity, how }] = tiles.takeOff(need(figures));
  expect(how).toMatchObject({
    opened: 118,
    breakage: Math.ceil(30 * 0.02 + 5 * 0.08),
    spare: 2,
    ruleOfThumb: Math.ceil((10e6 / 297.5 ** 2) * 1.1),
  });
  expect(quantity).toBe(118 + 1 + 2);
});

describe('packs', () => {
  test('the reference: 9.3 L from 1 L at 9.50, 3.5 L at 27, 5 L at 36', () => {
    const offers = [
      { size: 1, price: 9.5 },
      { size: 3.5, price: 27 },
      { size: 5, price: 36 },
    ];
    expect(buyPacks(9.3, offers)).toMatchObject({ packs: [{ count: 2, size: 5 }], cost: 72, covers: 10 / 9.3 });
  });
  test('are the cheapest that cover the need, as trying all of them says', () => {
    const offer = fc.record({ size: fc.integer({ min: 1, max: 40 }), price: fc.integer({ min: 0, max: 60 }) });
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 90, noNaN: true }), fc.array(offer, { minLength: 1, maxLength: 3 }), (need, offers) => {
        const { packs, cost, covers } = buyPacks(need, offers);
        const holds = packs.reduce((sum, { count, size }) => sum + count * size, 0);
        expect(holds).toBeGreaterThanOrEqual(need - 1e-6);
        expect(covers).toBeCloseTo(holds / need, 9);
        let cheapest = Infinity;
        const tryAll = (k: number, held: number, paid: number): void => {
          if (held >= need - 1e-9) cheapest = Math.min(cheapest, paid);
          else if (k < offers.length)
            for (let n = 0; n <= Math.ceil((need - held) / offers[k].size); n++)
              tryAll(k + 1, held + n * offers[k].size, paid + n * offers[k].price);
        };
        tryAll(0, 0, 0);
        expect(cost).toBeCloseTo(cheapest, 6);
      }),
      { numRuns: 300 },
    );
  });
  test('a need of nothing takes none, and eight sizes answer at once', () => {
    expect(buyPacks(0, [{ size: 20, price: 12 }])).toEqual({ packs: [], cost: 0, covers: null });
    const sizes = [0.05, 0.3, 0.7, 1.1, 1.9, 3.3, 7.7, 13].map((size, k) => ({ size, price: size * (9 - k * 0.01) }));
    expect(buyPacks(987.6, sizes).covers).toBeGreaterThanOrEqual(1 - 1e-9);
  });
});
