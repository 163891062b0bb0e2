import { ON_ARC_MM, ROUNDED_OFTEN } from '../../tolerances.ts';
import { oncePer } from '../../oncePer.ts';
import { LEAST_CUT_MM } from '../../geometry/conventions.ts';
import { flatRing } from '../../geometry/flatRing.ts';
import { distance, type Point } from '../../geometry/point.ts';
import { reachWithin } from '../../geometry/reachWithin.ts';
import { boxOf, isWithin, rectangleRing, type Box, type Ring } from '../../geometry/ring.ts';
import { cellShift, unitOf, type Repeat } from '../../pattern/repeat.ts';
import { countCells, markCells } from '../place/markCells.ts';
import type { Falls, SetoutFigures } from '../tally/figures.ts';
import { legLimit } from '../choice/leg.ts';
import type { Boundary, BoundaryNotch } from '../edges/boundary.ts';
import type { CellIndex } from './cellIndex.ts';
import type { TileTable } from './tileTable.ts';

/** How a tile meets something round. */
export const BITE = 1;
export const HOLE = 2;

/** A tile that something round bites into by less than this does not share its hole, mm. */
const GRAZED_MM = 2;

/** A tile that is this far off something round is clear of it, mm: the ring that stands for a circle reaches out by a hair. */
export const CLEAR_MM = ON_ARC_MM;

/** Something round that comes through, with its clearance; in the frame of the setout. */
export interface RoundThing {
  readonly id: string;
  readonly centre: Point;
  readonly radiusMm: number;
  /** The part of the region that it comes through. */
  readonly part: number;
}

/** Calls for every tile whose box in the lattice may hold a position, within `reach` steps. */
function forTilesNear({ boxes, index }: Cell, at: Point, reach: Point, visit: (piece: number, i: number, j: number) => void): void {
  if (index.find(at[0] - reach[0], at[0] + reach[0], at[1] - reach[1], at[1] + reach[1])) {
    const found = [...index.found];
    for (let k = 0; k < found.length; k += 3) visit(found[k], found[k + 1], found[k + 2]);
    return;
  }
  for (let piece = 0; piece < boxes.length; piece++) {
    const { minX, minY, maxX, maxY } = boxes[piece];
    const [lastJ, lastI] = [Math.floor(at[1] - minY + reach[1]), Math.floor(at[0] - minX + reach[0])];
    for (let j = Math.ceil(at[1] - maxY - reach[1]); j <= lastJ; j++)
      for (let i = Math.ceil(at[0] - maxX - reach[0]); i <= lastI; i++) visit(piece, i, j);
  }
}

/** The cell of a repeat, with where its pieces lie in the lattice. */
export interface Cell {
  readonly repeat: Repeat;
  readonly toLattice: (p: Point) => Point;
  readonly boxes: readonly Box[];
  readonly index: CellIndex;
}

/**
 * Finds the tile that a corner of the boundary reaches into, and counts how fragile the legs are that it gets. A leg is
 * measured on the outline itself, from the corner into the field; what closes round a box is weighed as one, and called none.
 */
export function countEars(
  { at, part, inward, hole }: BoundaryNotch,
  cell: Cell,
  [x, y]: Point,
  tiles: TileTable,
  figures: Pick<SetoutFigures, 'ears' | 'legs'>,
): void {
  const { repeat, toLattice } = cell;
  const place: Point = [at[0] - x, at[1] - y];
  forTilesNear(cell, toLattice(place), HERE, (piece, i, j) => {
    const [dx, dy] = cellShift(repeat, i, j);
    const within: Point = [place[0] - dx, place[1] - dy];
    const { ring } = repeat.pieces[piece];
    if (!isWithin(ring, within[0], within[1])) return;
    tiles.notches[tiles.at(part, piece, i, j)]++;
    let ears = 0;
    for (const way of inward) ears += earOf(ring, within, way);
    if (ears === 0) return;
    figures.ears += ears;
    const closes = hole.length > 0 && hole.every(([px, py]) => isWithin(ring, px - x - dx, py - y - dy));
    if (!closes) figures.legs++;
  });
}

const HERE: Point = [0, 0];

/** How fragile the leg of a piece is that begins at a place and goes a way: 0, or a half at the limit to 1. */
function earOf(ring: Ring, at: Point, way: Point): number {
  const ahead = reachWithin(ring, at, way);
  const full = ahead + reachWithin(ring, at, [-way[0], -way[1]]);
  const limit = legLimit(full);
  return ahead >= limit - ROUNDED_OFTEN ? 0 : 1 - 0.5 * (ahead / limit);
}

