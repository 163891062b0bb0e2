import { cross, distance, dot, subtract, unit, type Point } from '../../geometry/point.ts';
import type { Ring } from '../../geometry/ring.ts';
import type { Field } from '../../setout/fields/field.ts';
import { forEachWhole, tileRing } from '../../setout/place/layout.ts';
import type { Edge } from '../../surface/edge.ts';

/** Pieces are met this far inside the edge of the tiles, mm. */
const INSIDE_MM = 2;

/** Joints nearer to an end of a run than this make no piece of their own, mm. */
const SHORTEST_MM = 20;

/**
 * Where the joints of the tiles meet a run along an edge, middle by middle from the start of the edge, mm: there the joints of
 * a skirting stand. None along edges that bend.
 */
export function jointsAlong(
  fields: readonly Field[],
  edges: readonly { readonly edge: Edge; readonly startMm: number }[],
  [from, to]: readonly [number, number],
  jointMm: number,
): number[] {
  const own = edges.filter(({ edge, startMm }) => startMm < to - 1 && startMm + distance(edge.from, edge.to) > from + 1);
  if (own.length !== 1) return [];
  const [{ edge, startMm }] = own;
  const along = unit(subtract(edge.to, edge.from));
  const inward: Point = [-along[1], along[0]];
  const depth = edge.endMm + INSIDE_MM;
  const foot: Point = [edge.from[0] + inward[0] * depth, edge.from[1] + inward[1] * depth];
  const ends: number[] = [];
  const meet = (ring: Ring): void => {
    const runs = crossed(ring, foot, along);
    if (runs.length >= 2) ends.push(Math.max(...runs));
  };
  for (const { layout } of fields) {
    forEachWhole(layout, (address) => meet(tileRing(layout, address)));
    for (const { polygons } of layout.cutTiles) for (const [outer] of polygons) meet(outer);
  }
  return ends
    .map((run) => startMm + run + jointMm / 2)
    .filter((run) => run > from + SHORTEST_MM && run < to - SHORTEST_MM)
    .sort((a, b) => a - b)
    .filter((run, k, all) => k === 0 || run - all[k - 1] > SHORTEST_MM);
}
/** Where a line meets a ring, as runs from its foot, mm. */
function crossed(ring: Ring, foot: Point, along: Point): number[] {
  const off = (p: Point): number => cross(along, subtract(p, foot));
  return ring.flatMap((p, k) => {
    const q = ring[(k + 1) % ring.length];
    const [a, b] = [off(p), off(q)];
    if (a > 0 === b > 0 || distance(p, q) === 0) return [];
    const at: Point = [p[0] + ((q[0] - p[0]) * a) / (a - b), p[1] + ((q[1] - p[1]) * a) / (a - b)];
    return [dot(subtract(at, foot), along)];
  });
}
