import { SMALLEST_PIECE_WIDTH_MM, TOLERANCE_MM } from '../geometry/conventions.ts';
import { difference, intersect } from '../geometry/clip.ts';
import { leftOfLine } from '../geometry/leftOfLine.ts';
import { boxOf, boxRing, polygonArea, ringArea, ringLength, type Box, type Polygon, type Ring } from '../geometry/ring.ts';
import type { Segment } from './markCells.ts';

/** What the region leaves of one tile. */
export interface Remains {
  readonly whole: boolean;
  readonly polygons: readonly Polygon[];
  readonly droppedAreaMm2: number;
}

/**
 * Clips one tile. A single straight boundary is a half-plane cut; anything else is clipped against
 * the part of the region round the tile. Pieces under the smallest width are dropped and counted.
 */
export function cutTile(ring: Ring, convex: boolean, segments: readonly Segment[], region: readonly Polygon[]): Remains {
  const area = ringArea(ring);
  const pieces = convex && segments.length === 1 ? halfPlane(ring, segments[0]) : clipNearby(ring, region);
  const left = pieces.reduce((sum, polygon) => sum + polygonArea(polygon), 0);
  if (left >= area - TOLERANCE_MM * ringLength(ring)) return { whole: true, polygons: [], droppedAreaMm2: 0 };
  const polygons = pieces.filter((polygon) => widthOf(polygon) >= SMALLEST_PIECE_WIDTH_MM);
  const kept = polygons.reduce((sum, polygon) => sum + polygonArea(polygon), 0);
  return { whole: false, polygons, droppedAreaMm2: left - kept };
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

/** What the cut takes off a tile, for marking; the tile less what stays. */
export const cutAway = (tile: Ring, stays: readonly Polygon[]): Polygon[] => difference([[tile]], stays);
