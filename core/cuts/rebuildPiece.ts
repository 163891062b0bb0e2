import { HAIR_MM, READS_ALIKE_MM, ROUNDING, SAW_MM } from '../tolerances.ts';
import { difference, intersect } from '../geometry/clip.ts';
import { circleRing } from '../geometry/circleRing.ts';
import { add, distance, dot, quarterTurn, scale, subtract, unit, type Point } from '../geometry/point.ts';
import { isPartedOnce, leftOfLine } from '../geometry/leftOfLine.ts';
import { boxOf, polygonsArea, rectangleRing, ringLength, type Polygon, type Ring } from '../geometry/ring.ts';
import type { Mark, SideMeasure } from './cutKind.ts';
import { flatsOf } from './flats.ts';

/** Further than any tile reaches, mm. */
const FAR_MM = 10_000;

/** Marks may give a piece back so far beside its outline on average, mm. */
const BESIDE_MM = READS_ALIKE_MM;

/** Whether marks, set one after the other on the whole tile, give a piece back. */
export function givesBack(marks: readonly Mark[], tile: Ring, piece: Polygon): boolean {
  const made = rebuildPiece(marks, tile);
  if (made.length === 1 && haveSameCorners(made[0], piece)) return true;
  const beside = polygonsArea(difference(made, [piece])) + polygonsArea(difference([piece], made));
  return beside <= BESIDE_MM * ringLength(piece[0]);
}

/** Corners nearer than this are the same, mm: outlines of such corners lie no further beside each other. */
const SAME_CORNER_MM = SAW_MM;

/** Whether two polygons go through the same corners, ring by ring, wherever each begins: most do, and nothing has to be clipped. */
const haveSameCorners = (a: Polygon, b: Polygon): boolean =>
  a.length === b.length &&
  a.every((ring, n) => {
    const other = b[n];
    if (ring.length !== other.length) return false;
    const start = other.findIndex((p) => distance(p, ring[0]) < SAME_CORNER_MM);
    return start !== -1 && ring.every((p, k) => distance(p, other[(start + k) % other.length]) < SAME_CORNER_MM);
  });

/** The end of a free line lies so near to the edge it begins at, mm; rounded as a tape is, further off. */
const ON_EDGE_MM = HAIR_MM;

/**
 * What a tile is after its marks, in its own frame: every mark is set and cut in turn. A free line begins and ends at the
 * edge that is within `reachMm` of its ends.
 */
export const rebuildPiece = (marks: readonly Mark[], tile: Ring, reachMm = ON_EDGE_MM): Polygon[] =>
  marks.reduce<Polygon[]>((left, mark) => (left.length === 0 ? left : cutAt(mark, left, tile, reachMm)), [[tile]]);

function cutAt(mark: Mark, left: readonly Polygon[], tile: Ring, reachMm: number): Polygon[] {
  const whole = boxOf(tile);
  const piece = boxOf(left.flatMap(([outer]) => outer));
  switch (mark.type) {
    case 'line': {
      const [low, high] = mark.mm;
      const at = (mm: number, along: number): Point => {
        if (mark.from === 'left') return [mm, along];
        if (mark.from === 'right') return [whole.maxX - mm, along];
        return mark.from === 'bottom' ? [along, mm] : [along, whole.maxY - mm];
      };
      const isUpright = mark.from === 'left' || mark.from === 'right';
      const ends = [at(low, 0), at(high, isUpright ? whole.maxY : whole.maxX)] as const;
      // What is kept lies on the left of the way up for the left edge, and of the way back for the bottom edge.
      return mark.from === 'left' || mark.from === 'top' ? leftOf(left, ends[0], ends[1]) : leftOf(left, ends[1], ends[0]);
    }
    case 'corner': {
      const corner: Point = [mark.sideX === 'left' ? 0 : whole.maxX, mark.sideY === 'bottom' ? 0 : whole.maxY];
      const ends: [Point, Point] = [
        [mark.sideX === 'left' ? mark.xMm : whole.maxX - mark.xMm, corner[1]],
        [corner[0], mark.sideY === 'bottom' ? mark.yMm : whole.maxY - mark.yMm],
      ];
      const cornerLeft = dot(quarterTurn(subtract(ends[1], ends[0])), subtract(corner, ends[0])) > 0;
      return cornerLeft === (mark.keeps === 'corner') ? leftOf(left, ends[0], ends[1]) : leftOf(left, ends[1], ends[0]);
    }
    case 'chord': {
      const [p, q] = mark.ends.map(({ flat, mm }): Point => {
        const { from, to } = flatsOf(tile)?.find(({ name }) => name === flat) ?? { from: tile[0], to: tile[1] };
        return add(from, scale(unit(subtract(to, from)), mm));
      });
      return leftOf(left, p, q);
    }
    case 'notch': {
      const x = mark.sideX === 'left' ? piece.minX : piece.maxX - mark.xMm;
      const y = mark.sideY === 'bottom' ? piece.minY : piece.maxY - mark.yMm;
      return difference(left, [[rectangleRing(x, y, mark.xMm, mark.yMm)]]);
    }
    case 'slot': {
      const across = mark.side === 'left' || mark.side === 'right';
      const [width, height] = across ? [mark.depthMm, mark.widthMm] : [mark.widthMm, mark.depthMm];
      const x = mark.side === 'left' ? piece.minX : mark.side === 'right' ? piece.maxX - width : piece.minX + mark.startMm;
      const y = mark.side === 'bottom' ? piece.minY : mark.side === 'top' ? piece.maxY - height : piece.minY + mark.startMm;
      return difference(left, [[rectangleRing(x, y, width, height)]]);
    }
    case 'window':
      return difference(left, [[rectangleRing(mark.xMm, mark.yMm, mark.widthMm, mark.heightMm)]]);
    case 'circle':
      return difference(left, [[circleRing([mark.xMm, mark.yMm], mark.diameterMm / 2)]]);
    case 'bite': {
      const [p, q] = mark.ends.map((end) => placeOf(end, tile));
      const middle = scale(add(p, q), 0.5);
      const half = Math.hypot(q[0] - p[0], q[1] - p[1]) / 2;
      const off = Math.sqrt(Math.max(0, mark.radiusMm ** 2 - half ** 2));
      // The tile lies on the left of the bite, its centre on the right.
      return difference(left, [[circleRing(add(middle, scale(unit(quarterTurn(subtract(q, p))), -off)), mark.radiusMm)]]);
    }
    case 'path':
      return alongPath(mark.points, left, reachMm);
  }
}

