import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { ringArea } from '../geometry/ring.ts';
import { describeMark } from '../messages/en/marks.ts';
import { planSurface } from '../plan.ts';
import type { SurfacePlan } from '../plan/planned.ts';
import type { Fixture } from '../surface/fixture.ts';
import { jobOfOne, type WantedJob } from '../samples/testJob.ts';
import { METRIC_TAPE } from '../units/tape.ts';
import type { CutPiece } from './cutPiece.ts';

const planned = (over: Partial<WantedJob>): SurfacePlan => {
  const job = jobOfOne({
    size: [1200, 900],
    tile: [300, 300],
    jointMm: 0,
    gapMm: 0,
    surface: { setout: { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } }, ...over.surface },
    ...over,
  });
  return planSurface(job, job.surfaces[0]);
};
const box = (xMm: number, yMm: number, widthMm: number, heightMm: number): Fixture => ({
  id: 'f',
  name: 'F',
  outline: { kind: 'rectangle', widthMm, heightMm },
  kind: 'cutOut',
  cover: null,
  from: [
    { edge: 'left', mm: xMm },
    { edge: 'bottom', mm: yMm },
  ],
  tiledUnder: false,
  clearanceMm: 0,
});
const pipe = (xMm: number, yMm: number, diameterMm: number): Fixture => ({
  id: 'f',
  name: 'F',
  outline: { kind: 'round', diameterMm },
  kind: 'cutOut',
  cover: null,
  from: [
    { edge: 'left', mm: xMm },
    { edge: 'bottom', mm: yMm },
  ],
  tiledUnder: false,
  clearanceMm: 0,
});
const only = (over: Partial<WantedJob>): CutPiece => {
  const { cuts } = planned(over);
  expect(cuts).toHaveLength(1);
  return cuts[0];
};
const words = (piece: CutPiece): string => piece.marks.map((mark) => describeMark(mark, METRIC_TAPE)).join('; ');

describe('each cut is named and marked from the factory edges', () => {
  test.each([
    ['a corner', box(420, 0, 180, 100), 'notch', 'notch 180 in from the right, 100 from the bottom'],
    ['a slot in the bottom', box(380, 0, 100, 120), 'uCut', 'slot from the bottom: starts at 80, 100 wide, 120 deep'],
    ['a box within', box(350, 60, 120, 80), 'hole', 'box 120 x 80, 50 from the left, 60 from the bottom'],
    ['a pipe within', pipe(450, 140, 58), 'hole', 'hole 58 mm, centre 150 from the left, 140 from the bottom; core bit 60 mm'],
    ['a strip', box(300, 0, 300, 260), 'rip', '40 from the top edge'],
  ])('%s', (_, fixture, kind, marks) => {
    const piece = only({ measured: { fixtures: [fixture] } });
    expect([piece.kind, words(piece)]).toEqual([kind, marks]);
  });

  test('a pipe on a joint is a half-hole in both pieces, its centre on the edge', () => {
    const { cuts } = planned({ measured: { fixtures: [pipe(300, 150, 80)] } });
    expect(cuts.map(({ kind }) => kind)).toEqual(['halfHole', 'halfHole']);
    expect(cuts.map(words)).toEqual([
      expect.stringMatching(/80 mm, centre 300 from the left, 150 from the bottom/),
      expect.stringMatching(/centre 0 from the left, 150/),
    ]);
  });

  test('the piece in the corner of the room is cut twice; the shape is the one on the wall', () => {
    const { cuts } = planned({ size: [1000, 700] });
    const corner = cuts.find(({ sizeMm }) => sizeMm.widthMm < 299 && sizeMm.heightMm < 299);
    expect([corner?.kind, corner && words(corner)]).toEqual(['several', '100 from the left edge; 100 from the bottom edge']);
  });

  test('a notch beside a straight cut is measured from the cut side', () => {
    const measured = { doorways: [{ id: 'd', edge: 'bottom', fromStartMm: 400, widthMm: 500, depthMm: 60 }] };
    const { cuts } = planned({ measured, surface: { setout: { x: { rule: 'fullFromStart' }, y: { rule: 'free', offsetMm: -100 } } } });
    expect(cuts.map(words)).toContain('260 from the top edge; notch 100 in from the left, 60 from the bottom, after the straight cut');
  });
});

