import type { Point } from '../geometry/point.ts';
import { boxOf, type Box, type Ring } from '../geometry/ring.ts';
import type { Size } from '../tile/product.ts';

/** One piece of a repeat, where it lies in the cell. */
export interface RepeatPiece {
  /** Outline in the cell, mm, counter-clockwise. */
  readonly ring: Ring;
  /** The tile's own bottom-left corner in the cell, mm. */
  readonly corner: Point;
  /** How the tile lies: its width runs along +x (0) or along +y (90). */
  readonly turnDeg: 0 | 90;
  /** The course within the cell, counted from 0. */
  readonly course: number;
}

/** What is laid again and again: two vectors and the pieces of one cell. */
export interface Repeat {
  readonly vectors: readonly [Point, Point];
  readonly pieces: readonly RepeatPiece[];
  /** Courses in one step along the second vector. */
  readonly coursesPerCell: number;
  /** Whether courses run up the drawing instead of across it. */
  readonly upright: boolean;
  /** What rules of setting out speak of where that is more than the first piece: a block of strips. */
  readonly unit?: Box;
}

/** Everything a kind may use: the real size of the tile and the joint, mm. */
export interface Module extends Size {
  readonly jointMm: number;
}

/** The box of what rules of setting out speak of: the first piece, or the block it belongs to. */
export const unitOf = ({ unit, pieces }: Repeat): Box => unit ?? boxOf(pieces[0].ring);

/** The area of one cell in mm². */
export const cellArea = ({ vectors: [a, b] }: Repeat): number => Math.abs(a[0] * b[1] - a[1] * b[0]);
