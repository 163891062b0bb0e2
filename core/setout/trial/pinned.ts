import { motion, type Point } from '../../geometry/point.ts';
import { boxOf, isBox, isInside, isWithin, type Box, type Polygon } from '../../geometry/ring.ts';
import { cellShift, unitOf, type Repeat } from '../../pattern/repeat.ts';
import { spanOf, type Axis, type Span } from '../choice/axisPlacement.ts';
import type { EdgeTally } from '../tally/figures.ts';
import type { Pin } from '../choice/pins.ts';
import type { TileTable } from './tileTable.ts';

/** A pin that can be held against a trial. */
export interface PinCheck {
  readonly pin: Pin;
  /** The place it speaks of, in the frame of the trials, mm; null for an edge. */
  readonly at: Point | null;
  /** By how much a trial misses it with the origin, as it is at that place, at `x`, `y`, mm; 0 where it is kept. */
  readonly missedMm: (x: number, y: number, tiles: TileTable, edges: readonly EdgeTally[]) => number;
  /** The places of the origin in a direction where it can be kept, mm. */
  readonly critical: (axis: Axis) => readonly number[];
}

/** What a pin that can't be measured is missed by, mm. */
export const FAR_MM = 100;

/** Readies pins for the trials of one turn. Where no tile of the field lies, in an inset or a sink, none is full. */
export function pinChecks(
  pins: readonly Pin[],
  repeat: Repeat,
  turnDeg: number,
  {
    jointMm,
    toLattice,
    region,
  }: { readonly jointMm: number; readonly toLattice: (p: Point) => Point; readonly region: readonly Polygon[] },
): PinCheck[] {
  const { unturn } = motion(turnDeg, [0, 0]);
  const boxes = repeat.pieces.map(({ ring }) => boxOf(ring.map(toLattice)));
  const squared = repeat.pieces.every(({ ring }) => isBox(ring));
  return pins.map((pin): PinCheck => {
    if (pin.kind === 'noCutUnder') {
      return {
        pin,
        at: null,
        missedMm: (_x, _y, _tiles, edges) => {
          const edge = edges.find(({ owner }) => owner.id === pin.edge);
          return !edge || edge.cutMm < 1 || edge.thinnestMm >= pin.mm ? 0 : pin.mm - edge.thinnestMm;
        },
        critical: () => [],
      };
    }
    const at = unturn(pin.at);
    const part = region.findIndex((polygon) => isInside(pin.at, [polygon]));
    switch (pin.kind) {
      case 'jointUp':
      case 'jointAlong': {
        const across = repeat.upright ? 'y' : 'x';
        const axis: Axis = (pin.kind === 'jointUp') === (across === 'x') ? 'x' : 'y';
        const k = axis === 'x' ? 0 : 1;
        const spans = spansOf(repeat, axis);
        return {
          pin,
          at,
          missedMm: (x, y) => jointMiss(repeat, axis, at[k] - (k === 0 ? x : y), jointMm),
          critical: (own) => (own === axis ? spans.map(({ low }) => at[k] - low + jointMm / 2) : []),
        };
      }
      case 'crossing':
        return {
          pin,
          at,
          missedMm: (x, y) =>
            squared
              ? Math.max(jointMiss(repeat, 'x', at[0] - x, jointMm), jointMiss(repeat, 'y', at[1] - y, jointMm))
              : Math.max(0, nearestCorner(repeat, boxes, toLattice, [at[0] - x, at[1] - y]) - jointMm * Math.SQRT1_2),
          critical: (axis) =>
            spansOf(repeat, axis).flatMap(({ low, high }) => [
              at[axis === 'x' ? 0 : 1] - low + jointMm / 2,
              at[axis === 'x' ? 0 : 1] - high - jointMm / 2,
            ]),
        };
      case 'fullPiece':
        return {
          pin,
          at,
          missedMm: (x, y, tiles) => {
            const found = pieceAt(repeat, boxes, toLattice, [at[0] - x, at[1] - y]);
            return part === -1 || !found || tiles.isCut(part, ...found) ? FAR_MM : 0;
          },
          critical: () => [],
        };
      case 'wholeMotif':
        return {
          pin,
          at,
          missedMm: (x, y, tiles) => {
            const found = pieceAt(repeat, boxes, toLattice, [at[0] - x, at[1] - y]);
            if (part === -1 || !found) return FAR_MM;
            return repeat.pieces.some((_, piece) => tiles.isCut(part, piece, found[1], found[2])) ? FAR_MM : 0;
          },
          critical: () => [],
        };
    }
  });
}

const spansOf = (repeat: Repeat, axis: Axis): Span[] => {
  const seen = new Map<string, Span>();
  for (const { ring, part } of repeat.pieces) {
    if (part !== null) continue;
    const span = spanOf(boxOf(ring), axis);
    seen.set(span.low.toFixed(2), span);
  }
  return [...seen.values()];
};

/** How far a position of the repeat's own frame is from the middle of the nearest joint in a direction, mm. */
function jointMiss(repeat: Repeat, axis: Axis, off: number, jointMm: number): number {
  const period = spacing(repeat, axis, jointMm);
  return spansOf(repeat, axis).reduce((least, { low }) => Math.min(least, nearest(off - (low - jointMm / 2), period)), Infinity);
}

/** From one joint to the next in a direction, mm. */
function spacing(repeat: Repeat, axis: Axis, jointMm: number): number {
  const { low, high } = spanOf(unitOf(repeat), axis);
  return high - low + jointMm;
}

const nearest = (off: number, period: number): number => Math.abs(off - period * Math.round(off / period));

/** The piece that lies at a position of the repeat's own frame; null in a joint. */
function pieceAt(
  repeat: Repeat,
  boxes: readonly Box[],
  toLattice: (p: Point) => Point,
  at: Point,
): readonly [number, number, number] | null {
  const [u, v] = toLattice(at);
  for (const [piece, { minX, minY, maxX, maxY }] of boxes.entries())
    for (let j = Math.ceil(v - maxY); j <= Math.floor(v - minY); j++)
      for (let i = Math.ceil(u - maxX); i <= Math.floor(u - minX); i++) {
        const [dx, dy] = cellShift(repeat, i, j);
        if (isWithin(repeat.pieces[piece].ring, at[0] - dx, at[1] - dy)) return [piece, i, j];
      }
  return null;
}

/** How far the nearest corner of any piece lies from a position, mm. */
function nearestCorner(repeat: Repeat, boxes: readonly Box[], toLattice: (p: Point) => Point, at: Point): number {
  const [u, v] = toLattice(at);
  let least = Infinity;
  for (const [piece, { minX, minY, maxX, maxY }] of boxes.entries())
    for (let j = Math.floor(v - maxY); j <= Math.ceil(v - minY); j++)
      for (let i = Math.floor(u - maxX); i <= Math.ceil(u - minX); i++) {
        const [dx, dy] = cellShift(repeat, i, j);
        for (const [x, y] of repeat.pieces[piece].ring) least = Math.min(least, Math.hypot(at[0] - dx - x, at[1] - dy - y));
      }
  return least;
}