/** What lies on the left of a line, its whole length. An outline that the line crosses but once in and once out stays one. */
function leftOf(polygons: readonly Polygon[], p: Point, q: Point): Polygon[] {
  if (polygons.every((rings) => rings.length === 1 && isPartedOnce(rings[0], p, q)))
    return polygons.flatMap(([ring]): Polygon[] => {
      const left = leftOfLine(ring, p, q);
      return left.length === 0 ? [] : [[left]];
    });
  const along = unit(subtract(q, p));
  const inward = quarterTurn(along);
  const [a, b] = [add(p, scale(along, -FAR_MM)), add(p, scale(along, FAR_MM))];
  return intersect(polygons, [[[a, b, add(b, scale(inward, FAR_MM)), add(a, scale(inward, FAR_MM))]]]);
}

function placeOf({ side, mm }: SideMeasure, tile: Ring): Point {
  const { maxX, maxY } = boxOf(tile);
  return { left: [0, mm], right: [maxX, mm], bottom: [mm, 0], top: [mm, maxY] }[side] as [number, number];
}

/** A free line: what lies on its left, closed by the outline from its end round to its start; a closed one is a hole. */
function alongPath(points: readonly Point[], left: readonly Polygon[], reachMm: number): Polygon[] {
  const [first, last] = [points[0], points[points.length - 1]];
  const outer = left[0][0];
  const [start, end] = [alongRing(first, outer, reachMm), alongRing(last, outer, reachMm)];
  if (start === null || end === null) return difference(left, [[[...points].reverse()]]);
  const corners = outer.map((p, at) => ({ p, at }));
  const after = (at: number): number => (at - end + outer.length) % outer.length;
  const stop = after(start) === 0 ? outer.length : after(start);
  const round = corners.filter(({ at }) => after(at) > 0 && after(at) < stop).sort((a, b) => after(a.at) - after(b.at));
  return intersect(left, [[[...points, ...round.map(({ p }) => p)]]]);
}

/** Where a position lies along a ring, in corners and parts of a side, at the nearest side within reach; null off it. */
function alongRing(p: Point, ring: Ring, reachMm: number): number | null {
  let [nearest, found] = [reachMm, null as number | null];
  for (let k = 0; k < ring.length; k++) {
    const [from, to] = [ring[k], ring[(k + 1) % ring.length]];
    const side = subtract(to, from);
    const size = Math.hypot(side[0], side[1]);
    if (size < ROUNDING) continue;
    const run = dot(subtract(p, from), side) / size;
    const off = Math.abs(dot(subtract(p, from), quarterTurn(side)) / size);
    if (off >= nearest || run <= -reachMm || run >= size + reachMm) continue;
    [nearest, found] = [off, k + Math.min(1, Math.max(0, run / size))];
  }
  return found;
}
