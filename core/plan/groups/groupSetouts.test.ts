import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { plan } from '../../plan.ts';
import type { Job, Surface } from '../../job/job.ts';
import { startSurface } from '../../job/startJob.ts';
import { startSet } from '../../job/startSet.ts';
import { setFaceName } from '../../messages/en/sets.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import type { Plan } from '../../plan.ts';
import { trials } from '../../../testing/trials.ts';

/** Where a piece begins in a direction, modulo the step from one joint to the next, mm: stack patterns begin at their origin. */
function joints({ surfaces }: Plan, id: string, axis: 'x' | 'y', stepMm: number): number {
  const planned = surfaces.find(({ surfaceId }) => surfaceId === id);
  if (!planned) throw new Error(`no surface ${id}`);
  const at = planned.layout.placement.origin[axis === 'x' ? 0 : 1];
  return ((at % stepMm) + stepMm) % stepMm;
}
const apart = (a: number, b: number, stepMm: number): number => {
  const off = Math.abs(a - b) % stepMm;
  return Math.min(off, stepMm - off);
};

/** Three walls of a shower side by side, met at their upright edges. */
function shower(widths: readonly number[], heights: readonly number[], tile: readonly [number, number], jointMm: number): Job {
  const one = jobOfOne({ size: [1000, 1000], tile, jointMm });
  const surfaces = widths.map((width, k): Surface => {
    const wall = startSurface(one, `w${k}`, `Wall ${k}`, 'wall', width, heights[k]);
    return { ...wall, productId: 't', jointMm, pattern: { kind: 'stack', lay: 'lying' } };
  });
  const links = [0, 1].map((k) => ({
    id: `l${k}`,
    a: { surface: `w${k}`, edge: 'right' },
    b: { surface: `w${k + 1}`, edge: 'left' },
    meets: 'inside' as const,
  }));
  return { ...one, surfaces, links };
}

test('courses of walls that meet run on at one level round the corners', () => {
  fc.assert(
    fc.property(
      fc.tuple(fc.integer({ min: 700, max: 1500 }), fc.integer({ min: 700, max: 1500 }), fc.integer({ min: 700, max: 1500 })),
      fc.tuple(fc.integer({ min: 1900, max: 2500 }), fc.integer({ min: 1900, max: 2500 }), fc.integer({ min: 1900, max: 2500 })),
      fc.constantFrom<readonly [number, number]>([600, 300], [298, 198], [150, 150]),
      (widths, heights, tile) => {
        const job = shower(widths, heights, tile, 3);
        const step = tile[1] + 3;
        const planned = plan(job);
        const [a, b, c] = ['w0', 'w1', 'w2'].map((id) => joints(planned, id, 'y', step));
        expect(apart(a, b, step)).toBeLessThan(0.05);
        expect(apart(b, c, step)).toBeLessThan(0.05);
      },
    ),
    { numRuns: trials(12) },
  );
});

test('a wall that is taken out of its group is set out by itself, and one that is moved by hand leads', () => {
  const job = shower([900, 1100, 900], [2200, 2200, 2380], [600, 300], 3);
  const step = 303;
  const led = {
    ...job,
    surfaces: job.surfaces.map((one, k) =>
      k === 1 ? { ...one, setout: { ...one.setout, y: { rule: 'free' as const, offsetMm: 77 } } } : one,
    ),
  };
  const [first, second] = ['w0', 'w1'].map((id) => joints(plan(led), id, 'y', step));
  expect(second).toBeCloseTo(82, 1);
  expect(apart(first, second, step)).toBeLessThan(0.05);
  const alone = { ...led, surfaces: led.surfaces.map((one, k) => (k === 0 ? { ...one, apart: true } : one)) };
  const own = plan({ ...job, surfaces: [job.surfaces[0]], links: [] });
  expect(joints(plan(alone), 'w0', 'y', step)).toBeCloseTo(joints(own, 'w0', 'y', step), 2);
});

test('joints of a floor run on into the skirting, whichever way its edge runs', () => {
  const one = jobOfOne({ size: [2500, 2000], tile: [300, 300], jointMm: 3 });
  const [floor] = one.surfaces;
  const skirting = (id: string, width: number): Surface => {
    const strip = startSurface(one, id, id, 'wall', width, 100);
    return {
      ...strip,
      productId: 't',
      jointMm: 3,
      pattern: { kind: 'stack', lay: 'lying' },
      measured: { ...strip.measured, gapsMm: floor.measured.gapsMm },
    };
  };
  const job: Job = {
    ...one,
    surfaces: [{ ...floor, kind: 'floor' }, skirting('top', 2500), skirting('side', 2000)],
    links: [
      { id: 'a', a: { surface: 's', edge: 'top' }, b: { surface: 'top', edge: 'bottom' }, meets: 'inside' },
      { id: 'b', a: { surface: 's', edge: 'right' }, b: { surface: 'side', edge: 'bottom' }, meets: 'inside' },
    ],
  };
  const planned = plan(job);
  // The wall above is drawn as seen from inside: its left end is the floor's left; that at the right starts at the far end.
  expect(apart(joints(planned, 's', 'x', 303), joints(planned, 'top', 'x', 303), 303)).toBeLessThan(0.05);
  const mirrored = (((2000 - joints(planned, 's', 'y', 303) - 300) % 303) + 303) % 303;
  expect(apart(mirrored, joints(planned, 'side', 'x', 303), 303)).toBeLessThan(0.05);
});

