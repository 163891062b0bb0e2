import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoPlan } from '../../testing/demoJob.ts';
import { difference } from '../geometry/clip.ts';
import { boxOf, polygonArea, polygonsArea, rectangleRing, ringLength } from '../geometry/ring.ts';
import { describeMark } from '../messages/en/marks.ts';
import { readMark } from '../samples/readMark.ts';
import { METRIC_TAPE, type Tape } from '../units/tape.ts';
import type { CutPiece } from './cutPiece.ts';
import { checkJob } from '../job/checkJob.ts';
import { plan, planSurface, type Plan } from '../plan.ts';
import type { SurfacePlan } from '../plan/planned.ts';
import type { Fixture } from '../surface/fixture.ts';
import { madeUpTiles } from '../madeUp/tiles.ts';
import { randomJob } from '../samples/randomJob.ts';
import { jobOfOne } from '../samples/testJob.ts';
import { coreBitFor, type Mark } from './cutKind.ts';
import { narrowestSnapMm, toolFor } from './cutTool.ts';
import { fitCircle } from './fitCircle.ts';
import { givesBack, rebuildPiece } from './rebuildPiece.ts';
import { trials } from '../../testing/trials.ts';

const [W, H] = [310, 190];

/** A grid of tiles without joints round one fixture; every figure below can be reckoned by hand. */
function cutsRound(
  outline: { kind: 'rectangle'; widthMm: number; heightMm: number } | { kind: 'round'; diameterMm: number },
  xMm: number,
  yMm: number,
): SurfacePlan {
  const fixture: Fixture = {
    id: 'f',
    name: 'F',
    outline,
    kind: 'cutOut',
    cover: null,
    from: [
      { edge: 'left', mm: xMm },
      { edge: 'bottom', mm: yMm },
    ],
    tiledUnder: false,
    clearanceMm: 0,
  };
  const job = jobOfOne({
    size: [6 * W, 6 * H],
    tile: [W, H],
    jointMm: 0,
    gapMm: 0,
    measured: { fixtures: [fixture] },
    surface: { setout: { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } } },
  });
  return planSurface(job, job.surfaces[0]);
}

/** What a mark takes off the tile, in mm²; null for marks that do not say it alone. */
function takenOff(mark: Mark): number | null {
  switch (mark.type) {
    case 'line':
      return mark.from === 'left' || mark.from === 'right'
        ? (W - (mark.mm[0] + mark.mm[1]) / 2) * H
        : (H - (mark.mm[0] + mark.mm[1]) / 2) * W;
    case 'notch':
      return mark.xMm * mark.yMm;
    case 'slot':
      return mark.widthMm * mark.depthMm;
    case 'window':
      return mark.widthMm * mark.heightMm;
    default:
      return null;
  }
}

describe('the marks give the piece back', () => {
  test('round a box anywhere: one mark takes off exactly what is missing', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30, max: 700 }),
        fc.integer({ min: 30, max: 500 }),
        fc.integer({ min: 5, max: 900 }),
        fc.integer({ min: 5, max: 500 }),
        (width, height, x, y) => {
          const clear = (at: number, step: number): boolean => at % step > 1 && at % step < step - 1;
          fc.pre(clear(x, W) && clear(y, H) && clear(x + width, W) && clear(y + height, H));
          for (const piece of cutsRound({ kind: 'rectangle', widthMm: width, heightMm: height }, x, y).cuts) {
            if (piece.marks.length !== 1 || piece.label.endsWith('a') || piece.label.endsWith('b')) continue;
            expect(takenOff(piece.marks[0])).toBeCloseTo(W * H - piece.areaMm2, 1);
          }
        },
      ),
      { numRuns: trials(80) },
    );
  });

  test('round a pipe anywhere: every bitten piece knows the same centre and diameter', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 170 }),
        fc.integer({ min: 330, max: 900 }),
        fc.integer({ min: 210, max: 560 }),
        (diameter, x, y) => {
          const { cuts: pieces, layout } = cutsRound({ kind: 'round', diameterMm: diameter }, x, y);
          // A pipe that touches two sides leaves the corner as a piece of its own, so tiles are counted and not pieces.
          const tiles = new Set(pieces.map(({ address: { i, j } }) => `${i} ${j}`));
          const left = polygonsArea(layout.dropped) + pieces.reduce((sum, piece) => sum + piece.areaMm2, 0);
          const missing = tiles.size * W * H - left;
          expect(missing).toBeCloseTo((Math.PI * diameter * diameter) / 4, -1);
          for (const { marks, address } of pieces) {
            for (const mark of marks) {
              if (mark.type !== 'circle') continue;
              expect(mark.xMm + address.i * W).toBeCloseTo(x, 1);
              expect(mark.yMm + address.j * H).toBeCloseTo(y, 1);
              expect(mark.diameterMm).toBeCloseTo(diameter, 0);
            }
          }
          expect(pieces.some(({ marks }) => marks.some(({ type }) => type === 'circle'))).toBe(true);
        },
      ),
      { numRuns: trials(60) },
    );
  });

  test('a slanted cut has a mark at each end, the larger where more stays', () => {
    const job = jobOfOne({ size: [1200, 900], tile: [300, 300], jointMm: 0, gapMm: 0 });
    const { cuts } = planSurface(job, { ...job.surfaces[0], setout: { x: { rule: 'free', offsetMm: 70 }, y: { rule: 'fullFromStart' } } });
    expect(cuts.flatMap(({ marks }) => marks).every((mark) => mark.type === 'line' && mark.mm[0] === mark.mm[1])).toBe(true);
  });
});

