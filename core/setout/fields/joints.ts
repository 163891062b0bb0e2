import { ON_LINE_MM, ROUNDING } from '../../tolerances.ts';
import { difference, intersect } from '../../geometry/clip.ts';
import { WHOLE_SLACK_MM } from '../../geometry/conventions.ts';
import { distanceToStretch } from '../../geometry/distanceToStretch.ts';
import { grown } from '../../geometry/grown.ts';
import type { Point } from '../../geometry/point.ts';
import { boxOf, boxRing, isInside, polygonArea, type Box, type Polygon, type Ring } from '../../geometry/ring.ts';
import { cellShift, type Repeat } from '../../pattern/repeat.ts';
import type { Field } from './field.ts';
import { forEachWhole, tileRing } from '../place/layout.ts';

/** The joints of a surface as they come to lie. */
export interface Joints {
  /** Whether any two pieces lie nearer than the joint that was chosen: a dot of another size, a field with a joint of its own. */
  readonly mayVary: boolean;
  /** No place of the surface is further from a piece than this, mm. */
  readonly largestMm: number;
}

/** What is left bare beyond a distance counts from this area on, mm². */
const BARE_MM2 = 0.01;

/** The distance is found to this, mm. */
const STEP_MM = ON_LINE_MM;

/** Measures the joints of a surface on what is laid. */
export function measureJoints(region: readonly Polygon[], fields: readonly Field[], jointMm: number): Joints {
  return {
    mayVary: fields.some(
      ({ laid }) => laid.jointMm < jointMm - WHOLE_SLACK_MM || nearestPieces(laid.repeat, jointMm) < jointMm - WHOLE_SLACK_MM,
    ),
    largestMm: largestJoint(region, fields, jointMm),
  };
}

