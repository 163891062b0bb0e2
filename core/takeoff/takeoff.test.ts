import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { buyPacks } from '../money/packs.ts';
import { startJob } from '../job/startJob.ts';
import { madeUpTiles } from '../madeUp/tiles.ts';
import { rectangleRing } from '../geometry/ring.ts';
import { worksOf } from './works/works.ts';
import { METRIC_TAPE } from '../units/tape.ts';
import type { SurfaceFigures } from './figures.ts';
import type { MaterialSettings, OwnFigures } from './materialKind.ts';
import { adhesive } from './materials/adhesive.ts';
import { backsFor, notchFor, notchKgPerM2 } from './materials/bedding.ts';
import { grout } from './materials/grout.ts';
import { groutKg } from './materials/jointFill.ts';
import { sealant } from './materials/sealant.ts';
import { tiles } from './materials/tiles.ts';
import { cornerTape } from './materials/cornerTape.ts';
import { cement } from './materials/cement.ts';
import { edgeProfile } from './materials/edgeProfile.ts';
import { leveller } from './materials/leveller.ts';
import { clipsAlong, levellingClips } from './materials/levellingClips.ts';
import { sand } from './materials/sand.ts';
import { wedges } from './materials/wedges.ts';

const { consumption } = startJob('j', 'J', METRIC_TAPE);
const need = (surface: SurfaceFigures) => ({ products: madeUpTiles(), consumption, surfaces: [surface] });
const figures: SurfaceFigures = {
  surfaceId: 's',
  kind: 'floor',
  works: worksOf({ kind: 'floor', jointMm: 3 }, madeUpTiles()[0]),
  region: [[rectangleRing(0, 0, 5000, 2000)]],
  jointMm: 3,
  jointColour: '#8f969b',
  tileMaterial: 'porcelain',
  pattern: 'stack',
  isTurned: false,
  cutMinutes: 40,
  trims: [],
  strips: [],
  crossings: null,
  sharedJoints: null,
  fill: null,
  ledgerRunsMm: [],
  ledgerPieces: 0,
  boxes: 0,
  ledgerRowMm2: 0,
  planes: [],
  bays: { limitMm: 10_000, limitMm2: null, joints: [] },
  carried: [],
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
      strips: 0,
      stripsMm2: 0,
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
  ] as const)('a %i mm notch takes %f kg/m², as the bed formula says', (notchMm, kg) => {
    const [used] = adhesive.takeOff(need(figures), { choices: { notchMm } });
    expect(used.quantity).toBeCloseTo(10 * kg, 9);
    expect(Math.abs(((notchMm * Math.sin(Math.PI / 4)) / 2) * 1.2 - kg)).toBeLessThanOrEqual(0.051);
  });
  test('the bigger the tile, the deeper the notch; skimmed backs add 1.2, notched ones as much again', () => {
    const notches = [48, 100, 200, 400, 600].map(notchFor);
    expect(notches).toEqual([...notches].sort((a, b) => a - b));
    const [dry, skim, notched] = (['none', 'skim', 'notched'] as const).map(
      (backs) => adhesive.takeOff(need(figures), { choices: { backs } })[0].quantity,
    );
    expect([skim - dry, notched]).toEqual([expect.closeTo(12, 9), expect.closeTo(2 * dry, 9)]);
    const backs = (longestSideMm: number, works: object): string => backsFor({ longestSideMm, works: { ...figures.works, ...works } });
    expect([backs(300, {}), backs(600, {}), backs(300, { place: 'wet' }), backs(100, { load: 'heavy' })]).toEqual([
      'none',
      'skim',
      'skim',
      'notched',
    ]);
  });
  test('the data sheet before the job, the job before the habit, the habit before what is usual', () => {
    const sheet = { name: 'Tide mortar', figures: { kgPerLitre: 1.5 } };
    const said: [MaterialSettings, OwnFigures][] = [
      [{ sheet, figures: { kgPerLitre: 1.4 } }, { kgPerLitre: 1.3 }],
      [{ figures: { kgPerLitre: 1.4 } }, { kgPerLitre: 1.3 }],
      [{}, { kgPerLitre: 1.3 }],
      [{}, {}],
    ];
    const taken = said.map(([set, habit]) => adhesive.takeOff(need(figures), set, habit)[0]);
    expect(taken.map(({ how }) => how.figures['kgPerLitre'].from)).toEqual(['sheet', 'job', 'habit', 'typical']);
    expect(taken.map(({ quantity }) => quantity)).toEqual(
      [1.5, 1.4, 1.3, 1.2].map((density) => expect.closeTo(10 * notchKgPerM2(8, density), 9)),
    );
    expect(adhesive.takeOff(need(figures), { figures: { kgPerM2: 3.05 } })[0].quantity).toBeCloseTo(30.5, 9);
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
  expect(sealant.takeOff(need({ ...figures, sealed: [] }))).toEqual([]);
});

