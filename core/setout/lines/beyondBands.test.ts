import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { dot, unit, subtract, type Point } from '../../geometry/point.ts';
import { drawSurface } from '../../plan/layout/drawSurface.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import { besideFixtures } from '../edges/besideFixtures.ts';
import { forEachWhole, tileRing } from '../place/layout.ts';
import { gaugeRod } from './gaugeRod.ts';

const JOINT_MM = 3;

/** A wall of straight courses with a band across it, and a window above the band; drawn. */
function wall(size: readonly [number, number], tile: readonly [number, number], atMm: number, offsetMm: number | null = null) {
  const job = jobOfOne({
    size,
    tile,
    jointMm: JOINT_MM,
    gapMm: 0,
    surface: { pattern: { kind: 'stack', lay: 'lying' } },
    measured: {
      fixtures: [
        {
          id: 'window',
          name: 'Window',
          kind: 'window',
          outline: { kind: 'rectangle', widthMm: size[0] / 4, heightMm: size[1] / 5 },
          cover: null,
          from: [
            { edge: 'left', mm: size[0] / 3 },
            { edge: 'top', mm: size[1] / 6 },
          ],
          tiledUnder: false,
          clearanceMm: 0,
        },
      ],
    },
  });
  const [surface] = job.surfaces;
  const band = { id: 'b', productId: surface.productId, run: 'along' as const, way: 'level' as const, atMm };
  const y = offsetMm === null ? ({ rule: 'fullFromStart' } as const) : ({ rule: 'free', offsetMm } as const);
  return drawSurface(job, { ...surface, bands: [band], setout: { x: { rule: 'fullFromStart' }, y } });
}

const walls = fc.record({
  size: fc.tuple(fc.integer({ min: 1500, max: 2600 }), fc.integer({ min: 1900, max: 2600 })),
  tile: fc.tuple(fc.integer({ min: 90, max: 220 }), fc.integer({ min: 50, max: 120 })),
  share: fc.double({ min: 0.15, max: 0.45, noNaN: true }),
});

/** The low side of every whole tile along a way, mm, bands left out. */
function lowSides({ fields }: ReturnType<typeof wall>, way: Point): number[] {
  const found: number[] = [];
  for (const { kind, layout } of fields)
    if (kind !== 'band') forEachWhole(layout, (address) => void found.push(Math.min(...tileRing(layout, address).map((p) => dot(p, way)))));
  return found;
}

test('lines are struck where pieces begin, on either side of a band; a rod has every course of both', () => {
  fc.assert(
    fc.property(walls, ({ size, tile, share }) => {
      const drawn = wall(size, tile, share * size[1]);
      for (const { ends, alongCourses, courses, use } of drawn.struck.lines) {
        const way = unit(subtract(ends[1], ends[0]));
        const normal: Point = alongCourses ? [0, 1] : [1, 0];
        expect(Math.abs(dot(way, normal))).toBeLessThan(1e-9);
        const lows = lowSides(drawn, normal);
        const at = dot(ends[0], normal);
        expect([use, courses, Math.min(...lows.map((mm) => Math.abs(mm - at))) < 0.06]).toEqual([use, courses, true]);
      }
      const rod = gaugeRod(drawn.fields, 'y');
      const courses = new Set(lowSides(drawn, [0, 1]).map((mm) => mm.toFixed(1)));
      expect(rod).toHaveLength(courses.size + 1);
      for (const [k, { fromMm }] of rod.entries()) if (k > 0) expect(fromMm - rod[k - 1].toMm).toBeCloseTo(JOINT_MM, 3);
    }),
    { numRuns: 40 },
  );
});

test('full pieces are set off a window beyond a band, and stand there', () => {
  fc.assert(
    fc.property(walls, ({ size, tile, share }) => {
      const before = wall(size, tile, share * size[1]);
      const under = besideFixtures(before).find(({ side }) => side === 'bottom');
      if (!under) throw new Error('nothing lies under the window');
      const after = wall(size, tile, share * size[1], under.fullPiece.offsetMm);
      expect(besideFixtures(after).find(({ side }) => side === 'bottom')?.cutsMm).toEqual([]);
    }),
    { numRuns: 30 },
  );
});
