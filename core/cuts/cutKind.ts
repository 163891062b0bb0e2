import { HAIR_MM } from '../tolerances.ts';
import type { FlatMeasure } from './flats.ts';
import type { CutKind } from '../tile/cutKinds.ts';

/** Kinds that need more than straight passes from edge to edge. */
export const SHAPED_KINDS: ReadonlySet<CutKind> = new Set(['notch', 'uCut', 'hole', 'halfHole', 'curve']);

/** A side of the tile in its own frame. */
export type Side = 'left' | 'right' | 'bottom' | 'top';

/** A place on a side of the tile's box: so far from its left or bottom end, mm. */
export interface SideMeasure {
  readonly side: Side;
  readonly mm: number;
}

/** What a tile has at a side instead of an edge. */
export type TileEnd = 'point' | 'rim';

/** Where another cut takes away what a mark is measured from, it is set before any cut. */
interface SetBefore {
  readonly beforeCuts?: boolean;
}

/** What is set on the tape or drawn on the tile, in the tile's own frame, mm. */
export type Mark =
  /**
   * A cut across the tile: kept distance from a factory edge, at both sides of the tile (bottom or left first).
   * A tile of many sides may have no edge there, but a
   * point or a round rim, from which it is measured then.
   */
  | ({ readonly type: 'line'; readonly from: Side; readonly end?: TileEnd; readonly mm: readonly [number, number] } & SetBefore)
  /** A slanted cut between two sides that meet: how far from their corner along each; what is kept, the rest or the corner. */
  | ({
      readonly type: 'corner';
      readonly keeps: 'rest' | 'corner';
      readonly sideX: 'left' | 'right';
      readonly xMm: number;
      readonly sideY: 'bottom' | 'top';
      readonly yMm: number;
    } & SetBefore)
  /** A cut through a tile of many sides: each end along one of its flats; what is kept lies to the left. */
  | ({ readonly type: 'chord'; readonly ends: readonly [FlatMeasure, FlatMeasure] } & SetBefore)
  /** A corner notched out square: how much of each side goes; from a side that is cut first where it says so. */
  | {
      readonly type: 'notch';
      readonly afterCut: boolean;
      readonly sideX: 'left' | 'right';
      readonly xMm: number;
      readonly sideY: 'bottom' | 'top';
      readonly yMm: number;
    }
  /** A slot open to one side: where it starts along that side (from left or bottom), how wide, how deep. */
  | {
      readonly type: 'slot';
      readonly afterCut: boolean;
      readonly side: Side;
      readonly startMm: number;
      readonly widthMm: number;
      readonly depthMm: number;
    }
  /** A round bite whose centre lies outside the tile: where it begins and ends, and its radius. */
  | ({ readonly type: 'bite'; readonly ends: readonly [SideMeasure, SideMeasure]; readonly radiusMm: number } & SetBefore)
  /** A round hole or the bite of one: centre from the left and bottom sides, finished diameter, core bit or null. */
  | ({
      readonly type: 'circle';
      readonly xMm: number;
      readonly yMm: number;
      readonly diameterMm: number;
      readonly coreMm: number | null;
    } & SetBefore)
  /** A box cut out within the piece: from the left and bottom sides. */
  | ({
      readonly type: 'window';
      readonly xMm: number;
      readonly yMm: number;
      readonly widthMm: number;
      readonly heightMm: number;
    } & SetBefore)
  /** A free line through positions from the left and bottom sides; the sides it begins and ends on, null within the tile. */
  | ({
      readonly type: 'path';
      readonly points: readonly (readonly [number, number])[];
      readonly from: Side | null;
      readonly to: Side | null;
    } & SetBefore);

/** Core bits that are to be had, mm (makers' lists of diamond bits). */
export const CORE_BITS_MM: readonly number[] = [
  6, 8, 10, 12, 14, 16, 18, 20, 22, 25, 28, 30, 32, 35, 38, 40, 44, 50, 55, 60, 65, 68, 75, 82, 90, 100, 110, 120, 127,
];

/** The smallest of some core bits that clears a diameter in mm; null when the hole must be sawn or ground. */
export function coreBitFor(diameterMm: number, bitsMm: readonly number[] = CORE_BITS_MM): number | null {
  const enough = bitsMm.filter((bit) => bit >= diameterMm - HAIR_MM);
  return enough.length === 0 ? null : Math.min(...enough);
}
