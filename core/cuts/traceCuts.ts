import { cross, distance, subtract, type Point } from '../geometry/point.ts';
import type { Polygon, Ring } from '../geometry/ring.ts';

/** Clipping rounds to 0.1 micrometre; a corner this near a side of the tile, in mm, is on it. */
const ON_SIDE_MM = 0.01;

/** Chords of an arc turn less than this at each corner, in degrees. */
const ARC_TURN_DEG = 20;

/** One cut: a chain of corners inside the tile, the piece on its left. */
export interface CutLine {
  readonly points: readonly Point[];
  /** Whether the chain closes on itself: a hole. */
  readonly closed: boolean;
  /** Whether any of it runs round an arc. */
  readonly curved: boolean;
}

/**
 * Finds the cuts that make a piece, given in the tile's own frame: stretches of its outline that
 * are not the tile's own sides. At a corner that sticks out, one cut ends and the next begins.
 */
export function traceCuts([outer, ...holes]: Polygon, tile: Ring): CutLine[] {
  return [
    ...openCuts(outer, tile),
    ...holes.map((ring) => ({ points: ring, closed: true, curved: isCurved([...ring, ring[0], ring[1]]) })),
  ];
}

function openCuts(ring: Ring, tile: Ring): CutLine[] {
  const count = ring.length;
  const isCut = ring.map((p, k) => !onSameSide(p, ring[(k + 1) % count], tile));
  const start = isCut.findIndex((cut, k) => !cut && isCut[(k + 1) % count]);
  if (start === -1) return isCut[0] ? splitAtCorners([...ring, ring[0]]) : [];
  const chains: Point[][] = [];
  for (let step = 1; step <= count; step++) {
    const k = (start + step) % count;
    if (!isCut[k]) continue;
    const next = ring[(k + 1) % count];
    const open = chains.at(-1);
    if (open && open.at(-1) === ring[k] && isCut[(k + count - 1) % count]) open.push(next);
    else chains.push([ring[k], next]);
  }
  return chains.flatMap(splitAtCorners);
}

/** Splits a chain where the piece sticks out; arcs turn too gently to split. */
function splitAtCorners(chain: readonly Point[]): CutLine[] {
  const parts: Point[][] = [[chain[0]]];
  for (let k = 1; k < chain.length; k++) {
    parts.at(-1)?.push(chain[k]);
    if (k + 1 < chain.length && turnDeg(chain[k - 1], chain[k], chain[k + 1]) > ARC_TURN_DEG) parts.push([chain[k]]);
  }
  return parts.map((points) => ({ points, closed: false, curved: isCurved(points) }));
}

const isCurved = (points: readonly Point[]): boolean => {
  let gentle = 0;
  for (let k = 1; k + 1 < points.length; k++) {
    const turn = Math.abs(turnDeg(points[k - 1], points[k], points[k + 1]));
    if (turn > 0.2 && turn <= ARC_TURN_DEG) gentle++;
  }
  return gentle >= 2;
};

function turnDeg(a: Point, b: Point, c: Point): number {
  const u = subtract(b, a);
  const v = subtract(c, b);
  return (Math.atan2(cross(u, v), u[0] * v[0] + u[1] * v[1]) * 180) / Math.PI;
}

/** Whether a stretch of the piece runs along the outline of the tile. */
function onSameSide(p: Point, q: Point, tile: Ring): boolean {
  if (distance(p, q) < ON_SIDE_MM) return true;
  const middle: Point = [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2];
  return isOnRing(p, tile) && isOnRing(q, tile) && isOnRing(middle, tile);
}

/** Whether a position lies on an outline. */
const isOnRing = (p: Point, ring: Ring): boolean =>
  ring.some((from, k) => {
    const to = ring[(k + 1) % ring.length];
    if (p[0] < Math.min(from[0], to[0]) - ON_SIDE_MM || p[0] > Math.max(from[0], to[0]) + ON_SIDE_MM) return false;
    if (p[1] < Math.min(from[1], to[1]) - ON_SIDE_MM || p[1] > Math.max(from[1], to[1]) + ON_SIDE_MM) return false;
    const along = subtract(to, from);
    const size = Math.hypot(along[0], along[1]);
    const run = ((p[0] - from[0]) * along[0] + (p[1] - from[1]) * along[1]) / size;
    return run > -ON_SIDE_MM && run < size + ON_SIDE_MM && Math.abs(cross(along, subtract(p, from))) / size < ON_SIDE_MM;
  });
