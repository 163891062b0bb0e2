import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { describeCares } from '../messages/en/cutting.ts';
import { describeMark } from '../messages/en/marks.ts';
import { planSurface } from '../plan.ts';
import type { SurfacePlan } from '../plan/planned.ts';
import { wallsThrough } from '../surface/shapes/asWalls.ts';
import { standing } from '../samples/standing.ts';
import { jobOfOne, type WantedJob } from '../samples/testJob.ts';
import { METRIC_TAPE } from '../units/tape.ts';
import { caresOf } from './cutMethod.ts';
import type { CutPiece } from './cutPiece.ts';
import { settingsOf, tripsFor } from './cutOrder.ts';
import { nearCuts } from './nearCuts.ts';
import { rebuildPiece } from './rebuildPiece.ts';
import { seenFromBack } from './backView.ts';
import { polygonArea, polygonsArea } from '../geometry/ring.ts';
import { trials } from '../../testing/trials.ts';

const planned = (wanted: WantedJob): SurfacePlan => {
  const job = jobOfOne(wanted);
  return planSurface(job, job.surfaces[0]);
};
const fromCorner = { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } } as const;
const said = ({ marks }: CutPiece): string[] => marks.map((mark) => describeMark(mark, METRIC_TAPE));

/** A worktop whose back edge bulges out by so much in the middle. */
const bowed = (riseMm: number, tile: readonly [number, number]): SurfacePlan => {
  const points = [
    [0, 0],
    [2480, 0],
    [2480, 610],
    [0, 610],
  ] as const;
  const shape = wallsThrough(
    points,
    points.map((_, k) => ({ id: 'abcd'[k], name: '', curve: k === 2 ? { by: 'rise' as const, riseMm, bulges: 'out' as const } : null })),
  );
  return planned({ size: [2480, 610], tile, jointMm: 3, gapMm: 3, surface: { kind: 'countertop' }, measured: { shape } });
};

describe('a gentle curve is one cut', () => {
  test('a back edge that bows by 44 over 2480 leaves its chord by 0.64 over a tile of 300: a taper, no template', () => {
    const { cuts } = bowed(44, [300, 300]);
    const back = cuts.filter(({ marks }) => marks.some((mark) => mark.type === 'line' && mark.from === 'bottom'));
    expect(back.length).toBeGreaterThan(6);
    expect(cuts.filter(({ kind }) => kind === 'curve')).toEqual([]);
    // One mark along the back, and one more where an end wall cuts the same tile.
    for (const { marks } of cuts) expect(marks.length).toBeLessThanOrEqual(2);
  });
  test('over a tile of 600 it leaves it by 2.6: a curve with offsets', () => {
    const { cuts } = bowed(44, [600, 300]);
    expect(cuts.filter(({ kind }) => kind === 'curve').length).toBeGreaterThan(0);
  });
  test('any gentle back edge is cut by its marks to half a millimetre, whatever the tile', () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 400 }), fc.constantFrom([150, 150], [300, 300], [600, 300]), (riseMm, tile) => {
        for (const { marks, tile: whole, inTile } of bowed(riseMm, tile as [number, number]).cuts) {
          const made = rebuildPiece(marks, whole);
          // As much as half a millimetre along the whole tile, at most.
          expect(Math.abs(polygonsArea(made) - polygonArea(inTile))).toBeLessThan(0.5 * tile[0]);
        }
      }),
      { numRuns: trials(25) },
    );
  });
});

describe('a mark is set from an edge that is still there', () => {
  test('a hole measured from an edge that a cut takes off is marked before any cut', () => {
    // The tile in the corner loses its left 100 and its bottom 100; the pipe stands 60 in from both walls.
    const pipe = {
      id: 'p',
      name: 'Pipe',
      kind: 'pipe' as const,
      outline: { kind: 'round' as const, diameterMm: 30 },
      from: [
        { edge: 'left', mm: 90 },
        { edge: 'bottom', mm: 90 },
      ] as [{ edge: string; mm: number }, { edge: string; mm: number }],
      tiledUnder: false,
      clearanceMm: 2,
      cover: null,
    };
    const { cuts } = planned({
      size: [1600, 1600],
      tile: [300, 300],
      jointMm: 0,
      gapMm: 0,
      measured: { fixtures: [pipe] },
      surface: { setout: { x: { rule: 'free', offsetMm: 200 }, y: { rule: 'free', offsetMm: 200 } } },
    });
    const holed = cuts.find(({ marks }) => marks.some(({ type }) => type === 'circle'));
    if (!holed) throw new Error('a hole was expected');
    const words = said(holed);
    expect(words.at(-1)).toMatch(/^hole 34 mm, centre 190 from the left, 190 from the bottom; .*, marked before any cut$/);
    // From the back the same tile is measured from its other side, which stays.
    const back = seenFromBack(holed).marks.map((mark) => describeMark(mark, METRIC_TAPE));
    expect(back.at(-1)).toMatch(/centre 110 from the left, 190 from the bottom/);
  });
});

