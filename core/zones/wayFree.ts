import { distanceToStretch } from '../geometry/distanceToStretch.ts';
import { dot, subtract, unit, distance, type Point } from '../geometry/point.ts';
import { boxOf, isInside, type Polygon } from '../geometry/ring.ts';
import { PASS_MM, type FloorPart } from './floorParts.ts';
import type { SharedStretch } from './sharedRun.ts';

/** Squares a floor is looked at in, mm; larger ones where there would be too many. */
const SQUARE_MM = 50;
const MOST_SQUARES = 9_000;

/** What lies before a way out counts as floor so far, mm. */
const BEFORE_MM = 450;

const OUTSIDE = -1;
const DOOR = -2;

/** A floor in squares: which part each lies in, none, or before a way out. */
interface Squares {
  readonly across: number;
  readonly up: number;
  readonly mm: number;
  readonly of: Int16Array;
}

/**
 * For each part in the order in which they are laid, whether a person comes to it, and away from it, over floor that is not
 * laid yet: as wide as a person all the way, whatever parts it leads over. Two narrow passes side by side are one way.
 */
export function waysFree(
  parts: readonly FloorPart[],
  doors: ReadonlySet<number>,
  exits: readonly SharedStretch[],
  order: readonly number[],
): boolean[] {
  const squares = inSquares(parts, exits);
  const turnOf = new Map(order.map((k, turn) => [k, turn]));
  return order.map((k, turn) => {
    const free = squares.of.map((part) => (part === DOOR ? 1 : part !== OUTSIDE && (turnOf.get(part) ?? -1) >= turn ? 1 : 0));
    return meets(squares, walked(squares, free), k, doors.has(k));
  });
}

function inSquares(parts: readonly FloorPart[], exits: readonly SharedStretch[]): Squares {
  const all = parts.flatMap(({ polygons }) => polygons);
  const { minX, minY, maxX, maxY } = boxOf(all.flat(2));
  const mm = Math.max(SQUARE_MM, Math.sqrt(((maxX - minX + 2 * BEFORE_MM) * (maxY - minY + 2 * BEFORE_MM)) / MOST_SQUARES));
  const [across, up] = [Math.ceil((maxX - minX + 2 * BEFORE_MM) / mm), Math.ceil((maxY - minY + 2 * BEFORE_MM) / mm)];
  const of = new Int16Array(across * up).fill(OUTSIDE);
  const boxes = parts.map(({ polygons }) => boxOf(polygons.flat(2)));
  for (let row = 0; row < up; row++)
    for (let column = 0; column < across; column++) {
      const p: Point = [minX - BEFORE_MM + (column + 0.5) * mm, minY - BEFORE_MM + (row + 0.5) * mm];
      const part = parts.findIndex(({ polygons }, k) => isIn(p, boxes[k]) && isInside(p, polygons));
      of[row * across + column] = part >= 0 ? part : exits.some((exit) => liesBefore(p, exit, all)) ? DOOR : OUTSIDE;
    }
  return { across, up, mm, of };
}

const isIn = ([x, y]: Point, { minX, minY, maxX, maxY }: ReturnType<typeof boxOf>): boolean =>
  x >= minX && x <= maxX && y >= minY && y <= maxY;

/** Whether a position lies straight before a way out, beyond the floor or in the gap along it. */
function liesBefore(p: Point, [from, to]: SharedStretch, floor: readonly Polygon[]): boolean {
  const length = distance(from, to);
  if (length < 1 || distanceToStretch(p, from, to) > BEFORE_MM || isInside(p, floor)) return false;
  const run = dot(subtract(p, from), unit(subtract(to, from)));
  // A narrow way out is the way out all the same.
  const slack = Math.max(0, (PASS_MM - length) / 2 + SQUARE_MM);
  return run >= -slack && run <= length + slack;
}

/** The squares that a person can stand on and come to from a way out. */
function walked({ across, up, mm, of }: Squares, free: Int16Array): Uint8Array {
  const reach = Math.max(0, Math.round((PASS_MM / mm - 1) / 2));
  const stands = roomy(free, across, up, reach);
  const seen = new Uint8Array(of.length);
  const open: number[] = [];
  for (let at = 0; at < of.length; at++) if (of[at] === DOOR && stands[at]) open.push(at);
  for (const at of open) seen[at] = 1;
  while (open.length > 0) {
    const at = open.pop() ?? 0;
    const column = at % across;
    for (const next of [column > 0 ? at - 1 : -1, column + 1 < across ? at + 1 : -1, at - across, at + across]) {
      if (next < 0 || next >= seen.length || seen[next] || !stands[next]) continue;
      seen[next] = 1;
      open.push(next);
    }
  }
  return seen;
}

/** Squares round which all is free so far: sums over rows, then over columns. */
function roomy(free: Int16Array, across: number, up: number, reach: number): Uint8Array {
  const wide = 2 * reach + 1;
  const rows = new Uint8Array(free.length);
  for (let row = 0; row < up; row++)
    for (let column = 0, run = 0; column < across; column++) {
      run = free[row * across + column] ? run + 1 : 0;
      if (run >= wide) rows[row * across + column - reach] = 1;
    }
  const all = new Uint8Array(free.length);
  for (let column = 0; column < across; column++)
    for (let row = 0, run = 0; row < up; row++) {
      run = rows[row * across + column] ? run + 1 : 0;
      if (run >= wide) all[(row - reach) * across + column] = 1;
    }
  return all;
}

/** Whether a person who stands where they can comes within half their width of a part. */
function meets({ across, up, mm, of }: Squares, seen: Uint8Array, part: number, isAtDoor: boolean): boolean {
  const near = Math.ceil(PASS_MM / 2 / mm);
  for (let at = 0; at < of.length; at++) {
    if (of[at] !== part) continue;
    const [column, row] = [at % across, Math.floor(at / across)];
    for (let dy = -near; dy <= near; dy++)
      for (let dx = -near; dx <= near; dx++) {
        const [x, y] = [column + dx, row + dy];
        if (x < 0 || x >= across || y < 0 || y >= up || !seen[y * across + x]) continue;
        // Before a way out one has to come to it; what lies beside it is not reached from there.
        if (of[y * across + x] !== DOOR || isAtDoor) return true;
      }
  }
  return false;
}