/** How many pieces the marks of a job don't give back, of how many. */
function notGivenBack({ surfaces }: Plan): [number, number] {
  const cuts = surfaces.flatMap((surface) => surface.cuts.filter(({ of }) => of !== 'chip'));
  return [cuts.filter(({ marks, tile, inTile }) => !givesBack(marks, tile, inTile)).length, cuts.length];
}

test.each([
  // A pipe and a post part a tile near its corner: the bit beyond has no side of its own to be marked from.
  ['tidewater-bakehouse', 2],
  ['sample-boards', 0],
  ['ferry-kiosk', 0],
] as const)('the marks of %s give every piece back, but for %i', (name, most) => {
  expect(notGivenBack(demoPlan(name))[0]).toBeLessThanOrEqual(most);
});

test('on any job the marks give nearly every piece back; what is left are bits of tiles that come apart, and curves upon curves', () => {
  const jobs = Array.from({ length: trials(20) }, (_, k) => randomJob(k + 1)).filter((job) => checkJob(job).length === 0);
  const counts = jobs.map((job) => notGivenBack(plan(job)));
  const [bad, all] = [0, 1].map((k) => counts.reduce((sum, count) => sum + count[k], 0));
  expect(all).toBeGreaterThan(trials(800));
  expect(bad / all).toBeLessThan(0.01);
});

/** Ends of free lines are looked for so far about where the words put them, mm. */
const ROUNDED_MM = 1;

/** How far a piece that is made by the words on its card, as this tape writes them, is beside the one that is wanted, mm on average. */
function besideByWords({ marks, tile, inTile }: CutPiece, tape: Tape): number {
  const { minX, minY, maxX, maxY } = boxOf(tile);
  const size = { widthMm: maxX - minX, heightMm: maxY - minY };
  const made = rebuildPiece(
    marks.map((mark) => readMark(describeMark(mark, tape), size)),
    tile,
    ROUNDED_MM,
  );
  return (polygonsArea(difference(made, [inTile])) + polygonsArea(difference([inTile], made))) / ringLength(inTile[0]);
}

test('the words on the card alone give the piece back, for every pattern; rounded as the tape is, within a step of it', () => {
  const jobs = Array.from({ length: trials(12) }, (_, k) => randomJob(k + 41)).filter((job) => checkJob(job).length === 0);
  const fine = { ...METRIC_TAPE, metricStepMm: 0.1 } as const;
  const off = { fine: 0, half: 0, all: 0 };
  for (const surface of [...jobs.map((job) => plan(job)), demoPlan('sample-boards')].flatMap(({ surfaces }) => surfaces)) {
    for (const { first } of surface.groups) {
      if (first.of === 'chip' || !givesBack(first.marks, first.tile, first.inTile)) continue;
      off.all++;
      if (besideByWords(first, fine) > 0.5) off.fine++;
      if (besideByWords(first, METRIC_TAPE) > 0.5) off.half++;
    }
  }
  expect(off.all).toBeGreaterThan(trials(400));
  // What is left are bits of a tile that comes apart at a pipe, which have no side of their own to be marked from.
  expect(off.half / off.all).toBeLessThan(0.005);
  expect(off.fine / off.all).toBeLessThan(0.002);
});

