import { cross, subtract, type Point } from './point.ts';
import type { Ring } from './ring.ts';

/**
 * The part of a ring to the left of the line from `from` to `to`; empty when there is none.
 * Exact for convex rings; others may keep stretches that run back and forth on the line.
 */
export function leftOfLine(ring: Ring, from: Point, to: Point): Ring {
  const along = subtract(to, from);
  const side = ring.map((p) => cross(along, subtract(p, from)));
  const kept: Point[] = [];
  ring.forEach((p, k) => {
    const next = (k + 1) % ring.length;
    if (side[k] >= 0) kept.push(p);
    if (side[k] >= 0 !== side[next] >= 0) kept.push(crossing(p, ring[next], side[k], side[next]));
  });
  return kept.length < 3 ? [] : kept;
}

/** Whether a line runs into a ring once and out of it once, or not at all: then its left part is one ring, convex or not. */
export function isPartedOnce(ring: Ring, from: Point, to: Point): boolean {
  const along = subtract(to, from);
  let crossings = 0;
  let before = cross(along, subtract(ring[ring.length - 1], from)) >= 0;
  for (const p of ring) {
    const here = cross(along, subtract(p, from)) >= 0;
    if (here !== before) crossings++;
    before = here;
  }
  return crossings <= 2;
}

function crossing(a: Point, b: Point, sideA: number, sideB: number): Point {
  const share = sideA / (sideA - sideB);
  return [a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1])];
}