test('what is cut off at a corner begins the course beyond it, in step with its courses', () => {
  let met = 0;
  fc.assert(
    fc.property(
      fc.tuple(fc.integer({ min: 900, max: 1800 }), fc.integer({ min: 900, max: 1800 }), fc.integer({ min: 900, max: 1800 })),
      fc.constantFrom(0.5, 1 / 3),
      (widths, offset) => {
        const job = shower(widths, [2300, 2250, 2400], [600, 300], 3);
        const pattern = { kind: 'runningBond', lay: 'lying', offset, step: 'alternating' } as const;
        const bonded = {
          ...job,
          surfaces: job.surfaces.map((one) => ({ ...one, pattern })),
          links: job.links.map((link) => ({ ...link, runsOn: true })),
        };
        const planned = plan(bonded).surfaces;
        for (const k of [0, 1]) {
          const [end, start] = [planned[k], planned[k + 1]];
          const cutsAt = (surface: (typeof planned)[number], edge: string): Map<number, number> =>
            new Map(
              surface.edges.find(({ id }) => id === edge)?.cuts.map(({ thinnestMm, alongMm }) => [Math.round(alongMm[0]), thinnestMm]),
            );
          // Each course by its height: an edge at the right runs up, one at the left down.
          const height = start.edges.find(({ id }) => id === 'left')?.lengthMm ?? 0;
          const before = cutsAt(end, 'right');
          for (const { thinnestMm, alongMm, fullMm } of start.edges.find(({ id }) => id === 'left')?.cuts ?? []) {
            const rest = before.get(Math.round(height - alongMm[1]));
            if (rest === undefined) continue;
            expect(rest + thinnestMm).toBeCloseTo(fullMm, 1);
            met++;
          }
          expect(end.group.corners.find(({ surfaceId }) => surfaceId === start.surfaceId)?.runsOn).toBe(true);
        }
      },
    ),
    { numRuns: trials(10) },
  );
  expect(met).toBeGreaterThan(trials(60));
});

test('risers of a flight without treads have their joints in line, by their middles', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 880, max: 920 }), { minLength: 2, maxLength: 5 }),
      fc.constantFrom<readonly [number, number]>([150, 150], [298, 98]),
      fc.constantFrom<'risers' | 'treads'>('risers', 'treads'),
      (widths, tile, tiled) => {
        const one = jobOfOne({ size: [1000, 1000], tile, jointMm: 3 });
        const steps = widths.map((mm) => ({ riserWidthMm: mm, riserHeightMm: 170, treadWidthMm: mm, treadDepthMm: 270 }));
        const set = startSet({ ...one, surfaces: [] }, 'stair', 'Stair', { kind: 'stairFlight', tiled, steps }, setFaceName);
        const surfaces = set.surfaces.map((face): Surface => ({
          ...face,
          productId: 't',
          jointMm: 3,
          pattern: { kind: 'stack', lay: 'lying' },
        }));
        const planned = plan({ ...one, rooms: [set.room], surfaces, links: [...set.links] });
        const step = tile[0] + 3;
        const fromMiddle = surfaces.map(({ id }, k) => joints(planned, id, 'x', step) - widths[k] / 2);
        for (const mm of fromMiddle) expect(apart(mm, fromMiddle[0], step)).toBeLessThan(0.05);
        // They don't touch: nothing is sealed or taped between them, and no tape need agree.
        expect(planned.findings.filter(({ code }) => code === 'advice/meeting-differs')).toEqual([]);
        expect(planned.materials.filter(({ item }) => item === 'cornerTape')).toEqual([]);
      },
    ),
    { numRuns: trials(10) },
  );
});

/** Four walls of a room in a ring, on which what is cut off at each corner begins the next. */
function ring(widths: readonly [number, number], tileMm: number, jointMm: number): Job {
  const one = jobOfOne({ size: [1000, 1000], tile: [tileMm, tileMm], jointMm });
  const surfaces = [...widths, ...widths].map((width, k): Surface => ({
    ...startSurface(one, `w${k}`, `Wall ${k}`, 'wall', width, 1200),
    productId: 't',
    jointMm,
    pattern: { kind: 'stack', lay: 'lying' },
  }));
  const links = surfaces.map((_, k) => ({
    id: `l${k}`,
    a: { surface: `w${k}`, edge: 'right' },
    b: { surface: `w${(k + 1) % 4}`, edge: 'left' },
    meets: 'inside' as const,
    runsOn: true,
  }));
  return { ...one, surfaces, links };
}

test('round a room the last corner tells by how much the ring does not close: what is left of its girth over whole tiles', () => {
  fc.assert(
    fc.property(
      fc.tuple(fc.integer({ min: 1200, max: 2600 }), fc.integer({ min: 1200, max: 2600 })),
      fc.constantFrom(150, 298, 400),
      (widths, tileMm) => {
        const jointMm = 3;
        const step = tileMm + jointMm;
        const planned = plan(ring(widths, tileMm, jointMm));
        // Fields are narrower than their walls by a gap at either end.
        const girth = planned.surfaces.reduce((sum, { traced }) => sum + traced.limits.maxX - traced.limits.minX, 0);
        const open = Math.min(girth % step, step - (girth % step));
        for (const { group } of planned.surfaces) {
          expect(group.surfaceIds).toHaveLength(3);
          expect(group.offMm).toBeCloseTo(open, 3);
        }
      },
    ),
    { numRuns: trials(10) },
  );
});
