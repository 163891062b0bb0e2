import { SMALLEST_PIECE_WIDTH_MM, TOLERANCE_MM } from '../geometry/conventions.ts';
import { intersect } from '../geometry/clip.ts';
import { cross, subtract } from '../geometry/point.ts';
import { leftOfLine } from '../geometry/leftOfLine.ts';
import { boxOf, boxRing, isConvex, polygonArea, ringArea, ringLength, type Box, type Polygon, type Ring } from '../geometry/ring.ts';
import type { Segment } from './markCells.ts';

/** What the region leaves of one tile. */
export interface Remains {
  readonly whole: boolean;
  readonly polygons: readonly Polygon[];
  readonly droppedAreaMm2: number;
}

/** A piece of the repeat with what every one of its tiles has in common. */
export interface Prototype {
  readonly ring: Ring;
  readonly convex: boolean;
  readonly areaMm2: number;
  readonly lengthMm: number;
}

/** Measures a piece of the repeat once for all its tiles. */
export const prototypeOf = (ring: Ring): Prototype => ({
  ring,
  convex: isConvex(ring),
  areaMm2: ringArea(ring),
  lengthMm: ringLength(ring),
});

/**
 * Clips one tile, given by its moved ring. A single straight boundary is a half-plane cut; anything
 * else is clipped against the part of the region round the tile. Pieces under the smallest width
 * are dropped and counted.
 */
export function cutTile(
  ring: Ring,
  { convex, areaMm2, lengthMm }: Prototype,
  segments: readonly Segment[],
  region: readonly Polygon[],
): Remains {
  const straight = segments.length === 1 && (convex || crossesTwice(ring, segments[0]));
  const pieces = straight ? halfPlane(ring, segments[0]) : clipNearby(ring, region);
  const left = pieces.reduce((sum, polygon) => sum + polygonArea(polygon), 0);
  if (left >= areaMm2 - TOLERANCE_MM * lengthMm) return WHOLE;
  // A convex part is no longer round than its tile, so this much area is wide enough without measuring.
  if (straight && convex && 2 * left >= SMALLEST_PIECE_WIDTH_MM * lengthMm) return { whole: false, polygons: pieces, droppedAreaMm2: 0 };
  const polygons = pieces.filter((polygon) => widthOf(polygon) >= SMALLEST_PIECE_WIDTH_MM);
  const kept = polygons.reduce((sum, polygon) => sum + polygonArea(polygon), 0);
  return { whole: false, polygons, droppedAreaMm2: left - kept };
}

const WHOLE: Remains = { whole: true, polygons: [], droppedAreaMm2: 0 };

/** Whether a line runs into a ring once and out of it once, so that it parts it into two. */
function crossesTwice(ring: Ring, { from, to }: Segment): boolean {
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

function halfPlane(ring: Ring, { from, to }: Segment): Polygon[] {
  const left = leftOfLine(ring, from, to);
  return left.length === 0 ? [] : [[left]];
}

/** Mean width of a strip: twice its area over the length round it, which is near its true width. */
const widthOf = (polygon: Polygon): number => (2 * polygonArea(polygon)) / ringLength(polygon[0]);

function clipNearby(ring: Ring, region: readonly Polygon[]): Polygon[] {
  const near = clipToBox(region, boxOf(ring));
  return near.length === 0 ? [] : intersect([[ring]], near);
}

/**
 * The region within a box a little larger than the tile. Rings cut this way may run back and forth
 * along the box's sides, outside the tile, where it does no harm under the even-odd rule.
 */
function clipToBox(region: readonly Polygon[], box: Box): Polygon[] {
  const margin = 1;
  const corners = boxRing({ minX: box.minX - margin, minY: box.minY - margin, maxX: box.maxX + margin, maxY: box.maxY + margin });
  return region
    .map((polygon) => polygon.map((ring) => corners.reduce((left, corner, k) => leftOfLine(left, corner, corners[(k + 1) % 4]), ring)))
    .map((polygon) => polygon.filter((ring) => ring.length >= 3))
    .filter((polygon) => polygon.length > 0);
}
