import { TOLERANCE_MM } from '../tolerances.ts';
import { unionOfRings } from './clip.ts';
import { meetLines } from './meetLines.ts';
import { add, quarterTurn, scale, subtract, unit, type Point } from './point.ts';
import type { Polygon, Ring } from './ring.ts';

/**
 * Draws a counter-clockwise ring in, each edge by its own distance in mm (edge k runs from corner k
 * to the next). Corners stay sharp. Returns no polygon where the distances leave nothing.
 *
 *      +-----------+        the walls
 *      | +------+  |        left, top and bottom gap 5, right gap 12
 *      | +------+  |
 *      +-----------+
 */
export function insetEdges(ring: Ring, distancesMm: readonly number[]): Polygon[] {
  const lines = ring.map((from, k) => {
    const along = unit(subtract(ring[(k + 1) % ring.length], from));
    return { along, start: add(from, scale(quarterTurn(along), distancesMm[k])) };
  });
  const corners = lines.flatMap((line, k) => {
    const before = lines[(k + lines.length - 1) % lines.length];
    const meet = meetLines({ from: before.start, way: before.along }, { from: line.start, way: line.along });
    return meet ? [meet] : [onLine(ring[k], before.start, before.along), line.start];
  });
  if (turnsOver(ring, corners)) return [];
  return unionOfRings([corners]);
}

/** An edge that came out the other way round means that the gaps met in the middle. */
function turnsOver(ring: Ring, corners: readonly Point[]): boolean {
  if (corners.length !== ring.length) return false;
  return ring.every((from, k) => {
    const was = subtract(ring[(k + 1) % ring.length], from);
    const is = subtract(corners[(k + 1) % ring.length], corners[k]);
    return was[0] * is[0] + was[1] * is[1] <= TOLERANCE_MM;
  });
}

function onLine(point: Point, start: Point, along: Point): Point {
  const run = subtract(point, start);
  return add(start, scale(along, run[0] * along[0] + run[1] * along[1]));
}
