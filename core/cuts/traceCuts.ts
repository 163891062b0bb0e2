import { AS_MADE_MM, ON_LINE_MM, ROUNDING, SAW_MM } from '../tolerances.ts';
import { cross, distance, dot, length, subtract, type Point } from '../geometry/point.ts';
import { distanceToStretch } from '../geometry/distanceToStretch.ts';
import type { Polygon, Ring } from '../geometry/ring.ts';

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
  const isCut = cutStretches(ring, tile);
  const start = isCut.findIndex((cut, k) => !cut && isCut[(k + 1) % count]);
  if (start === -1) return isCut[0] ? splitAtCorners([...ring, ring[0]], tile) : [];
  const chains: Point[][] = [];
  for (let step = 1; step <= count; step++) {
    const k = (start + step) % count;
    if (!isCut[k]) continue;
    const next = ring[(k + 1) % count];
    const open = chains.at(-1);
    if (open && open.at(-1) === ring[k] && isCut[(k + count - 1) % count]) open.push(next);
    else chains.push([ring[k], next]);
  }
  return chains.flatMap((chain) => splitAtCorners(chain, tile));
}

/** Splits a chain where the piece sticks out; arcs turn too gently to split. */
function splitAtCorners(whole: readonly Point[], tile: Ring): CutLine[] {
  const chain = withoutStubs(whole);
  const parts: Point[][] = [[chain[0]]];
  for (let k = 1; k < chain.length; k++) {
    parts.at(-1)?.push(chain[k]);
    if (k + 1 < chain.length && turnDeg(chain[k - 1], chain[k], chain[k + 1]) > ARC_TURN_DEG) parts.push([chain[k]]);
  }
  return parts.flatMap((points): CutLine[] => {
    if (isCurved(points) || (bendsOn(points) && straightened(points).length > 2)) {
      const chord = chordThrough(points, tile);
      return [chord ? { points: chord, closed: false, curved: false } : { points, closed: false, curved: true }];
    }
    return splitWhereOut(straightened(points)).map((straight) => ({ points: straight, closed: false, curved: false }));
  });
}

/** Stretches shorter than this are no cuts of their own, mm. */
const STUB_MM = 4 * SAW_MM;

/** A chain without corners that follow the one before, or its end, within a stub. */
function withoutStubs(chain: readonly Point[]): readonly Point[] {
  const last = chain[chain.length - 1];
  const kept = [chain[0]];
  for (const p of chain.slice(1, -1)) if (distance(p, kept[kept.length - 1]) >= STUB_MM && distance(p, last) >= STUB_MM) kept.push(p);
  return [...kept, last];
}

/** A curve that leaves its chord by less is cut straight, half of it on either side: the joint takes it (trade practice), mm. */
const JOINT_TAKES_MM = 1;

/** A bite that is as short beside its depth is no gentle curve. */
const GENTLE = 1 / 40;

/** The straight cut that stands for a gentle curve; null where it bends too far for the joint to take. */
function chordThrough(points: readonly Point[], tile: Ring): readonly [Point, Point] | null {
  const [from, to] = [points[0], points[points.length - 1]];
  const [along, size] = [subtract(to, from), distance(from, to)];
  const offs = points.map((p) => cross(along, subtract(p, from)) / size);
  const [least, most] = [Math.min(...offs), Math.max(...offs)];
  if (most - least > Math.min(JOINT_TAKES_MM, GENTLE * size)) return null;
  const middle = (least + most) / 2;
  const moved = ([x, y]: Point): Point => [x - (along[1] / size) * middle, y + (along[0] / size) * middle];
  const ends = [from, to].map((end) => onSameSide(tile, end, moved(end), along));
  return ends[0] && ends[1] ? [ends[0], ends[1]] : [from, to];
}

/** The end of a cut that was moved, brought along it onto the side of the tile that it ended at; null where it leaves that side. */
function onSameSide(tile: Ring, end: Point, moved: Point, along: Point): Point | null {
  const k = sideUnder(end, tile, 0);
  // Where another cut ends it, the corner between them is moved with it.
  if (k === null) return moved;
  const [from, side] = [tile[k], subtract(tile[(k + 1) % tile.length], tile[k])];
  const det = cross(along, side);
  if (Math.abs(det) < ROUNDING) return null;
  const off = subtract(from, moved);
  const share = cross(off, along) / det;
  if (share < 0 || share > 1) return null;
  return [from[0] + share * side[0], from[1] + share * side[1]];
}

