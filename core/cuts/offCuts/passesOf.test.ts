import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sharedArea } from '../../geometry/clip.ts';
import { add, cross, quarterTurn, scale, subtract, unit, type Point } from '../../geometry/point.ts';
import { boxOf, rectangleRing, type Box, type Polygon } from '../../geometry/ring.ts';
import { plan } from '../../plan.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import { passesOf, type Pass } from './passesOf.ts';
import { trials } from '../../../testing/trials.ts';

/** Saws a tile by what passes say and nothing else: every part that a pass runs through falls in two, the blade taken off. */
function saw(tile: Box, passes: readonly Pass[], kerfMm: number): Box[] {
  let parts = [tile];
  for (const { from, to, fence } of passes) {
    const upright = Math.abs(from[0] - to[0]) < 1e-6;
    const at = upright ? from[0] : from[1];
    const [start, end] = [from, to].map((p) => (upright ? p[1] : p[0])).sort((a, b) => a - b);
    const keepsLow = fence?.side === 'left' || fence?.side === 'bottom';
    const [cutFrom, cutTo] = keepsLow ? [at, at + kerfMm] : [at - kerfMm, at];
    parts = parts.flatMap((part) => {
      const isMet = upright
        ? part.minX < at && part.maxX > at && Math.abs(part.minY - start) < 0.5 && Math.abs(part.maxY - end) < 0.5
        : part.minY < at && part.maxY > at && Math.abs(part.minX - start) < 0.5 && Math.abs(part.maxX - end) < 0.5;
      if (!isMet) return [part];
      return upright
        ? [
            { ...part, maxX: cutFrom },
            { ...part, minX: cutTo },
          ]
        : [
            { ...part, maxY: cutFrom },
            { ...part, minY: cutTo },
          ];
    });
  }
  return parts;
}

const same = (a: Box, b: Box): boolean => (['minX', 'minY', 'maxX', 'maxY'] as const).every((key) => Math.abs(a[key] - b[key]) < 0.3);

test('two pieces of one tile: parted first, then each trimmed', () => {
  const tile = rectangleRing(0, 0, 300, 300);
  const pieces: Polygon[] = [[rectangleRing(0, 0, 120, 200)], [rectangleRing(180, 0, 120, 300)]];
  expect(passesOf(tile, pieces, 3)?.map(({ fence }) => fence && `${fence.side} ${fence.mm}`)).toEqual([
    'left 120',
    'bottom 200',
    'right 120',
  ]);
});

test('pieces about a middle that no cut reaches are not taken apart by passes', () => {
  const around: Polygon[] = [
    [rectangleRing(0, 0, 200, 95)],
    [rectangleRing(205, 0, 95, 200)],
    [rectangleRing(100, 205, 200, 95)],
    [rectangleRing(0, 100, 95, 200)],
  ];
  expect(passesOf(rectangleRing(0, 0, 300, 300), around, 3)).toBeNull();
});

test('two triangles of one tile are parted along their slants, by their marks, and nothing is laid to the fence', () => {
  const triangles: Polygon[] = [
    [
      [
        [0, 0],
        [57, 0],
        [0, 57],
      ],
    ],
    [
      [
        [60, 60],
        [3, 60],
        [60, 3],
      ],
    ],
  ];
  const passes = passesOf(rectangleRing(0, 0, 60, 60), triangles, 2) ?? [];
  expect(passes.map(({ fence, piece }) => [fence, piece])).toEqual([
    [null, 0],
    [null, 1],
  ]);
  // A blade wider than the strip between them leaves neither whole.
  expect(passesOf(rectangleRing(0, 0, 60, 60), triangles, 5)).toBeNull();
});

test('a floor laid at 45 degrees takes two triangles from a tile wherever kerf and size let it', () => {
  const [side, jointMm, kerfMm] = [200, 3, 2.5];
  const job = jobOfOne({
    size: [2000, 1600],
    tile: [side, side],
    jointMm,
    surface: { turnDeg: 45 },
  });
  const [{ offCuts, cuts }] = plan({ ...job, consumption: { ...job.consumption, kerfMm } }).surfaces;
  // Right triangles by their longer leg: two go corner against corner where the strip between their slants holds the blade.
  const legs = cuts
    .filter(({ inTile: [ring], factorySides }) => ring.length === 3 && factorySides.length === 2)
    .map(({ areaMm2 }) => Math.sqrt(2 * areaMm2));
  const pairs = legs.filter((leg) => Math.SQRT2 * (side - leg) >= kerfMm).length;
  expect(pairs).toBeGreaterThan(8);
  const sharing = offCuts.tiles.filter(({ uses }) => uses.length > 1).length;
  expect(sharing).toBeGreaterThanOrEqual(Math.floor(pairs / 2) - 1);
});

