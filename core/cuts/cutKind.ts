/** The kinds of cut a single piece can need. */
export const CUT_KINDS = ['straight', 'rip', 'taper', 'notch', 'uCut', 'hole', 'halfHole', 'curve', 'several'] as const;

/** One kind of cut. */
export type CutKind = (typeof CUT_KINDS)[number];

/** Kinds that need more than straight passes from edge to edge. */
export const SHAPED_KINDS: ReadonlySet<CutKind> = new Set(['notch', 'uCut', 'hole', 'halfHole', 'curve']);

/** Minutes one such cut takes with the tile in hand; typical, to be replaced by own pace. */
export const MINUTES: Readonly<Record<CutKind, number>> = {
  straight: 1,
  rip: 2,
  taper: 2,
  notch: 6,
  uCut: 9,
  hole: 8,
  halfHole: 7,
  curve: 12,
  several: 3,
};

/** A side of the tile in its own frame. */
export type Side = 'left' | 'right' | 'bottom' | 'top';

/** How far along a side from the corner before it, mm. */
export interface CornerMeasure {
  readonly corner: number;
  readonly mm: number;
}

/** What is set on the tape or drawn on the tile, in the tile's own frame, mm. */
export type Mark =
  /** A cut from edge to edge: kept distance from a factory edge, at both ends of the cut (bottom or left first). */
  | { readonly type: 'line'; readonly from: Side; readonly mm: readonly [number, number] }
  /** A corner taken off slantwise: how far from the corner along each side. */
  | {
      readonly type: 'corner';
      readonly sideX: 'left' | 'right';
      readonly xMm: number;
      readonly sideY: 'bottom' | 'top';
      readonly yMm: number;
    }
  /** A cut through a tile of many sides: each end along a side from the corner before it; corners count from 1, round to the left. */
  | { readonly type: 'chord'; readonly ends: readonly [CornerMeasure, CornerMeasure] }
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
  /** A round hole or the bite of one: centre from the left and bottom sides, finished diameter, core bit or null. */
  | { readonly type: 'circle'; readonly xMm: number; readonly yMm: number; readonly diameterMm: number; readonly coreMm: number | null }
  /** A box cut out within the piece: from the left and bottom sides. */
  | { readonly type: 'window'; readonly xMm: number; readonly yMm: number; readonly widthMm: number; readonly heightMm: number }
  /** A free line through positions from the left and bottom sides. */
  | { readonly type: 'path'; readonly points: readonly (readonly [number, number])[] };

/** Core bits that are to be had, mm. */
const CORE_BITS_MM = [6, 8, 10, 12, 14, 16, 18, 20, 22, 25, 28, 30, 32, 35, 38, 40, 44, 50, 55, 60, 65, 68, 75, 82, 90, 100, 110, 120, 127];

/** The next core bit that clears a diameter in mm; null when the hole must be sawn or ground. */
export const coreBitFor = (diameterMm: number): number | null => CORE_BITS_MM.find((bit) => bit >= diameterMm - 0.05) ?? null;
