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

function crossing(a: Point, b: Point, sideA: number, sideB: number): Point {
  const share = sideA / (sideA - sideB);
  return [a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1])];
}