describe('tools as a hand knows them', () => {
  const octagons = (offMm: number): SurfacePlan => {
    // One course of octagons of 150, and the wall that is seen cuts so much off the flat of the next.
    const job = jobOfOne({
      size: [153 * 6, 153 * 3 + 150 - offMm],
      tile: [150, 150],
      jointMm: 3,
      gapMm: 0,
      surface: { setout: fromCorner },
    });
    const octagon = { ...job.products[0], shape: { kind: 'octagon' as const, cornerMm: 44 } };
    return planSurface({ ...job, products: [octagon] }, { ...job.surfaces[0], pattern: { kind: 'octagonDot' } });
  };
  test('nobody snaps 8 mm off the flat of an octagon; half of one is snapped', () => {
    const toolsAtTop = (plan: SurfacePlan): Set<string> =>
      new Set(
        plan.cuts
          .filter(
            ({ marks, sizeMm }) => marks.length === 1 && sizeMm.widthMm > 140 && marks[0].type === 'line' && marks[0].from === 'bottom',
          )
          .map(({ tool }) => tool),
      );
    expect([...toolsAtTop(octagons(8))]).toEqual(['wetSaw']);
    expect([...toolsAtTop(octagons(75))]).toEqual(['snapCutter']);
  });
  test('a shave, a crumb and a hole at the rim are named, with what to do instead', () => {
    const job = jobOfOne({ size: [1000, 902], tile: [300, 300], jointMm: 0, gapMm: 0, surface: { setout: fromCorner } });
    const tight = { ...job.surfaces[0].measured, shape: { kind: 'rectangle' as const, widthMm: 904, heightMm: 898 } };
    const plan = planSurface(job, { ...job.surfaces[0], measured: tight });
    const cares = plan.cuts.map((piece) => [piece.label, caresOf(piece, job.products[0])] as const);
    // 898 is three tiles less 2: the top course loses 2; 904 leaves pieces of 4 at the right.
    const top = cares.filter(([label]) => label.startsWith('C'));
    expect(top.every(([, own]) => own.includes('shave'))).toBe(true);
    const thin = plan.cuts.filter(({ sizeMm }) => sizeMm.widthMm < 5);
    expect(thin.length).toBeGreaterThan(0);
    for (const piece of thin) expect(caresOf(piece, job.products[0])).toContain('tiny');
    expect(describeCares(['shave', 'nearEdge']).every((words) => /: /.test(words))).toBe(true);
  });
  test('a hole 2.5 mm from a factory edge is bitten out or split, not drilled as it is', () => {
    const pipe = {
      id: 'p',
      name: 'Pipe',
      kind: 'pipe' as const,
      outline: { kind: 'round' as const, diameterMm: 40 },
      from: [
        { edge: 'left', mm: 322.5 },
        { edge: 'bottom', mm: 450 },
      ] as [{ edge: string; mm: number }, { edge: string; mm: number }],
      tiledUnder: false,
      clearanceMm: 0,
      cover: null,
    };
    const job = jobOfOne({
      size: [900, 900],
      tile: [300, 300],
      jointMm: 0,
      gapMm: 0,
      measured: { fixtures: [pipe] },
      surface: { setout: fromCorner },
    });
    const plan = planSurface(job, job.surfaces[0]);
    expect(plan.cuts.map((piece) => caresOf(piece, job.products[0]).includes('nearEdge'))).toEqual([true]);
  });
});

test('cuts that hardly differ stand under one heading, each with its own figure', () => {
  // The right wall leans by 3 over five courses of 200: every course is cut a little otherwise.
  const points = [
    [0, 0],
    [1000, 0],
    [1003, 1015],
    [0, 1015],
  ] as const;
  const shape = wallsThrough(
    points,
    points.map((_, k) => ({ id: 'abcd'[k], name: '', curve: null })),
  );
  const job = jobOfOne({ size: [1000, 1015], tile: [300, 50], jointMm: 3, gapMm: 0, surface: { setout: fromCorner }, measured: { shape } });
  const plan = planSurface(job, job.surfaces[0]);
  const settings = settingsOf(tripsFor(plan, job.surfaces[0].pattern, undefined));
  const runs = nearCuts(settings);
  expect(runs.flatMap(({ settings: own }) => own)).toEqual(settings);
  for (const { settings: own, rangeMm } of runs)
    if (rangeMm) {
      expect(own.length).toBeGreaterThan(2);
      expect(rangeMm[1] - rangeMm[0]).toBeLessThanOrEqual(3);
    }
  expect(runs.some(({ rangeMm }) => rangeMm !== null)).toBe(true);
});

test('a mark names a bit where the tool is one, and nowhere else', () => {
  let [bits, ground] = [0, 0];
  fc.assert(
    fc.property(fc.integer({ min: 300, max: 620 }), fc.integer({ min: 300, max: 520 }), (x, y) => {
      const pipe = standing('pipe', { kind: 'round', diameterMm: 54 }, x, y);
      const { cuts } = planned({
        size: [1200, 900],
        tile: [300, 200],
        jointMm: 3,
        surface: { setout: fromCorner },
        measured: { fixtures: [pipe] },
      });
      for (const piece of cuts) {
        const named = said(piece).some((mark) => mark.includes('core bit'));
        expect({ label: piece.label, named }).toEqual({ label: piece.label, named: piece.tool === 'coreBit' });
        if (named) bits++;
        if (piece.tool === 'grinder') ground++;
      }
    }),
    { numRuns: trials(40) },
  );
  expect(Math.min(bits, ground)).toBeGreaterThan(trials(3));
});