test('a corner of two walls has one joint, counted with the first', () => {
  const walls = [figures, { ...figures, surfaceId: 'other', sealed: [{ edgeId: 'right', lengthMm: 2400, widthMm: 5 }] }];
  const link = { id: 'l', a: { surface: 's', edge: 'left' }, b: { surface: 'other', edge: 'right' }, meets: 'inside' } as const;
  const [apart, joined] = [[], [link]].map((links) => sealant.takeOff({ ...need(figures), surfaces: walls, links })[0]);
  expect(apart.quantity - joined.quantity).toBeCloseTo((2400 * 5 * 6) / 1000, 9);
  expect(joined.how.surfaces[1]).toMatchObject({ lengthM: 0, countedThereM: 2.4 });
});

test('a bed of 12.4 m² by 27 mm at 1:6 takes 89.5 kg of cement and 0.373 m³ of sand; a leveller 1.7 kg a m² and mm', () => {
  const bed = { ...figures, fill: { kind: 'bed', meanMm: 27, areaMm2: 12.4e6 } } as const;
  expect(cement.takeOff(need(bed))[0].quantity).toBeCloseTo(89.5, 1);
  expect(sand.takeOff(need(bed))[0].quantity).toBeCloseTo(0.373, 3);
  expect(leveller.takeOff(need(bed))).toEqual([]);
  expect(leveller.takeOff(need({ ...bed, fill: { ...bed.fill, kind: 'leveller' } }))[0].quantity).toBeCloseTo(12.4 * 27 * 1.7, 6);
});

test('clips stand near both ends of a joint and no further apart than set; wedges for a day of it', () => {
  expect([40, 150, 300, 600, 1200].map((mm) => clipsAlong(mm, 50, 500))).toEqual([1, 1, 2, 2, 4]);
  const clipped = { ...figures, areaMm2: 24e6, sharedJoints: new Map([[600, 100]]) };
  expect(levellingClips.takeOff(need(clipped))[0]).toMatchObject({ quantity: Math.ceil(200 * 1.03), variant: '3' });
  // All of it on one day where nothing is said; half of it where twelve of twenty-four square metres are laid a day.
  expect(wedges.takeOff(need(clipped))[0].quantity).toBe(200);
  expect(wedges.takeOff(need(clipped), { figures: { m2PerDay: 12 } })[0].quantity).toBe(100);
  // By the days of the plan: three fifths on the first, and two floors that are laid on one day take their wedges together.
  const [first, second] = [
    new Map([['s', 0.6]]),
    new Map([
      ['s', 0.4],
      ['t', 0.5],
    ]),
  ];
  expect(wedges.takeOff({ ...need(clipped), laidByDay: [first, second] })[0].quantity).toBe(120);
  const both = { ...need(clipped), surfaces: [clipped, { ...clipped, surfaceId: 't' }] };
  expect(wedges.takeOff({ ...both, laidByDay: [first, second] })[0].quantity).toBe(180);
});

