import { TOLERANCE_MM } from '../tolerances.ts';
import { cross, distance, dot, subtract, type Point } from './point.ts';
import type { Ring } from './ring.ts';

/** Two stretches of a ring that cross or touch, by the positions where they start; null when none do. */
export function selfCrossing(ring: Ring): readonly [number, number] | null {
  const count = ring.length;
  const boxes = ring.map((p, k) => {
    const q = ring[(k + 1) % count];
    return [Math.min(p[0], q[0]), Math.min(p[1], q[1]), Math.max(p[0], q[0]), Math.max(p[1], q[1])];
  });
  for (let a = 0; a < count; a++) {
    for (let b = a + 1; b < count; b++) {
      if (boxes[a][2] < boxes[b][0] || boxes[b][2] < boxes[a][0] || boxes[a][3] < boxes[b][1] || boxes[b][3] < boxes[a][1]) continue;
      const next = b === a + 1;
      const last = a === 0 && b === count - 1;
      const [p, q, r, s] = [ring[a], ring[(a + 1) % count], ring[b], ring[(b + 1) % count]];
      if (next || last ? foldsBack(next ? [p, q, s] : [r, s, q]) : meet(p, q, r, s)) return [a, b];
    }
  }
  return null;
}

/** Whether the second of two stretches runs back over the first. */
function foldsBack([a, b, c]: readonly [Point, Point, Point]): boolean {
  const [u, v] = [subtract(b, a), subtract(c, b)];
  return Math.abs(cross(u, v)) <= TOLERANCE_MM * distance(a, b) && dot(u, v) < 0;
}

function meet(p: Point, q: Point, r: Point, s: Point): boolean {
  const side = (a: Point, b: Point, c: Point): number => cross(subtract(b, a), subtract(c, a)) / Math.max(TOLERANCE_MM, distance(a, b));
  const [a, b, c, d] = [side(p, q, r), side(p, q, s), side(r, s, p), side(r, s, q)];
  const apart = (m: number, n: number): boolean => (m > TOLERANCE_MM && n > TOLERANCE_MM) || (m < -TOLERANCE_MM && n < -TOLERANCE_MM);
  if (apart(a, b) || apart(c, d)) return false;
  if ([a, b, c, d].some((value) => Math.abs(value) > TOLERANCE_MM)) return true;
  const along = subtract(q, p);
  const at = [r, s].map((x) => dot(subtract(x, p), along) / dot(along, along));
  return Math.max(...at) >= 0 && Math.min(...at) <= 1;
}