/** The least distance between two pieces of a repeat, mm; Infinity where none lie within `reachMm`. */
function nearestPieces(repeat: Repeat, reachMm: number): number {
  const own = repeat.pieces.map(({ ring }) => ({ ring, box: boxOf(ring) }));
  const byX = movedNear(repeat, boxOf(own.flatMap(({ ring }) => ring)), reachMm).sort((p, q) => p.box.minX - q.box.minX);
  const widest = Math.max(...own.map(({ box }) => box.maxX - box.minX));
  const firstFrom = (x: number): number => {
    let [low, high] = [0, byX.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (byX[middle].box.minX < x) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  let least = Infinity;
  own.forEach(({ ring, box }, k) => {
    for (let at = firstFrom(box.minX - widest - reachMm); at < byX.length && byX[at].box.minX <= box.maxX + reachMm; at++) {
      const other = byX[at];
      if ((other.isOwn && other.k === k) || !isNear(box, other.box, reachMm)) continue;
      least = Math.min(least, gapOf(ring, other.ring));
    }
  });
  return least;
}

const isNear = (a: Box, b: Box, reachMm: number): boolean =>
  a.minX <= b.maxX + reachMm && b.minX <= a.maxX + reachMm && a.minY <= b.maxY + reachMm && b.minY <= a.maxY + reachMm;

function gapOf(a: Ring, b: Ring): number {
  const oneWay = (from: Ring, to: Ring): number =>
    Math.min(...from.map((p) => Math.min(...to.map((q, k) => distanceToStretch(p, q, to[(k + 1) % to.length])))));
  if (isInside(a[0], [[b]]) || isInside(b[0], [[a]])) return 0;
  return Math.min(oneWay(a, b), oneWay(b, a));
}

/** How far the barest place of a surface is from a piece: pieces grown by that cover all of it. */
function largestJoint(region: readonly Polygon[], fields: readonly Field[], jointMm: number): number {
  const pieces = fields.flatMap(piecesOf);
  if (pieces.length === 0) return diagonalOf(region);
  // The hollows within a pattern are the same in every cell; what is left are the edges.
  const hollows = fields.map(({ laid: { repeat } }) => barest(cellOf(repeat), cellsRound(repeat), jointMm));
  return barest(region, pieces, Math.max(jointMm, ...hollows));
}

/** How far the barest place of a region is from the pieces, not less than a distance it begins with, mm. */
function barest(region: readonly Polygon[], pieces: readonly Polygon[], startMm: number): number {
  let low = startMm;
  let bare = bareBeyond(region, pieces, low);
  if (bare.length === 0) return low;
  let high = low;
  const near = (mm: number): Polygon[] => pieces.filter((piece) => bare.some((part) => isNear(boxOf(part[0]), boxOf(piece[0]), mm)));
  for (let left = bare; left.length > 0;) {
    low = high;
    bare = left;
    high = Math.min(2 * high + 1, diagonalOf(region));
    left = bareBeyond(bare, near(high), high);
    if (high >= diagonalOf(region)) break;
  }
  const around = near(high);
  while (high - low > STEP_MM) {
    const middle = (low + high) / 2;
    if (bareBeyond(bare, around, middle).length === 0) high = middle;
    else low = middle;
  }
  return high;
}

function cellOf(repeat: Repeat): Polygon[] {
  const [a, b] = repeat.vectors;
  const ring: Ring = [[0, 0], a, [a[0] + b[0], a[1] + b[1]], b];
  return [[a[0] * b[1] - a[1] * b[0] > 0 ? ring : [...ring].reverse()]];
}

/** The pieces that cover a cell, and those round them. */
function cellsRound(repeat: Repeat): Polygon[] {
  const reach = Math.max(...repeat.pieces.map(({ ring }) => boxOf(ring)).map((own) => own.maxX - own.minX));
  return movedNear(repeat, boxOf(cellOf(repeat).flat(2)), reach).map(({ ring }): Polygon => [ring]);
}

/** A piece of a repeat in some cell of it. */
interface MovedPiece {
  readonly ring: Ring;
  readonly box: Box;
  /** Which piece of the repeat it is, and whether it lies in the cell that is described. */
  readonly k: number;
  readonly isOwn: boolean;
}

/** The pieces of all cells that lie near a box: a piece may be many cells long. */
function movedNear(repeat: Repeat, box: Box, reachMm: number): MovedPiece[] {
  const [a, b] = repeat.vectors;
  const size = a[0] * b[1] - a[1] * b[0];
  return repeat.pieces.flatMap(({ ring }, k) => {
    const own = boxOf(ring);
    // How far the piece may be moved and still be near.
    const moves = boxRing({
      minX: box.minX - own.maxX - reachMm,
      maxX: box.maxX - own.minX + reachMm,
      minY: box.minY - own.maxY - reachMm,
      maxY: box.maxY - own.minY + reachMm,
    });
    const cells = boxOf(moves.map(([x, y]): Point => [(x * b[1] - y * b[0]) / size, (y * a[0] - x * a[1]) / size]));
    const near: MovedPiece[] = [];
    for (let j = Math.ceil(cells.minY - ROUNDING); j <= cells.maxY + ROUNDING; j++) {
      for (let i = Math.ceil(cells.minX - ROUNDING); i <= cells.maxX + ROUNDING; i++) {
        const [dx, dy] = cellShift(repeat, i, j);
        const moved: Ring = ring.map(([x, y]) => [x + dx, y + dy]);
        const movedBox = boxOf(moved);
        if (isNear(box, movedBox, reachMm)) near.push({ ring: moved, box: movedBox, k, isOwn: i === 0 && j === 0 });
      }
    }
    return near;
  });
}

/** So few pieces are grown at once: the work on many together grows faster than they do. */
const FEW_PIECES = 24;

/** The parts of a region that lie further from all pieces; a large one is looked at by halves. */
function bareBeyond(region: readonly Polygon[], pieces: readonly Polygon[], mm: number): Polygon[] {
  if (region.length === 0) return [];
  if (pieces.length <= FEW_PIECES)
    return difference(region, mm > 0 ? grown(pieces, mm, 'round') : pieces).filter((part) => polygonArea(part) > BARE_MM2);
  const box = boxOf(region.flat(2));
  const wide = box.maxX - box.minX > box.maxY - box.minY;
  const middle = wide ? (box.minX + box.maxX) / 2 : (box.minY + box.maxY) / 2;
  const halves: readonly Box[] = wide
    ? [
        { ...box, maxX: middle },
        { ...box, minX: middle },
      ]
    : [
        { ...box, maxY: middle },
        { ...box, minY: middle },
      ];
  return halves.flatMap((half) => {
    const near = pieces.filter(([outer]) => isNear(half, boxOf(outer), mm));
    const part = intersect(region, [[boxRing(half)]]);
    // Where one piece is larger than what is looked at, halving it further leads nowhere.
    return near.length < pieces.length ? bareBeyond(part, near, mm) : difference(part, grown(near, mm, 'round'));
  });
}

/** Every piece of a field as it lies. */
function piecesOf({ layout }: Field): Polygon[] {
  const whole: Polygon[] = [];
  forEachWhole(layout, (address) => whole.push([tileRing(layout, address)]));
  return [...whole, ...layout.cutTiles.flatMap(({ polygons }) => polygons)];
}

function diagonalOf(region: readonly Polygon[]): number {
  const points: readonly Point[] = region.flat(2);
  if (points.length === 0) return 0;
  const { minX, minY, maxX, maxY } = boxOf(points);
  return Math.hypot(maxX - minX, maxY - minY);
}