/** How a ring lies to a place: one for all, filled again and again. Lengths in mm. */
const LIES = { inside: false, nearestMm: 0, furthestMm2: 0 };

/** Tells whether a ring holds a place, how far its nearest side is (Infinity where none comes within `reachMm`) and its furthest corner. */
function liesTo(ring: Ring, x: number, y: number, reachMm: number): typeof LIES {
  const flat = flatRing(ring);
  let [inside, least, furthest] = [false, reachMm * reachMm, 0];
  let reach = reachMm;
  let ax = flat[flat.length - 2] - x;
  let ay = flat[flat.length - 1] - y;
  for (let k = 0; k < flat.length; k += 2) {
    const bx = flat[k] - x;
    const by = flat[k + 1] - y;
    if (ay <= 0 !== by <= 0 && 0 < ax - (ay / (by - ay)) * (bx - ax)) inside = !inside;
    furthest = Math.max(furthest, bx * bx + by * by);
    const isFar = (ax > reach && bx > reach) || (ax < -reach && bx < -reach) || (ay > reach && by > reach) || (ay < -reach && by < -reach);
    if (!isFar) {
      const [dx, dy] = [bx - ax, by - ay];
      const size = dx * dx + dy * dy;
      const share = size === 0 ? 0 : Math.min(1, Math.max(0, -(dx * ax + dy * ay) / size));
      const [offX, offY] = [ax + share * dx, ay + share * dy];
      const mm2 = offX * offX + offY * offY;
      if (mm2 < least) {
        least = mm2;
        reach = Math.sqrt(mm2);
      }
    }
    ax = bx;
    ay = by;
  }
  LIES.inside = inside;
  LIES.nearestMm = reach < reachMm ? reach : Infinity;
  LIES.furthestMm2 = furthest;
  return LIES;
}

/** A circle round a ring, about the middle of its box. */
const circleRound = oncePer((ring: Ring): { readonly centre: Point; readonly radiusMm: number } => {
  const { minX, minY, maxX, maxY } = boxOf(ring);
  const centre: Point = [(minX + maxX) / 2, (minY + maxY) / 2];
  return { centre, radiusMm: Math.max(...ring.map(([x, y]) => Math.hypot(x - centre[0], y - centre[1]))) };
});

/** Tells what something round falls on, and marks the tiles it bites into. */
export function fallsOf({ centre, radiusMm, part }: RoundThing, cell: Cell, [x, y]: Point, tiles: TileTable): Falls {
  const { repeat, toLattice } = cell;
  const place: Point = [centre[0] - x, centre[1] - y];
  const [ux, vx] = toLattice([radiusMm, 0]);
  const [uy, vy] = toLattice([0, radiusMm]);
  let bitten = 0;
  forTilesNear(cell, toLattice(place), [Math.abs(ux) + Math.abs(uy), Math.abs(vx) + Math.abs(vy)], (piece, i, j) => {
    const [dx, dy] = cellShift(repeat, i, j);
    const within: Point = [place[0] - dx, place[1] - dy];
    const { ring } = repeat.pieces[piece];
    const round = circleRound(ring);
    const off = distance(within, round.centre);
    // Most tiles near something large are clear of it or swallowed by it, and one look tells.
    if (off > round.radiusMm + radiusMm + CLEAR_MM || off + round.radiusMm <= radiusMm) return;
    const { inside, nearestMm: away, furthestMm2 } = liesTo(ring, within[0], within[1], radiusMm + CLEAR_MM);
    if ((!inside && away === Infinity) || furthestMm2 <= radiusMm ** 2) return;
    if (inside || away < radiusMm - GRAZED_MM) bitten++;
    tiles.round[tiles.at(part, piece, i, j)] = inside && away > radiusMm ? HOLE : BITE;
  });
  return bitten === 0 ? 'clear' : bitten === 1 ? 'piece' : bitten === 2 ? 'joint' : 'crossing';
}

/** How many figured sheets lie whole, so that their motif shows; 0 where no motif is laid. */
export function wholeSheets(repeat: Repeat, { lines }: Boundary, toLattice: (p: Point) => Point, [x, y]: Point): number {
  if (!repeat.sheet?.figured) return 0;
  const { minX, minY, maxX, maxY } = unitOf(repeat);
  const ring = rectangleRing(minX + LEAST_CUT_MM, minY + LEAST_CUT_MM, maxX - minX - 2 * LEAST_CUT_MM, maxY - minY - 2 * LEAST_CUT_MM);
  const moved = ([px, py]: Point): Point => [px - x, py - y];
  return countCells(
    markCells(
      ring,
      toLattice,
      lines.map(({ from, to }) => ({ from: moved(from), to: moved(to) })),
    ),
  ).whole;
}
