import type { Point } from './point.ts';
import { ringArea, type Box, type Polygon, type Ring } from './ring.ts';

/**
 * The area of a polygon within an upright box, mm². Each ring is cut at one side of the box after the other (Sutherland and
 * Hodgman, Reentrant polygon clipping, 1974): where it falls apart, stretches run along the side to and fro and enclose nothing.
 */
export function areaInBox(polygon: Polygon, { minX, minY, maxX, maxY }: Box): number {
  return polygon.reduce((sum, ring) => {
    const kept = cutAt(cutAt(cutAt(cutAt(ring, 0, 1, minX), 0, -1, -maxX), 1, 1, minY), 1, -1, -maxY);
    return kept.length < 3 ? sum : sum + ringArea(kept);
  }, 0);
}

/** What of a ring lies where `sign` times a coordinate is at least `least`. */
function cutAt(ring: Ring, axis: 0 | 1, sign: 1 | -1, least: number): Ring {
  const kept: Point[] = [];
  for (let k = 0; k < ring.length; k++) {
    const [from, to] = [ring[k], ring[k + 1 === ring.length ? 0 : k + 1]];
    const [over, next] = [sign * from[axis] - least, sign * to[axis] - least];
    if (over >= 0) kept.push(from);
    if (over >= 0 !== next >= 0) {
      const share = over / (over - next);
      kept.push([from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])]);
    }
  }
  return kept;
}