test('equal cuts are one line whichever way a plain piece is turned, and two for a directional one', () => {
  const wall: Partial<WantedJob> = {
    size: [2314, 595],
    tile: [297.5, 297.5],
    jointMm: 0,
    surface: { setout: { x: { rule: 'jointCentred' }, y: { rule: 'fullFromStart' } } },
  };
  expect(planned(wall).groups.map(({ pieces }) => pieces.length)).toEqual([4]);
  expect(planned({ ...wall, directional: true }).groups.map(({ pieces }) => pieces.length)).toEqual([2, 2]);
});

describe('off-cuts', () => {
  const halves: Partial<WantedJob> = {
    size: [1050, 800],
    tile: [300, 100],
    jointMm: 0,
    surface: {
      pattern: { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' },
      setout: { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } },
    },
  };

  test('half pieces at both ends come from one tile when the kerf leaves room, factory edge to the joint', () => {
    // Odd courses end on 150 at the right, even ones start on 150 at the left: 8 halves of exactly half a tile.
    const job = jobOfOne({ tile: [300, 100], jointMm: 0, gapMm: 0, ...halves, size: [1050, 800] } as WantedJob);
    const without = { ...job, consumption: { ...job.consumption, kerfMm: 0 } };
    expect(planSurface(without, without.surfaces[0]).offCuts.openedForCuts).toBe(4);
    expect(planSurface(job, job.surfaces[0]).offCuts.openedForCuts).toBe(8);
    const thrown = { ...without, consumption: { ...without.consumption, offCutsKept: false } };
    expect(planSurface(thrown, thrown.surfaces[0]).offCuts.openedForCuts).toBe(8);
  });

  test('never fewer than the bound, never more than a tile a cut, and a directional face is never turned', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 700, max: 2600 }),
        fc.integer({ min: 500, max: 2000 }),
        fc.integer({ min: 90, max: 420 }),
        fc.integer({ min: 90, max: 420 }),
        fc.boolean(),
        (width, height, w, h, directional) => {
          const { offCuts, cuts, totals } = planned({
            size: [width, height],
            tile: [w, h],
            jointMm: 2,
            directional,
            measured: { fixtures: [box(200, 200, 180, 120)] },
          });
          expect(offCuts.openedForCuts).toBeGreaterThanOrEqual(offCuts.lowerBound);
          expect(offCuts.openedForCuts).toBeLessThanOrEqual(cuts.length);
          expect(totals.opened).toBeGreaterThanOrEqual(totals.lowerBound);
          const used = new Map<number, number>();
          for (const piece of cuts) {
            const tile = offCuts.sources.get(piece.label)?.tile ?? 0;
            used.set(tile, (used.get(tile) ?? 0) + piece.areaMm2);
          }
          expect(Math.max(0, ...used.values())).toBeLessThanOrEqual(w * h + 1);
        },
      ),
      { numRuns: 60 },
    );
  });
});

test('labels name each piece once, course by course, and cut outlines keep their area', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 600, max: 3000 }),
      fc.integer({ min: 400, max: 2400 }),
      fc.double({ min: 0.1, max: 0.9, noNaN: true }),
      fc.constantFrom('alternating' as const, 'stepped' as const),
      fc.constantFrom('lying' as const, 'upright' as const),
      (width, height, offset, step, lay) => {
        const { cuts, layout } = planned({
          size: [width, height],
          tile: [230, 115],
          jointMm: 3,
          surface: { pattern: { kind: 'runningBond', lay, offset, step }, setout: { x: { rule: 'best' }, y: { rule: 'best' } } },
        });
        expect(new Set(cuts.map(({ label }) => label)).size).toBe(cuts.length);
        const area = cuts.reduce((sum, { inTile }) => sum + inTile.reduce((part, ring) => part + ringArea(ring), 0), 0);
        expect(area).toBeCloseTo(
          cuts.reduce((sum, piece) => sum + piece.areaMm2, 0),
          -1,
        );
        expect(cuts.every(({ inTile }) => inTile[0].every(([x, y]) => x > -0.01 && y > -0.01 && x < 230.01 && y < 115.01))).toBe(true);
        expect(layout.cutTiles.length).toBeLessThanOrEqual(cuts.length);
      },
    ),
    { numRuns: 30 },
  );
});
