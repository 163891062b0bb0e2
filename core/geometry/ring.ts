import { TOLERANCE_MM } from '../tolerances.ts';
import { cross, distance, subtract, type Point } from './point.ts';

/** A closed chain of corners; see conventions.ts for its sense. */
export type Ring = readonly Point[];

/** An outer ring followed by its holes. */
export type Polygon = readonly Ring[];

/** An upright box around something, mm. */
export interface Box {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** Signed area in mm²: positive for a counter-clockwise ring. */
export function ringArea(ring: Ring): number {
  const start = ring[0];
  let twice = 0;
  for (let k = 1; k + 1 < ring.length; k++) {
    twice += cross(subtract(ring[k], start), subtract(ring[k + 1], start));
  }
  return twice / 2;
}

/** Area of a polygon in mm², holes taken off. */
export const polygonArea = (polygon: Polygon): number => polygon.reduce((sum, ring) => sum + ringArea(ring), 0);

/** Area of several polygons that do not overlap, in mm². */
export const polygonsArea = (polygons: readonly Polygon[]): number => polygons.reduce((sum, polygon) => sum + polygonArea(polygon), 0);

/** Length round a ring in mm. */
export const ringLength = (ring: Ring): number => ring.reduce((sum, point, k) => sum + distance(point, ring[(k + 1) % ring.length]), 0);

/** Mean width of a strip, mm: twice its area over the length round it, which is near its true width. */
export const stripWidth = (polygon: Polygon): number => (2 * polygonArea(polygon)) / ringLength(polygon[0]);

/** The box around some positions; throws when there are none. */
export function boxOf(points: Iterable<Point>): Box {
  let minX = Infinity;
  let minY = Infinity;
  let maxX = -Infinity;
  let maxY = -Infinity;
  for (const [x, y] of points) {
    if (x < minX) minX = x;
    if (x > maxX) maxX = x;
    if (y < minY) minY = y;
    if (y > maxY) maxY = y;
  }
  if (minX > maxX) throw new Error('a box needs at least one position: got none');
  return { minX, minY, maxX, maxY };
}

/** The four corners of a box as a counter-clockwise ring. */
export const boxRing = (box: Box): Ring => [
  [box.minX, box.minY],
  [box.maxX, box.minY],
  [box.maxX, box.maxY],
  [box.minX, box.maxY],
];

/** A rectangle from its bottom-left corner and its sides in mm, counter-clockwise. */
export const rectangleRing = (x: number, y: number, widthMm: number, heightMm: number): Ring =>
  boxRing({ minX: x, minY: y, maxX: x + widthMm, maxY: y + heightMm });

/** Whether a ring is its own box: a rectangle that stands straight. */
export function isBox(ring: Ring): boolean {
  const { minX, minY, maxX, maxY } = boxOf(ring);
  return Math.abs(ringArea(ring) - (maxX - minX) * (maxY - minY)) < 1;
}

/** Whether a position lies within a ring (even-odd; on an edge is undefined). */
export function isWithin(ring: Ring, x: number, y: number): boolean {
  let inside = false;
  for (let k = 0, last = ring.length - 1; k < ring.length; last = k++) {
    const [x1, y1] = ring[last];
    const [x2, y2] = ring[k];
    if (y1 <= y !== y2 <= y && x < x1 + ((y - y1) / (y2 - y1)) * (x2 - x1)) inside = !inside;
  }
  return inside;
}

/** Whether a position lies inside some polygons (even-odd; on an edge is undefined). */
export function isInside([x, y]: Point, polygons: readonly Polygon[]): boolean {
  let inside = false;
  for (const polygon of polygons) for (const ring of polygon) if (isWithin(ring, x, y)) inside = !inside;
  return inside;
}

/** Whether every corner turns left, so that half-plane cuts of the ring stay one ring. */
export function isConvex(ring: Ring): boolean {
  return ring.every((point, k) => {
    const next = ring[(k + 1) % ring.length];
    const after = ring[(k + 2) % ring.length];
    return cross(subtract(next, point), subtract(after, next)) >= 0;
  });
}

/** Applies a map to every corner. */
export const mapRing = (ring: Ring, map: (p: Point) => Point): Ring => ring.map(map);

/** Applies a map to every corner of a polygon. */
export const mapPolygon = (polygon: Polygon, map: (p: Point) => Point): Polygon => polygon.map((ring) => mapRing(ring, map));

/** Leaves out corners that repeat or lie on the straight line between their neighbours. */
export function tidyRing(ring: Ring): Ring {
  const apart = ring.filter((p, k) => distance(p, ring[(k + ring.length - 1) % ring.length]) > TOLERANCE_MM);
  return apart.filter((p, k) => {
    const before = apart[(k + apart.length - 1) % apart.length];
    const after = apart[(k + 1) % apart.length];
    return distanceFromLine(p, before, after) > TOLERANCE_MM;
  });
}

function distanceFromLine(p: Point, from: Point, to: Point): number {
  const along = subtract(to, from);
  const size = Math.hypot(along[0], along[1]);
  return size < TOLERANCE_MM ? 0 : Math.abs(cross(along, subtract(p, from))) / size;
}
