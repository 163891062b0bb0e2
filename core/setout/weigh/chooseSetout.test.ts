import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { planSurface } from '../../plan.ts';
import { setoutsOf } from '../../planning/drawSurface.ts';
import type { SurfacePlan } from '../../planning/planned.ts';
import { jobOfOne } from '../../trials/testJob.ts';
import type { EdgeRole } from '../../surface/edge.ts';
import { forEachWhole, tileRing } from '../place/layout.ts';
import { endCuts } from '../edges/endCuts.ts';
import { normaliseOffset } from './normaliseOffset.ts';
import { FIXED_RULES, type FixedRule } from './setoutChoice.ts';
import { boxOf } from '../../geometry/ring.ts';

type Wanted = Parameters<typeof jobOfOne>[0];
const planned = (over: Wanted): SurfacePlan => {
  const job = jobOfOne(over);
  return planSurface(job, job.surfaces[0]);
};

/** End cuts of plain courses by arithmetic alone: no geometry. Null stands for a full piece. */
function arithmetic(rule: FixedRule, field: number, piece: number, joint: number): [number | null, number | null] {
  const step = piece + joint;
  const from = { pieceCentred: (field - piece) / 2, jointCentred: (field + joint) / 2, fullFromStart: 0, fullFromEnd: field - piece }[rule];
  const low = ((from % step) + step) % step;
  const startCut = low - joint;
  const rest = (field - low) % step;
  const at = (mm: number): number | null => (mm < 0.02 || mm > piece - 0.02 ? null : mm);
  return [at(startCut), at(rest >= piece ? piece : rest)];
}

test('end cuts of plain courses are those of arithmetic', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 900, max: 5000 }),
      fc.integer({ min: 60, max: 600 }),
      fc.constantFrom(0, 2, 3, 6.5),
      fc.constantFrom(...FIXED_RULES),
      (width, piece, joint, rule) => {
        const field = width - 10;
        const [start, end] = arithmetic(rule, field, piece, joint);
        fc.pre([start, end].every((mm) => mm === null || mm > 2));
        const result = planned({
          size: [width, piece + 10],
          tile: [piece, piece],
          jointMm: joint,
          surface: { setout: { x: { rule }, y: { rule: 'fullFromStart' } } },
        });
        const ends = endCuts(result.edges, result.choice.sides, 'x', result.choice.x);
        expect([ends.start.cutsMm[0] ?? null, ends.end.cutsMm[0] ?? null].map((mm) => mm && Math.round(mm * 1000))).toEqual(
          [start, end].map((mm) => mm && Math.round(mm * 1000)),
        );
      },
    ),
    { numRuns: 120 },
  );
});

describe('the proposal', () => {
  const rooms = fc.record({
    width: fc.integer({ min: 900, max: 4000 }),
    height: fc.integer({ min: 700, max: 3000 }),
    tile: fc.tuple(fc.integer({ min: 90, max: 500 }), fc.integer({ min: 90, max: 500 })),
    roles: fc.record({
      left: fc.constantFrom<EdgeRole>('wall', 'focal', 'hidden'),
      right: fc.constantFrom<EdgeRole>('wall', 'focal', 'hidden', 'exposed'),
    }),
  });
  const mirrored: Readonly<Record<FixedRule, FixedRule>> = {
    pieceCentred: 'pieceCentred',
    jointCentred: 'jointCentred',
    fullFromStart: 'fullFromEnd',
    fullFromEnd: 'fullFromStart',
  };

  test('is the best of what is compared, and none of it is better', () => {
    fc.assert(
      fc.property(rooms, ({ width, height, tile, roles }) => {
        const job = jobOfOne({ size: [width, height], tile, jointMm: 3, measured: { roles } });
        const ranked = setoutsOf(job, job.surfaces[0]);
        const best = ranked.map(({ score }) => score).reduce((a, b) => Math.min(a, b));
        const chosen = planSurface(job, job.surfaces[0]);
        const own = ranked.find(({ x, y }) => x.rule === chosen.choice.x.rule && y.rule === chosen.choice.y.rule);
        expect(own?.score).toBeCloseTo(best, 6);
      }),
      { numRuns: 30 },
    );
  });

  test('of a mirrored room is the mirrored one', () => {
    fc.assert(
      fc.property(rooms, ({ width, height, tile, roles }) => {
        const room: Wanted = { size: [width, height], tile, jointMm: 3, measured: { roles } };
        const there: Wanted = { ...room, measured: { roles: { left: roles.right, right: roles.left } } };
        const scores = [room, there].map((wanted) => {
          const job = jobOfOne(wanted);
          return new Map(setoutsOf(job, job.surfaces[0]).map(({ x, y, score }) => [`${x.rule} ${y.rule}`, score]));
        });
        for (const x of FIXED_RULES)
          for (const y of FIXED_RULES) expect(scores[1].get(`${mirrored[x]} ${y}`)).toBeCloseTo(scores[0].get(`${x} ${y}`) ?? -1, 6);
      }),
      { numRuns: 20 },
    );
  });
});

