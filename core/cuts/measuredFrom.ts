import { SAW_MM } from '../tolerances.ts';
import { distanceToStretch } from '../geometry/distanceToStretch.ts';
import type { Point } from '../geometry/point.ts';
import { boxOf, type Box, type Polygon, type Ring } from '../geometry/ring.ts';
import type { Mark, Side } from './cutKind.ts';
import { flatsOf } from './flats.ts';
import { rebuildPiece } from './rebuildPiece.ts';

/** A tape finds an edge that lies so near to where it was, mm. */
const THERE_MM = SAW_MM;

/** A side of which less is left is no edge to set a fence to, mm. */
const EDGE_LEFT_MM = 20;

/** Marks in the order of their cuts, each set before any cut where an earlier one takes away what it is measured from. */
export const setInTime = (marks: readonly Mark[], tile: Ring): Mark[] =>
  marks.map((mark, k) => {
    if (mark.type === 'notch' || mark.type === 'slot') return mark;
    const own: Mark = { ...mark };
    Reflect.deleteProperty(own, 'beforeCuts');
    return k === 0 || isThere(own, tile, rebuildPiece(marks.slice(0, k), tile)) ? own : { ...own, beforeCuts: true };
  });

/** Whether all that a mark is measured from is still there when some cuts of the tile have been made. */
function isThere(mark: Mark, tile: Ring, left: readonly Polygon[]): boolean {
  const rings = left.flat();
  const box = boxOf(tile);
  if (mark.type === 'line' && Math.abs(mark.mm[0] - mark.mm[1]) < THERE_MM) return mark.end !== undefined || hasSide(rings, box, mark.from);
  return feetOf(mark, tile, box).every((foot) =>
    rings.some((ring) => ring.some((from, k) => distanceToStretch(foot, from, ring[(k + 1) % ring.length]) < THERE_MM)),
  );
}

/** Whether enough of a side of the tile is left for a fence or a tape. */
function hasSide(rings: readonly Ring[], { minX, maxX, minY, maxY }: Box, side: Side): boolean {
  const k = side === 'left' || side === 'right' ? 0 : 1;
  const at = { left: minX, right: maxX, bottom: minY, top: maxY }[side];
  const on = (p: Point): boolean => Math.abs(p[k] - at) < THERE_MM;
  const mm = rings.flatMap((ring) =>
    ring.map((p, n) => {
      const next = ring[(n + 1) % ring.length];
      return on(p) && on(next) ? Math.abs(next[1 - k] - p[1 - k]) : 0;
    }),
  );
  return Math.max(0, ...mm) >= Math.min(EDGE_LEFT_MM, (k === 0 ? maxY - minY : maxX - minX) / 2);
}

/** Where the tape is hooked for a mark: places on the outline of the whole tile. */
function feetOf(mark: Mark, tile: Ring, { minX, maxX, minY, maxY }: Box): Point[] {
  const cornerOf = (side: Side, low: boolean): Point =>
    side === 'left' || side === 'right'
      ? [side === 'left' ? minX : maxX, low ? minY : maxY]
      : [low ? minX : maxX, side === 'bottom' ? minY : maxY];
  const square = ([x, y]: Point): Point[] => [
    [minX, y],
    [x, minY],
  ];
  switch (mark.type) {
    case 'line':
      return mark.end === undefined ? [cornerOf(mark.from, true), cornerOf(mark.from, false)] : [];
    case 'corner':
      return [[mark.sideX === 'left' ? minX : maxX, mark.sideY === 'bottom' ? minY : maxY]];
    case 'chord': {
      const flats = flatsOf(tile) ?? [];
      return mark.ends.flatMap(({ flat }) => flats.filter(({ name }) => name === flat).map(({ from }) => from));
    }
    case 'bite':
      return mark.ends.map(({ side }) => cornerOf(side, true));
    case 'circle':
    case 'window':
      return square([mark.xMm, mark.yMm]);
    case 'path':
      return mark.points.flatMap((p, k) => {
        const side = k === 0 ? mark.from : k === mark.points.length - 1 ? mark.to : null;
        return side ? [cornerOf(side, true)] : square(p);
      });
    case 'notch':
    case 'slot':
      return [];
  }
}
