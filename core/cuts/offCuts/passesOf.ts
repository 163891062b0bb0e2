import { ROUNDED_OFTEN, SAW_MM } from '../../tolerances.ts';
import { leftOfLine } from '../../geometry/leftOfLine.ts';
import { add, cross, distance, dot, quarterTurn, scale, subtract, unit, type Point } from '../../geometry/point.ts';
import { boxOf, type Polygon, type Ring } from '../../geometry/ring.ts';
import type { Side } from '../cutKind.ts';

/** A shorter edge is part of a curve, or too short to lay a fence or a rule to, mm. */
const SHORT_MM = 5;

/** A straight cut right through a part of a tile. */
export interface Pass {
  /** Where the blade runs, the edge that is kept, mm in the tile's frame. */
  readonly from: Point;
  readonly to: Point;
  /** The edge of the part in hand that lies at the fence, and what the fence is set to, mm; null for a cut along a mark. */
  readonly fence: { readonly side: Side; readonly mm: number } | null;
  /** The piece that keeps the edge, by its place among those that are cut from the tile. */
  readonly piece: number;
}

/**
 * The passes that take pieces out of a tile, each through the whole of the part that is then in hand: first those that part
 * pieces from each other, then those that trim each to its straight sides. Null where pieces nest in each other, so that no
 * row of such passes takes them apart.
 */
export function passesOf(tile: Ring, outlines: readonly Polygon[], kerfMm: number): Pass[] | null {
  const passes: Pass[] = [];
  const takeApart = (part: Ring, pieces: readonly Held[]): boolean => {
    if (pieces.length === 0) return true;
    const cut = nextCut(part, pieces, kerfMm);
    if (cut === null) return pieces.length === 1;
    passes.push(cut.pass);
    return takeApart(cut.kept, cut.keptPieces) && takeApart(cut.rest, cut.otherPieces);
  };
  const done = takeApart(
    tile,
    outlines.map(([outline], index) => ({ outline, index })),
  );
  return done ? passes : null;
}

/** A piece that still has to come out of a part. */
interface Held {
  readonly outline: Ring;
  readonly index: number;
}

interface Cut {
  readonly pass: Pass;
  readonly kept: Ring;
  readonly rest: Ring;
  readonly keptPieces: readonly Held[];
  readonly otherPieces: readonly Held[];
  /** How many pieces lie on the side that has fewer; more is better. */
  readonly parts: number;
}

/** The cut that parts most pieces from each other; among equals the shortest, which is made soonest. */
function nextCut(part: Ring, pieces: readonly Held[], kerfMm: number): Cut | null {
  let best: Cut | null = null;
  const lengthOf = ({ pass: { from, to } }: Cut): number => distance(from, to);
  for (const piece of pieces)
    for (const { from, along, isEdge } of linesOf(piece.outline)) {
      const cut = cutAlong(part, pieces, piece.index, from, along, kerfMm);
      // A line that only touches a piece serves to part it from others.
      if (!cut || (!isEdge && cut.parts === 0)) continue;
      if (!best || cut.parts > best.parts || (cut.parts === best.parts && lengthOf(cut) < lengthOf(best) - SAW_MM)) best = cut;
    }
  return best;
}

/** A line that a piece lies to the left of. */
interface SawLine {
  readonly from: Point;
  readonly along: Point;
  /** Whether it is one of its sides. */
  readonly isEdge: boolean;
}

/** The straight sides of a piece that all of it lies behind, then the sides of its box. */
function linesOf(outline: Ring): SawLine[] {
  const sides = outline.flatMap((from, k): SawLine[] => {
    const to = outline[(k + 1) % outline.length];
    if (distance(from, to) < SHORT_MM) return [];
    const along = unit(subtract(to, from));
    return outline.every((p) => cross(along, subtract(p, from)) > -SAW_MM) ? [{ from, along, isEdge: true }] : [];
  });
  const { minX, minY, maxX, maxY } = boxOf(outline);
  const around: readonly SawLine[] = [
    { from: [maxX, minY], along: [0, 1], isEdge: false },
    { from: [minX, maxY], along: [0, -1], isEdge: false },
    { from: [maxX, maxY], along: [-1, 0], isEdge: false },
    { from: [minX, minY], along: [1, 0], isEdge: false },
  ];
  return [...sides, ...around];
}

/** A cut along a line that keeps what is left of it; null where it would run through a piece or cut nothing off. */
function cutAlong(part: Ring, pieces: readonly Held[], piece: number, from: Point, along: Point, kerfMm: number): Cut | null {
  const off = (p: Point): number => cross(along, subtract(p, from));
  const reach = part.map(off);
  const least = Math.min(...reach);
  if (least > -SAW_MM || Math.max(...reach) < SAW_MM) return null;
  // The blade takes its width on the side that is not kept; at the rim of the tile there may be less to take.
  const bladeMm = Math.min(kerfMm, -least);
  const keptPieces: Held[] = [];
  const otherPieces: Held[] = [];
  for (const held of pieces) {
    const own = held.outline.map(off);
    if (Math.min(...own) > -2 * SAW_MM) keptPieces.push(held);
    else if (Math.max(...own) < 2 * SAW_MM - bladeMm) otherPieces.push(held);
    else return null;
  }
  const to = add(from, along);
  const kept = leftOfLine(part, from, to);
  const beyond = scale(quarterTurn(along), -bladeMm);
  const rest = leftOfLine(part, add(to, beyond), add(from, beyond));
  const run = kept.filter((p) => Math.abs(off(p)) < SAW_MM / 10).map((p) => dot(subtract(p, from), along));
  const at = (mm: number): Point => add(from, scale(along, mm));
  return {
    pass: { from: at(Math.min(...run)), to: at(Math.max(...run)), fence: fenceFor(part, from, along), piece },
    kept,
    rest,
    keptPieces,
    otherPieces,
    parts: Math.min(keptPieces.length, otherPieces.length),
  };
}

/** The side of a part that runs with a line, across what is kept, and how far off it lies; null where there is none to lay to a fence. */
function fenceFor(part: Ring, from: Point, along: Point): Pass['fence'] {
  const side = sideAcross(along);
  if (side === null) return null;
  const off = part.map((p) => cross(along, subtract(p, from)));
  const mm = Math.max(...off);
  const lies = part.some((p, k) => {
    const next = (k + 1) % part.length;
    return off[k] > mm - SAW_MM && off[next] > mm - SAW_MM && distance(p, part[next]) > SHORT_MM;
  });
  return lies ? { side, mm } : null;
}

/** The side of the tile that a line runs with, on what lies left of it; null for a slanted one. */
function sideAcross([x, y]: Point): Side | null {
  if (Math.abs(x) < ROUNDED_OFTEN) return y > 0 ? 'left' : 'right';
  if (Math.abs(y) < ROUNDED_OFTEN) return x > 0 ? 'top' : 'bottom';
  return null;
}
