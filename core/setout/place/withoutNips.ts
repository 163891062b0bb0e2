import { ROUNDED_OFTEN, TOLERANCE_MM } from '../../tolerances.ts';
import { cross, distance, dot, subtract, unit, type Point } from '../../geometry/point.ts';
import { boxOf, ringArea, type Polygon, type Ring } from '../../geometry/ring.ts';

/** Tiles of more corners are round: their sides are no lines that a cut could run along. */
const MOST_SIDES = 12;

/** A nip is at least so long, mm, and strays from its side by no more than this share of its length. */
const SHORTEST_MM = 8;
const ALONG = 0.06;

/** A line by a point and a direction of length 1. */
interface EdgeLine {
  readonly at: Point;
  readonly along: Point;
}

const lineOf = (from: Point, to: Point): EdgeLine => ({ at: from, along: unit(subtract(to, from)) });

/** How far a position lies to the left of a line, mm. */
const offOf = ({ at, along }: EdgeLine, p: Point): number => cross(along, subtract(p, at));

/**
 * A piece without cuts that nobody makes: a side of it that runs along a side of its tile, less than the least cut
 * inside, is that side of the tile; the joint or gap gives what it loses. What it is cut by otherwise stays.
 */
export function withoutNips([outer, ...holes]: Polygon, tile: Ring, leastCutMm: number): Polygon {
  if (tile.length > MOST_SIDES || outer.length < 3) return [outer, ...holes];
  let ring: Ring = outer;
  for (const [k, from] of tile.entries()) {
    const moved = movedOut(ring, lineOf(from, tile[(k + 1) % tile.length]), tile, leastCutMm);
    if (ringArea(moved) >= ringArea(ring)) ring = moved;
  }
  return [ring, ...holes];
}

/** A ring with its sides that run just inside a line moved onto it, their neighbours made longer. */
function movedOut(ring: Ring, side: EdgeLine, tile: Ring, leastCutMm: number): Ring {
  const offs = ring.map((p) => offOf(side, p));
  const isNear = (k: number): boolean => offs[k] < leastCutMm;
  const count = ring.length;
  const nips = ring.map((from, k) => {
    const next = (k + 1) % count;
    if (!isNear(k) || !isNear(next) || Math.max(offs[k], offs[next]) <= TOLERANCE_MM) return false;
    // It runs along the side, as a round of a pipe that comes near it does not.
    const long = distance(from, ring[next]);
    return long >= SHORTEST_MM && Math.abs(offs[k] - offs[next]) <= ALONG * long;
  });
  if (!nips.includes(true)) return ring;
  const { minX, minY, maxX, maxY } = boxOf(tile);
  const isOnTile = ([x, y]: Point): boolean =>
    x >= minX - ROUNDED_OFTEN && x <= maxX + ROUNDED_OFTEN && y >= minY - ROUNDED_OFTEN && y <= maxY + ROUNDED_OFTEN;
  return ring.map((p, k) => {
    const [before, after] = [(k + count - 1) % count, k];
    if (!(nips[before] || nips[after]) || offs[k] <= TOLERANCE_MM) return p;
    // The side on the other hand of this corner is made longer, until it meets the line.
    const other = nips[before] && nips[after] ? null : nips[after] ? lineOf(ring[before], p) : lineOf(ring[(k + 1) % count], p);
    const met = other && meetOf(side, other);
    return met && isOnTile(met) ? met : footOf(side, p);
  });
}

const footOf = ({ at, along }: EdgeLine, p: Point): Point => {
  const run = dot(along, subtract(p, at));
  return [at[0] + along[0] * run, at[1] + along[1] * run];
};

/** Where two lines meet; null where they run alike. */
function meetOf(a: EdgeLine, b: EdgeLine): Point | null {
  const turn = cross(a.along, b.along);
  if (Math.abs(turn) < 0.1) return null;
  const run = cross(subtract(b.at, a.at), b.along) / turn;
  return [a.at[0] + a.along[0] * run, a.at[1] + a.along[1] * run];
}