test('the words name what a tile has at a side: an edge, a point or a round rim, and its flats by the way they look', () => {
  const { surfaces } = demoPlan('sample-boards');
  const said = (id: string): string => {
    const surface = surfaces.find(({ surfaceId }) => surfaceId === id);
    if (!surface) throw new Error(id);
    return surface.groups.flatMap(({ first: { marks } }) => marks.map((mark) => describeMark(mark, METRIC_TAPE))).join('; ');
  };
  // Points up: its left and right are edges, its bottom and top are points.
  expect(said('hexagon')).toMatch(/from the bottom point/);
  expect(said('hexagon')).toMatch(/from the left edge/);
  expect(said('hexagon')).not.toMatch(/from the (bottom|top) edge|from the (left|right) point/);
  expect(said('pennyRound')).toMatch(/from the left rim/);
  expect(said('pennyRound')).not.toMatch(/edge|point/);
  expect(said('chevron')).toMatch(/up the lower right flat/);
  expect(surfaces.map(({ surfaceId }) => said(surfaceId)).join()).not.toMatch(/corner \d/);
});

test('a wrong mark gives the piece back no more', () => {
  const line: Mark = { type: 'line', from: 'left', mm: [200, 210] };
  const tile = rectangleRing(0, 0, 300, 300);
  const piece = rebuildPiece([line], tile)[0];
  expect(polygonArea(piece)).toBeCloseTo(205 * 300, 0);
  expect(givesBack([line], tile, piece)).toBe(true);
  for (const wrong of [
    { ...line, mm: [210, 200] as const },
    { ...line, from: 'right' as const },
    { ...line, mm: [201, 211] as const },
  ])
    expect(givesBack([wrong], tile, piece)).toBe(false);
});

test('a circle is found from part of its arc, and not from what is no circle', () => {
  fc.assert(
    fc.property(fc.integer({ min: 5, max: 400 }), fc.integer({ min: 30, max: 340 }), (radius, degrees) => {
      const arc = Array.from(
        { length: 40 },
        (_, k) =>
          [9 + radius * Math.cos((degrees * k * Math.PI) / 180 / 40), -4 + radius * Math.sin((degrees * k * Math.PI) / 180 / 40)] as const,
      );
      const found = fitCircle(arc);
      expect(found?.radiusMm).toBeCloseTo(radius, 3);
      expect(fitCircle(arc.map(([x, y], k) => [x, k % 2 === 0 ? y : y + 2] as const))).toBeNull();
    }),
  );
});

test('a core bit is the next that exists; beyond the largest there is none', () => {
  expect([5, 6, 59, 60, 61, 120, 126, 128].map((mm) => coreBitFor(mm))).toEqual([6, 6, 60, 60, 65, 120, 127, null]);
  expect([20, 35, 36, 70].map((mm) => coreBitFor(mm, [68, 35]))).toEqual([35, 35, 68, null]);
});

describe('the tool', () => {
  const tile = (material: string) => madeUpTiles().find((product) => product.material === material) ?? madeUpTiles()[0];
  const line: Mark = { type: 'line', from: 'left', mm: [200, 200] };
  test.each([
    ['a wide straight cut in porcelain snaps', 'straight', [line], 'porcelain', 97, 'snapCutter'],
    ['a narrow one is sawn', 'rip', [line], 'porcelain', 12, 'wetSaw'],
    ['glass and stone are sawn', 'straight', [line], 'glass', 97, 'wetSaw'],
    [
      'a notch is sawn',
      'notch',
      [{ type: 'notch', sideX: 'left', xMm: 40, sideY: 'top', yMm: 50, afterCut: false }],
      'ceramic',
      Infinity,
      'wetSaw',
    ],
    [
      'a hole with a bit is drilled',
      'hole',
      [{ type: 'circle', xMm: 90, yMm: 90, diameterMm: 40, coreMm: 40 }],
      'ceramic',
      Infinity,
      'coreBit',
    ],
    [
      'a hole without one is ground',
      'hole',
      [{ type: 'circle', xMm: 90, yMm: 90, diameterMm: 180, coreMm: null }],
      'ceramic',
      Infinity,
      'grinder',
    ],
    [
      'half a hole is ground, but in glass drilled',
      'halfHole',
      [{ type: 'circle', xMm: 0, yMm: 90, diameterMm: 40, coreMm: 40 }],
      'glass',
      Infinity,
      'coreBit',
    ],
  ] as const)('%s', (_, kind, marks, material, narrowest, tool) => {
    expect(toolFor(kind, marks, tile(material), narrowest)).toBe(tool);
  });
  test('thick pieces need a wider strip to snap', () => expect([8, 10, 14].map(narrowestSnapMm)).toEqual([20, 20, 28]));
});