test('on any room every piece of every opened tile comes out of the saw in its own size', () => {
  let tiles = 0;
  fc.assert(
    fc.property(
      fc.integer({ min: 900, max: 2600 }),
      fc.integer({ min: 900, max: 2200 }),
      fc.integer({ min: 0, max: 250 }),
      fc.constantFrom(0, 1.5, 2.5, 4),
      (width, height, shift, kerfMm) => {
        const job = jobOfOne({
          size: [width, height],
          tile: [300, 200],
          jointMm: 3,
          surface: { setout: { x: { rule: 'free', offsetMm: shift }, y: { rule: 'free', offsetMm: shift / 2 } } },
        });
        const [{ offCuts, cuts }] = plan({ ...job, consumption: { ...job.consumption, kerfMm } }).surfaces;
        const rectangles = new Set(cuts.filter(({ inTile }) => inTile[0].length === 4).map(({ label }) => label));
        for (const { outline, uses } of offCuts.tiles) {
          const passes = passesOf(
            outline,
            uses.map((use) => use.outline),
            kerfMm,
          );
          expect(passes).not.toBeNull();
          const parts = saw(boxOf(outline), passes ?? [], kerfMm);
          for (const use of uses)
            if (rectangles.has(use.label)) expect(parts.filter((part) => same(part, boxOf(use.outline[0])))).toHaveLength(1);
          tiles++;
          // One pass fewer leaves a piece too large.
          if (passes && passes.length > 0) {
            const short = saw(boxOf(outline), passes.slice(0, -1), kerfMm);
            expect(uses.every((use) => short.some((part) => same(part, boxOf(use.outline[0]))))).toBe(false);
          }
        }
      },
    ),
    { numRuns: trials(25) },
  );
  expect(tiles).toBeGreaterThan(trials(100));
});

/** The strip that a blade takes beside what it keeps, a hair narrower. */
function bladeOf({ from, to }: Pass, kerfMm: number): Polygon {
  const along = unit(subtract(to, from));
  const off = (mm: number, p: Point): Point => add(p, scale(quarterTurn(along), -mm));
  const [near, far] = [0.15, Math.max(0.3, kerfMm - 0.25)];
  return [[off(far, from), off(far, to), off(near, to), off(near, from)]];
}

test('on turned floors no pass runs through a piece, and any two pieces of a tile have a pass between them', () => {
  const told = { tiles: 0, slanted: 0 };
  fc.assert(
    fc.property(
      fc.integer({ min: 900, max: 2200 }),
      fc.integer({ min: 900, max: 1900 }),
      fc.constantFrom<readonly [number, number]>([200, 200], [150, 150], [300, 150]),
      fc.constantFrom(45, 30, 18, -27),
      fc.constantFrom(1.5, 2.5, 4),
      fc.boolean(),
      (width, height, tile, turnDeg, kerfMm, directional) => {
        const job = jobOfOne({ size: [width, height], tile, jointMm: 3, directional, surface: { turnDeg } });
        const [{ offCuts }] = plan({ ...job, consumption: { ...job.consumption, kerfMm } }).surfaces;
        for (const { outline, uses } of offCuts.tiles) {
          const pieces = uses.map((use) => use.outline);
          const passes = passesOf(outline, pieces, kerfMm);
          if (pieces.length > 1) expect(passes).not.toBeNull();
          told.tiles++;
          for (const pass of passes ?? []) {
            if (pass.fence === null) told.slanted++;
            for (const piece of pieces) expect(sharedArea([bladeOf(pass, kerfMm)], [piece])).toBeLessThan(1);
          }
          const sideOf = ({ from, to }: Pass, piece: Polygon): number => {
            const offs = piece[0].map((p) => cross(unit(subtract(to, from)), subtract(p, from)));
            return Math.min(...offs) > -0.3 ? 1 : Math.max(...offs) < 0.3 ? -1 : 0;
          };
          pieces.forEach((piece, k) => {
            for (const other of pieces.slice(0, k))
              expect((passes ?? []).some((pass) => sideOf(pass, piece) * sideOf(pass, other) === -1)).toBe(true);
          });
        }
      },
    ),
    { numRuns: trials(25) },
  );
  expect(told.tiles).toBeGreaterThan(trials(300));
  expect(told.slanted).toBeGreaterThan(trials(100));
});