test('profiles are cut from bars: 1.2 + 1.2 from one, 2.4 from another, the rest of a long run from a third', () => {
  const run = (edgeId: string, mm: number) => ({
    edgeId,
    trim: 'profile' as const,
    runsMm: [mm],
    stretches: [[0, mm] as const],
    mitres: 1,
    corners: [],
  });
  const trimmed = { ...figures, trims: [run('a', 1200), run('b', 1200), run('c', 4900)] };
  const [{ quantity, bars, how }] = edgeProfile.takeOff(need(trimmed));
  expect(quantity).toBeCloseTo(7.3, 9);
  expect([bars?.length, how.bound]).toEqual([3, 3]);
  const small = edgeProfile.takeOff(need({ ...figures, trims: [run('a', 900)] }), {
    packs: [
      { size: 2.5, price: 13.9 },
      { size: 1, price: 7 },
    ],
  });
  expect(small[0].bars).toEqual([{ size: 1, price: 7 }]);
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

test('the corner of two walls has one joint and one tape, as long as the higher of them, whichever is named first', () => {
  const wall = (
    surfaceId: string,
    lengthMm: number,
    widthMm: number,
    does: Partial<SurfaceFigures['works']['does']> = {},
  ): SurfaceFigures => {
    const corner = [{ edgeId: 'right', lengthMm, widthMm }];
    const works = { ...figures.works, does: { ...figures.works.does, membrane: true, ...does } };
    return { ...figures, surfaceId, works, sealed: widthMm > 0 ? corner : [], planes: corner };
  };
  const link = (a: string, b: string) => ({
    id: 'l',
    a: { surface: a, edge: 'right' },
    b: { surface: b, edge: 'right' },
    meets: 'inside' as const,
  });
  const of = (surfaces: SurfaceFigures[], ...ends: [string, string]) => ({
    products: madeUpTiles(),
    consumption,
    surfaces,
    links: [link(...ends)],
  });
  const walls = [wall('low', 1200, 6), wall('high', 2400, 6)];
  for (const ends of [
    ['low', 'high'],
    ['high', 'low'],
  ] as [string, string][]) {
    const lengths = sealant.takeOff(of(walls, ...ends)).flatMap(({ how }) => how.surfaces.map(({ lengthM }) => lengthM));
    expect(lengths.reduce((sum, one) => sum + one, 0)).toBeCloseTo(2.4, 9);
    expect(cornerTape.takeOff(of(walls, ...ends))[0].quantity).toBeCloseTo(2.4 * 1.05, 9);
  }
  // The other wall is not waterproofed, or leaves no gap: the corner is taped all the same.
  const dry = [wall('low', 1200, 6, { membrane: false }), wall('high', 2400, 0)];
  expect(cornerTape.takeOff(of(dry, 'low', 'high'))[0].quantity).toBeCloseTo(2.4 * 1.05, 9);
});

test('profiles are as deep as tile and bed, to the half millimetre up, a line for each depth and in the finish chosen', () => {
  const trims = [{ edgeId: 'a', trim: 'profile' as const, runsMm: [1200], stretches: [[0, 1200] as const], mitres: 0, corners: [] }];
  // Tiles of 9 in a notch of 8: 9 + 4. Slabs of 600, 10.2 thick, in a notch of 12: 10.2 + 6, and up to the half.
  const wall = { ...figures, surfaceId: 'wall', thicknessMm: 9, longestSideMm: 300, trims };
  const slabs = { ...figures, surfaceId: 'slabs', thicknessMm: 10.2, longestSideMm: 600, trims };
  const lines = (chosen: object, materials: object = {}) =>
    edgeProfile
      .takeOff({ ...need(wall), surfaces: [wall, slabs], materials: materials as never }, chosen)
      .map(({ variant, how }) => [variant, how.runs.map(({ surfaceId }) => surfaceId)]);
  expect(lines({})).toEqual([
    ['aluminium 13', ['wall']],
    ['aluminium 16.5', ['slabs']],
  ]);
  // The notch that is chosen for the adhesive is the one in force.
  const notched = { [wall.works.adhesive === 'powder' ? 'adhesive' : 'readyAdhesive']: { choices: { notchMm: 6 } } };
  expect(lines({ choices: { finish: 'brass' } }, notched)).toEqual([
    ['brass 12', ['wall']],
    ['brass 13.5', ['slabs']],
  ]);
});
