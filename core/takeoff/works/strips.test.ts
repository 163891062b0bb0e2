import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { intersect } from '../../geometry/clip.ts';
import { cross, distance, subtract, unit, type Point } from '../../geometry/point.ts';
import { polygonsArea, type Ring } from '../../geometry/ring.ts';
import type { CutPiece } from '../../cuts/cutPiece.ts';
import type { Job } from '../../job/job.ts';
import { plan, planSurface } from '../../plan.ts';
import { planJson } from '../../formats/planJson.ts';
import { jobOfOne, type WantedJob } from '../../samples/testJob.ts';
import { trials } from '../../../testing/trials.ts';
import { start, through } from '../../stories/shapes.ts';
import type { Trim } from './trims.ts';

type Shape = Job['surfaces'][number]['measured']['shape'];

/** A floor with skirting along some of its edges; 300 mm tiles 10 thick, so that strips with their bed stand 13 mm off the wall. */
function skirted(shape: Shape | null, edges: readonly string[], more: Partial<WantedJob> = {}, use: Partial<Job['consumption']> = {}): Job {
  const job = jobOfOne({
    size: [2400, 1800],
    tile: [300, 300],
    jointMm: 3,
    ...more,
    measured: { ...(shape ? { shape } : {}), ...more.measured },
    surface: {
      kind: 'floor',
      turnDeg: 0,
      setout: { x: start, y: start },
      trims: Object.fromEntries(edges.map((id) => [id, 'skirtingTile' as Trim])),
      ...more.surface,
    },
  });
  return { ...job, consumption: { ...job.consumption, ...use }, products: job.products.map((one) => ({ ...one, thicknessMm: 10 })) };
}
const stripsOf = (job: Job) => planSurface(job, job.surfaces[0]).toCut.flatMap(({ strip }) => strip ?? []);
/** From where to where the strips of an edge reach, mm. */
const reachOf = (job: Job, edge: string): [number, number] => {
  const own = stripsOf(job).filter(({ edgeId }) => edgeId === edge);
  const last = own[own.length - 1];
  return [own[0].alongMm, last.alongMm + last.lengthMm];
};
const ALL = ['bottom', 'right', 'top', 'left'];
const L: Shape = { kind: 'lShape', widthMm: 3000, heightMm: 2400, missingWidthMm: 1000, missingHeightMm: 800, missing: 'top-right' };

describe('where strips of skirting end', () => {
  test('round a room one runs through to the gap at the wall, the next butts its face with a joint', () => {
    const job = skirted(null, ALL);
    for (const edge of ALL) {
      const [from, to] = reachOf(job, edge);
      // 10 of tile, 3 of bed, a joint of 3; a gap of 5 at the end.
      expect([edge, from, to]).toEqual([
        edge,
        expect.closeTo(16, 6),
        expect.closeTo((edge === 'bottom' || edge === 'top' ? 2400 : 1800) - 5, 6),
      ]);
    }
    expect(stripsOf(job).every(({ ends }) => ends.every(({ kind }) => kind === 'butts'))).toBe(true);
  });
  test('where the wall beyond has none the run goes from gap to gap', () =>
    expect(reachOf(skirted(null, ['bottom']), 'bottom')).toEqual([expect.closeTo(5, 6), expect.closeTo(2395, 6)]));
  test('at an end that lies open it shows', () => {
    const job = skirted(null, ['bottom'], { measured: { roles: { right: 'exposed' } } });
    expect(reachOf(job, 'bottom')[1]).toBeCloseTo(2400, 6);
    // Before the bottom wall the far end of its run is at the left.
    expect(
      stripsOf(job)
        .at(-1)
        ?.ends.map(({ kind }) => kind),
    ).toEqual(['shows', 'butts']);
  });
  test('a doorway has none, and the ends beside it show', () => {
    const door = { id: 'door', edge: 'bottom', fromStartMm: 800, widthMm: 900, depthMm: 100 };
    const own = stripsOf(skirted(null, ['bottom'], { measured: { doorways: [door] } }));
    expect(own.some(({ alongMm, lengthMm }) => alongMm < 1700 - 1 && alongMm + lengthMm > 800 + 1)).toBe(false);
    expect(own.flatMap(({ ends }) => ends.filter(({ kind }) => kind === 'shows'))).toHaveLength(2);
  });
});

