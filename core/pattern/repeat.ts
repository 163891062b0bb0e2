import type { Point } from '../geometry/point.ts';
import { boxOf, ringArea, type Box, type Ring } from '../geometry/ring.ts';
import type { Size } from '../tile/product.ts';
import type { Sheet } from '../tile/sheet/sheet.ts';
import type { TileShape, TileShapeKind } from '../tile/shape.ts';

/** One piece of a repeat, where it lies in the cell. */
export interface RepeatPiece {
  /** Outline in the cell, mm, counter-clockwise. */
  readonly ring: Ring;
  /** The corner of the tile's own box in the cell, mm. */
  readonly corner: Point;
  /** How the tile lies: the way its width runs, degrees from +x. */
  readonly turnDeg: number;
  /** The course within the cell, counted from 0. */
  readonly course: number;
  /** Which tile of the pattern it is: null for the main one, else the name of a part, such as the dot. */
  readonly part: string | null;
  /** Which of two mirrored shapes it is; left out where the tile comes in one. A tile is never flipped, so both are bought. */
  readonly hand?: 'left' | 'right';
  /** The colour of a chip of a sheet, as #rrggbb; left out where the tile has one colour. */
  readonly colour?: string;
  /** The tile it is cut from, mm; left out where the piece is a tile as bought. */
  readonly cutFrom?: Size;
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
  /** The sheet that a cell is; its pieces are the chips. Left out where pieces are tiles. */
  readonly sheet?: Sheet;
  /** Where one sheet ends, in the cell, mm. */
  readonly sheetEdges?: readonly Ring[];
  /** The turn it was given after it was made, degrees; none where left out. */
  readonly turnedDeg?: number;
}

/** Everything a kind may use: the real size and outline of the tile, those that go with it, and the joint, mm. */
export interface Module extends Size {
  readonly jointMm: number;
  /** The outline of the tile; a rectangle where left out. */
  readonly shape?: TileShape;
  /** Sizes of the chosen tiles of the other parts; one that is left out has the size that fits. */
  readonly parts?: Readonly<Record<string, Size>>;
}

/** The box of what rules of setting out speak of: the first piece, or the block it belongs to. */
export const unitOf = ({ unit, pieces }: Repeat): Box => unit ?? boxOf(pieces[0].ring);

/** A piece under this share of the largest is one that fills in between, such as a dot. */
const FILLS_IN_SHARE = 0.3;

/** Whether each piece is a tile that the pattern is made of, and none that only fills in between. */
export function areMain({ pieces }: Pick<Repeat, 'pieces'>): boolean[] {
  const areas = pieces.map(({ ring }) => ringArea(ring));
  const largest = Math.max(...areas);
  return areas.map((area) => area >= FILLS_IN_SHARE * largest);
}

/** Where a cell's corner lies in the pattern's own frame. */
export function cellShift({ vectors: [a, b] }: Repeat, i: number, j: number): Point {
  return [i * a[0] + j * b[0], i * a[1] + j * b[1]];
}

/** The area of one cell in mm². */
export const cellArea = ({ vectors: [a, b] }: Repeat): number => Math.abs(a[0] * b[1] - a[1] * b[0]);

/** The outline of the tile, which a kind that takes no other relies on; throws where it is another. */
export function shapeOf<K extends TileShapeKind>({ shape = { kind: 'rectangle' } }: Module, kind: K): Extract<TileShape, { kind: K }> {
  if (shape.kind !== kind) throw new Error(`the pattern lays ${kind} tiles: got ${shape.kind}`);
  return shape as Extract<TileShape, { kind: K }>;
}
