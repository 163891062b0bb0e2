import { SMALLEST_PIECE_WIDTH_MM } from '../../geometry/conventions.ts';
import { split } from '../../geometry/clip.ts';
import { distanceToStretch } from '../../geometry/distanceToStretch.ts';
import { cross, subtract, unit, type Point } from '../../geometry/point.ts';
import { isPartedOnce, leftOfLine } from '../../geometry/leftOfLine.ts';
import { boxOf, isConvex, polygonArea, ringLength, stripWidth, type Polygon, type Ring } from '../../geometry/ring.ts';
import { withoutNips } from './withoutNips.ts';
import { splitAtNecks } from '../../geometry/splitAtNecks.ts';
import type { RegionNear } from './regionNear.ts';
import type { Segment } from './markCells.ts';

/** What the region leaves of one tile. */
export interface Remains {
  readonly whole: boolean;
  readonly polygons: readonly Polygon[];
  /** Pieces too narrow to be set; the joint takes them. */
  readonly dropped: readonly Polygon[];
}

/** A piece of the repeat with what every one of its tiles has in common. */
export interface Prototype {
  readonly ring: Ring;
  readonly convex: boolean;
  readonly lengthMm: number;
}

/** Measures a piece of the repeat once for all its tiles. */
export const prototypeOf = (ring: Ring): Prototype => ({
  ring,
  convex: isConvex(ring),
  lengthMm: ringLength(ring),
});

/**
 * Clips one tile, given by its moved ring. A single straight boundary is a half-plane cut; anything
 * else is clipped against the part of the region round the tile, and parted where it would hang together
 * by next to nothing. Pieces under the smallest width are dropped, and told.
 */
export function cutTile(
  ring: Ring,
  { convex, lengthMm }: Prototype,
  segments: readonly Segment[],
  region: RegionNear,
  leastCutMm: number,
): Remains {
  const straight = segments.length === 1 && (convex || isPartedOnce(ring, segments[0].from, segments[0].to));
  if (straight && reachOver(ring, segments[0]) < leastCutMm) return WHOLE;
  const parted = straight ? null : split([[ring]], region.near(boxOf(ring)));
  if (parted && isWithinSlack(parted.outside, ring, segments, lengthMm, leastCutMm)) return WHOLE;
  const cut = parted ? parted.inside.flatMap((polygon) => splitAtNecks(polygon, SMALLEST_PIECE_WIDTH_MM)) : halfPlane(ring, segments[0]);
  const pieces = parted ? cut.map((polygon) => withoutNips(polygon, ring, leastCutMm)) : cut;
  const polygons = pieces.filter((polygon) => stripWidth(polygon) >= SMALLEST_PIECE_WIDTH_MM);
  return { whole: false, polygons, dropped: polygons.length === pieces.length ? NOTHING : pieces.filter((p) => !polygons.includes(p)) };
}

const NOTHING: readonly Polygon[] = [];
const WHOLE: Remains = { whole: true, polygons: NOTHING, dropped: NOTHING };

/** How far a ring reaches over a line, to its right, mm. */
function reachOver(ring: Ring, { from, to }: Segment): number {
  const along = unit(subtract(to, from));
  return Math.max(...ring.map((p) => -cross(along, subtract(p, from))));
}

/**
 * Whether what a tile has outside the region is no wider than a hair: no corner of it stands further off the
 * boundary than that, nor does the boundary reach further into the tile.
 */
function isWithinSlack(
  outside: readonly Polygon[],
  ring: Ring,
  segments: readonly Segment[],
  lengthMm: number,
  leastCutMm: number,
): boolean {
  if (outside.reduce((sum, polygon) => sum + polygonArea(polygon), 0) > leastCutMm * lengthMm) return false;
  const sides = ring.map((from, k): Segment => ({ from, to: ring[(k + 1) % ring.length] }));
  const near = (p: Point, lines: readonly Segment[]): boolean => lines.some(({ from, to }) => distanceToStretch(p, from, to) < leastCutMm);
  // What runs through the tile has its corners on the sides, but not its middle.
  const middles = outside.flat().flatMap((own) => own.map((from, k) => midway(from, own[(k + 1) % own.length])));
  return outside.flat(2).every((p) => near(p, segments) && near(p, sides)) && middles.every((p) => near(p, sides));
}

const midway = (a: Point, b: Point): Point => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];

function halfPlane(ring: Ring, { from, to }: Segment): Polygon[] {
  const left = leftOfLine(ring, from, to);
  return left.length === 0 ? [] : [[left]];
}
