import { flatRing } from './flatRing.ts';
import type { Point } from './point.ts';
import type { Ring } from './ring.ts';

/** How far one can go from a place within a ring before leaving it, mm; a side nearer than `fromMm` is where one stands. */
export function reachWithin(ring: Ring, [x, y]: Point, [wx, wy]: Point, fromMm = 0): number {
  const flat = flatRing(ring);
  let nearest = Infinity;
  let [ax, ay] = [flat[flat.length - 2] - x, flat[flat.length - 1] - y];
  let left = wx * ay - wy * ax;
  for (let k = 0; k < flat.length; k += 2) {
    const bx = flat[k] - x;
    const by = flat[k + 1] - y;
    const right = wx * by - wy * bx;
    if (left < 0 !== right < 0) {
      const share = left / (left - right);
      const far = wx * (ax + share * (bx - ax)) + wy * (ay + share * (by - ay));
      if (far >= fromMm && far < nearest) nearest = far;
    }
    ax = bx;
    ay = by;
    left = right;
  }
  return nearest === Infinity ? 0 : nearest;
}