describe('where joints of skirting stand', () => {
  /** Middles of the joints along the bottom wall, mm. */
  const joints = (job: Job): number[] => {
    const own = stripsOf(job).filter(({ edgeId }) => edgeId === 'bottom');
    return own.slice(1).map(({ alongMm }, k) => (alongMm + own[k].alongMm + own[k].lengthMm) / 2);
  };
  const job = skirted(null, ['bottom']);
  /** Those of the floor, by where its tiles end along the wall. */
  const planned = planSurface(job, job.surfaces[0]);
  const { origin } = planned.layout.placement;
  const ofFloor = Array.from({ length: 20 }, (_, k) => origin[0] - 1.5 + 303 * (k - 10)).filter((x) => x > 30 && x < 2370);
  test('on those of the floor', () => joints(job).forEach((mm, k) => expect(mm).toBeCloseTo(ofFloor[k], 6)));
  test('half a tile off where that is asked', () => {
    const half = joints(skirted(null, ['bottom'], {}, { stripJoints: 'byHalf' }));
    for (const mm of half) expect(Math.abs((((mm - ofFloor[0]) % 303) + 303) % 303)).toBeCloseTo(151.5, 6);
  });
  test('as far apart as can be', () => {
    const lengths = stripsOf(skirted(null, ['bottom'], {}, { stripJoints: 'longest' })).map(({ lengthMm }) => lengthMm);
    expect(lengths.filter((mm) => Math.abs(mm - 300) < 0.01).length).toBeGreaterThanOrEqual(lengths.length - 2);
    expect(lengths.reduce((sum, mm) => sum + mm + 3, -3)).toBeCloseTo(2390, 6);
  });
});

/** What a strip fills in the room, seen from above: its face runs as long as it is told, its back to where the wall is. */
function bodyOf({ polygon: [ring] }: CutPiece, depthMm: number): Ring {
  // The last two corners lie on the wall, from the far end to the near one.
  const [to, from] = [ring[2], ring[3]];
  const [x, y] = unit(subtract(to, from));
  const inward: Point = [-y * depthMm, x * depthMm];
  return [from, to, [to[0] + inward[0], to[1] + inward[1]], [from[0] + inward[0], from[1] + inward[1]]];
}

test('in rooms of any corners no strip stands in another, and the pieces of a wall fill it but for their joints', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: -250, max: 250 }), fc.integer({ min: -250, max: 250 })), { minLength: 4, maxLength: 4 }),
      fc.integer({ min: 2, max: 8 }),
      (moved, jointMm) => {
        const square = [
          [0, 0],
          [2600, 0],
          [2600, 2000],
          [0, 2000],
        ];
        const shape = through(square.map(([x, y], k) => [x + moved[k][0], y + moved[k][1]] as const));
        const job = skirted(shape, ['w1', 'w2', 'w3', 'w4'], { jointMm });
        const planned = planSurface(job, job.surfaces[0]);
        const strips = planned.toCut.filter(({ strip }) => strip);
        expect(strips.length).toBeGreaterThan(4);
        const bodies = strips.map((piece) => bodyOf(piece, 13));
        for (const [k, body] of bodies.entries())
          for (const other of bodies.slice(k + 1)) expect(polygonsArea(intersect([[body]], [[other]]))).toBeLessThan(1);
        for (const edge of planned.traced.edges) {
          const own = strips.flatMap(({ strip }) => (strip?.edgeId === edge.id ? [strip] : []));
          const first = own[0];
          const last = own[own.length - 1];
          const reach = last.alongMm + last.lengthMm - first.alongMm;
          expect(own.reduce((sum, { lengthMm }) => sum + lengthMm + jointMm, -jointMm)).toBeCloseTo(reach, 6);
          expect(reach).toBeLessThanOrEqual(distance(edge.from, edge.to));
          expect(own.every(({ lengthMm }) => lengthMm <= 300.001)).toBe(true);
        }
      },
    ),
    { numRuns: trials(40) },
  );
});

