import { ROUNDED_OFTEN } from '../tolerances.ts';
import { cross, distance, dot, subtract, unit, type Point } from '../geometry/point.ts';
import type { Polygon } from '../geometry/ring.ts';

/** A straight stretch. */
export type SharedStretch = readonly [Point, Point];

/** Stretches that turn from each other by less run alike, as a sine. */
const ALIKE_SINE = 0.02;

/** Every side of some polygons. */
export const sidesOf = (polygons: readonly Polygon[]): SharedStretch[] =>
  polygons.flatMap((rings) => rings.flatMap((ring) => ring.map((from, k): SharedStretch => [from, ring[(k + 1) % ring.length]])));

/** How far two sets of stretches run beside each other. */
export interface SharedRun {
  /** In all, mm. */
  readonly mm: number;
  /** Without a break: what goes on where another run ends is one with it, mm. */
  readonly unbrokenMm: number;
  /** The middle of the longest run. */
  readonly at: Point;
}

/** How far two sets of stretches run beside each other, no more than `withinMm` apart. */
export function sharedRun(a: readonly SharedStretch[], b: readonly SharedStretch[], withinMm: number): SharedRun {
  const runs: SharedStretch[] = [];
  let [mm, longest] = [0, 0];
  let at: Point = [0, 0];
  for (const [from, to] of a) {
    const size = distance(from, to);
    if (size < ROUNDED_OFTEN) continue;
    const along = unit(subtract(to, from));
    for (const [p, q] of b) {
      const own = distance(p, q);
      if (own < ROUNDED_OFTEN || Math.abs(cross(along, subtract(q, p))) > ALIKE_SINE * own) continue;
      if (Math.abs(cross(along, subtract(p, from))) > withinMm || Math.abs(cross(along, subtract(q, from))) > withinMm) continue;
      const [s, t] = [dot(along, subtract(p, from)), dot(along, subtract(q, from))];
      const [low, high] = [Math.max(0, Math.min(s, t)), Math.min(size, Math.max(s, t))];
      if (high <= low) continue;
      mm += high - low;
      runs.push([low, high].map((run): Point => [from[0] + along[0] * run, from[1] + along[1] * run]) as unknown as SharedStretch);
      if (high - low <= longest) continue;
      longest = high - low;
      const middle = (low + high) / 2;
      at = [from[0] + along[0] * middle, from[1] + along[1] * middle];
    }
  }
  return { mm, unbrokenMm: unbroken(runs), at };
}

/** Runs whose ends lie nearer than this go on into each other, mm. */
const TOUCHING_MM = 1;

function unbroken(runs: readonly SharedStretch[]): number {
  const left = new Set(runs);
  let longest = 0;
  for (const run of left) {
    left.delete(run);
    const chain = [run];
    for (const one of chain)
      for (const other of left)
        if (one.some((p) => other.some((q) => distance(p, q) < TOUCHING_MM))) {
          chain.push(other);
          left.delete(other);
        }
    longest = Math.max(
      longest,
      chain.reduce((sum, [p, q]) => sum + distance(p, q), 0),
    );
  }
  return longest;
}
