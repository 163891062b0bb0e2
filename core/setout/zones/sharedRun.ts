import { cross, distance, dot, subtract, unit, type Point } from '../../geometry/point.ts';
import type { Polygon } from '../../geometry/ring.ts';

/** A straight stretch. */
export type Stretch = readonly [Point, Point];

/** Stretches that turn from each other by less run alike, as a sine. */
const ALIKE_SINE = 0.02;

/** Every side of some polygons. */
export const sidesOf = (polygons: readonly Polygon[]): Stretch[] =>
  polygons.flatMap((rings) => rings.flatMap((ring) => ring.map((from, k): Stretch => [from, ring[(k + 1) % ring.length]])));

/** How far two sets of stretches run beside each other, no more than `withinMm` apart: the length in all, mm, and the middle of the longest run. */
export function sharedRun(a: readonly Stretch[], b: readonly Stretch[], withinMm: number): { readonly mm: number; readonly at: Point } {
  let [mm, longest] = [0, 0];
  let at: Point = [0, 0];
  for (const [from, to] of a) {
    const size = distance(from, to);
    if (size < 1e-6) continue;
    const along = unit(subtract(to, from));
    for (const [p, q] of b) {
      const own = distance(p, q);
      if (own < 1e-6 || Math.abs(cross(along, subtract(q, p))) > ALIKE_SINE * own) continue;
      if (Math.abs(cross(along, subtract(p, from))) > withinMm || Math.abs(cross(along, subtract(q, from))) > withinMm) continue;
      const [s, t] = [dot(along, subtract(p, from)), dot(along, subtract(q, from))];
      const [low, high] = [Math.max(0, Math.min(s, t)), Math.min(size, Math.max(s, t))];
      if (high <= low) continue;
      mm += high - low;
      if (high - low <= longest) continue;
      longest = high - low;
      const middle = (low + high) / 2;
      at = [from[0] + along[0] * middle, from[1] + along[1] * middle];
    }
  }
  return { mm, at };
}