/** No saw follows a kink smaller than this, mm. */
const KINK_MM = AS_MADE_MM;

/** A chain without the kinks that no saw follows. */
function straightened(points: readonly Point[]): readonly Point[] {
  const [from, to] = [points[0], points[points.length - 1]];
  const offs = points.slice(1, -1).map((p) => distanceToStretch(p, from, to));
  const worst = Math.max(0, ...offs);
  if (worst < KINK_MM) return [from, to];
  const k = offs.indexOf(worst) + 1;
  return [...straightened(points.slice(0, k + 1)), ...straightened(points.slice(k)).slice(1)];
}

/** Splits a chain of straight cuts wherever the piece sticks out, however little. */
function splitWhereOut(points: readonly Point[]): Point[][] {
  const parts: Point[][] = [[points[0]]];
  for (let k = 1; k < points.length; k++) {
    parts.at(-1)?.push(points[k]);
    if (k + 1 < points.length && turnDeg(points[k - 1], points[k], points[k + 1]) > 0) parts.push([points[k]]);
  }
  return parts;
}

const isCurved = (points: readonly Point[]): boolean =>
  turnsOf(points).filter((turn) => turn > SEEN_DEG && turn <= ARC_TURN_DEG).length >= 2;

/** An arc of a radius that a hand sees turns by more at each corner, degrees. */
const SEEN_DEG = 0.2;

/** Whether a chain runs round an arc of a large radius: at every corner it turns the same way, and hardly. */
const bendsOn = (points: readonly Point[]): boolean => {
  const turns = turnsOf(points, false);
  return (
    turns.length >= 2 &&
    turns.every((turn) => Math.abs(turn) < ARC_TURN_DEG && Math.sign(turn) === Math.sign(turns[0]) && Math.abs(turn) > TURNS_DEG)
  );
};

/** Less is no turn but what reckoning leaves, degrees. */
const TURNS_DEG = 0.005;

const turnsOf = (points: readonly Point[], sizes = true): number[] =>
  points.slice(1, -1).map((p, k) => {
    const turn = turnDeg(points[k], p, points[k + 2]);
    return sizes ? Math.abs(turn) : turn;
  });

function turnDeg(a: Point, b: Point, c: Point): number {
  const u = subtract(b, a);
  const v = subtract(c, b);
  return (Math.atan2(cross(u, v), u[0] * v[0] + u[1] * v[1]) * 180) / Math.PI;
}

/** Of every stretch of a piece, whether it is no part of the outline of its tile. */
function cutStretches(ring: Ring, tile: Ring): boolean[] {
  // One corner mostly lies on the side after that of the corner before: there it is looked for first.
  let at = 0;
  const isOnTile = (p: Point): boolean => {
    const side = sideUnder(p, tile, at);
    if (side !== null) at = side;
    return side !== null;
  };
  const onTile = ring.map(isOnTile);
  return ring.map((p, k) => {
    const next = (k + 1) % ring.length;
    const q = ring[next];
    if (distance(p, q) < ON_LINE_MM) return false;
    return !(onTile[k] && onTile[next] && isOnTile([(p[0] + q[0]) / 2, (p[1] + q[1]) / 2]));
  });
}

/** The side of an outline on which a position lies, the first from one on; null where it lies on none. */
function sideUnder(p: Point, ring: Ring, first: number): number | null {
  for (let k = 0; k < ring.length; k++) {
    const side = (first + k) % ring.length;
    if (liesAlong(p, ring[side], ring[(side + 1) % ring.length])) return side;
  }
  return null;
}

/** Whether a position lies on a stretch. */
function liesAlong(p: Point, from: Point, to: Point): boolean {
  if (p[0] < Math.min(from[0], to[0]) - ON_LINE_MM || p[0] > Math.max(from[0], to[0]) + ON_LINE_MM) return false;
  if (p[1] < Math.min(from[1], to[1]) - ON_LINE_MM || p[1] > Math.max(from[1], to[1]) + ON_LINE_MM) return false;
  const along = subtract(to, from);
  const size = length(along);
  const run = dot(subtract(p, from), along) / size;
  return run > -ON_LINE_MM && run < size + ON_LINE_MM && Math.abs(cross(along, subtract(p, from))) / size < ON_LINE_MM;
}