const bonds = fc.record({
  kind: fc.constant('runningBond' as const),
  lay: fc.constantFrom('lying' as const, 'upright' as const),
  offset: fc.constantFrom(0.5, 1 / 3, 0.25, 0.4),
  step: fc.constantFrom('alternating' as const, 'stepped' as const),
});

test('setting-out lines run where pieces begin', () => {
  fc.assert(
    fc.property(bonds, fc.integer({ min: 1200, max: 4000 }), fc.integer({ min: 1200, max: 3000 }), (pattern, width, height) => {
      const { lines, layout } = planned({ size: [width, height], tile: [240, 110], jointMm: 4, surface: { pattern } });
      const starts = { x: [] as number[], y: [] as number[] };
      forEachWhole(layout, (address) => {
        const box = boxOf(tileRing(layout, address));
        starts.x.push(box.minX);
        starts.y.push(box.minY);
      });
      for (const { axis, atMm, fromStartMm, fromEndMm } of lines) {
        expect(Math.min(...starts[axis].map((at) => Math.abs(at - atMm)))).toBeLessThan(1e-6);
        expect(fromStartMm[0] + fromEndMm[0]).toBeCloseTo(axis === 'x' ? width : height, 6);
      }
    }),
    { numRuns: 40 },
  );
});

test('a setout moved by hand and brought back into its first cell is the same setout', () => {
  fc.assert(
    fc.property(bonds, fc.integer({ min: -4000, max: 4000 }), fc.integer({ min: -4000, max: 4000 }), (pattern, x, y) => {
      const at = (offset: readonly [number, number]): SurfacePlan =>
        planned({
          size: [1700, 1300],
          tile: [240, 110],
          jointMm: 4,
          surface: { pattern, setout: { x: { rule: 'free', offsetMm: offset[0] }, y: { rule: 'free', offsetMm: offset[1] } } },
        });
      const far = at([x, y]);
      const near = normaliseOffset(far.layout.repeat, [x, y]);
      const home = at(near);
      expect([home.totals.whole, home.totals.cut]).toEqual([far.totals.whole, far.totals.cut]);
      expect(home.extent.tiledAreaMm2).toBeCloseTo(far.extent.tiledAreaMm2, 0);
    }),
    { numRuns: 25 },
  );
});

test('a turned pattern is laid to two slanting lines, square to each other, that pieces begin on', () => {
  fc.assert(
    fc.property(fc.constantFrom(45, 30, -22.5, 117), bonds, (turnDeg, pattern) => {
      const { lines, slants, layout } = planned({ size: [3100, 2300], tile: [240, 110], jointMm: 4, surface: { pattern, turnDeg } });
      expect(lines).toEqual([]);
      expect(slants).toHaveLength(2);
      expect(Math.abs(Math.abs(slants[0].deg - slants[1].deg) - 90)).toBeLessThan(1e-9);
      for (const { ends } of slants) {
        const [a, b] = ends.map(({ at }) => at);
        const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
        // A piece begins on a line where two of its corners lie on it, and the rest to one side.
        let begins = 0;
        forEachWhole(layout, (address) => {
          const off = tileRing(layout, address).map(([x, y]) => ((b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0])) / length);
          if (off.filter((mm) => Math.abs(mm) < 1e-6).length === 2) begins++;
        });
        expect(begins).toBeGreaterThan(2);
        // The marks lie where their tapes say: along the edge from its corner.
        for (const { edge, mm, at } of ends) {
          const along = { bottom: at[0], right: at[1], top: 3100 - at[0], left: 2300 - at[1] }[edge];
          expect(along).toBeCloseTo(mm, 6);
        }
      }
    }),
    { numRuns: 16 },
  );
});