test('round an outer corner both are mitred at half of it, and their faces meet but for the joint', () => {
  const job = skirted(L, ['inner-top', 'inner-right', 'right', 'top', 'bottom', 'left']);
  const planned = planSurface(job, job.surfaces[0]);
  const mitred = planned.toCut.filter(({ strip }) => strip?.ends.some(({ kind }) => kind === 'mitred'));
  expect(mitred).toHaveLength(2);
  for (const { strip } of mitred) expect(strip?.ends.find(({ kind }) => kind === 'mitred')).toMatchObject({ deg: expect.closeTo(45, 6) });
  const [a, b] = mitred.map((piece) => piece.polygon[0]);
  const ways = [a, b].map((ring) => unit(subtract(ring[2], ring[3])));
  expect(Math.abs(cross(ways[0], ways[1]))).toBeCloseTo(1, 6);
  // Each face reaches 13 mm beyond the corner of the walls, less half a joint.
  const corner = planned.traced.edges.find(({ from, to }, k, all) => {
    const before = all[(k + all.length - 1) % all.length];
    return cross(subtract(before.to, before.from), subtract(to, from)) < 0;
  })?.from;
  for (const ring of [a, b]) {
    const off = Math.min(...[ring[2], ring[3]].map((p) => distance(p, corner ?? [0, 0])));
    expect(off).toBeCloseTo(11.5, 6);
  }
});

describe('where strips come from', () => {
  const floor = { tile: [600, 600] as const, size: [4000, 3100] as const };
  const bare = skirted(null, [], floor);
  const job = skirted(null, ALL, floor);
  test('first out of what the cuts of the floor leave: fewer tiles than for both by themselves', () => {
    const [alone, both] = [bare, job].map((one) => planSurface(one, one.surfaces[0]));
    // 14.1 m in strips of 600, seven to a tile.
    expect(both.totals.opened - alone.totals.opened).toBeLessThan(Math.ceil(14.1 / 0.6 / 7));
    expect(both.totals.cut).toBe(alone.totals.cut);
    expect(both.totals.wasteShare).toBeLessThan(alone.totals.wasteShare);
    for (const { label, strip } of both.toCut) if (strip) expect(both.offCuts.sources.has(label)).toBe(true);
  });
  test('side by side out of a tile also where no off-cut is kept', () => {
    const [alone, both] = [bare, job]
      .map((one) => ({ ...one, consumption: { ...one.consumption, offCutsKept: false } }))
      .map((one) => planSurface(one, one.surfaces[0]));
    expect(both.totals.opened - alone.totals.opened).toBe(4);
    expect(both.totals.lowerBound).toBeLessThanOrEqual(both.totals.opened);
  });
  test('with a factory edge up each has one of the tile, and a tile gives two', () => {
    const factory = skirted(null, ALL, floor, { stripEdge: 'factory' });
    const { offCuts, toCut } = planSurface(factory, factory.surfaces[0]);
    const strips = new Set(toCut.flatMap(({ label, strip }) => (strip ? [label] : [])));
    for (const { uses, outline } of offCuts.tiles)
      for (const {
        label,
        outline: [ring],
      } of uses) {
        if (!strips.has(label)) continue;
        const sides = [Math.min(...ring.map(([x]) => x)), Math.min(...ring.map(([, y]) => y))];
        const far = [Math.max(...ring.map(([x]) => x)), Math.max(...ring.map(([, y]) => y))];
        const most = Math.max(...outline.map(([x]) => x));
        expect([...sides, ...far].some((mm) => mm < 0.01 || mm > most - 0.01)).toBe(true);
      }
  });
  test('every strip stands in the plan as JSON, with the tile it comes from', () => {
    const planned = plan(job);
    const json = planJson(job, planned) as {
      surfaces: { strips: { label: string; kind: string; lengthMm: number; tileIndex: number }[] }[];
    };
    const [{ strips }] = json.surfaces;
    expect(strips.map(({ lengthMm }) => lengthMm)).toEqual(stripsOf(job).map(({ lengthMm }) => lengthMm));
    expect(strips.every(({ kind, tileIndex }) => kind === 'skirting' && tileIndex > 0)).toBe(true);
  });
});

test('a strip wider than its tile can not be cut, and none is', () =>
  expect(stripsOf(skirted(null, ALL, {}, { skirtingMm: 320 }))).toEqual([]));
