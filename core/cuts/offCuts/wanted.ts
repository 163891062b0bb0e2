import { boxOf, isBox, ringArea, type Polygon, type Ring } from '../../geometry/ring.ts';
import type { Size } from '../../tile/product.ts';
import type { Side } from '../cutKind.ts';
import type { CutPiece } from '../cutPiece.ts';

/** A cut piece that is to come out of a tile, on whichever surface it is laid. */
export interface WantedPiece {
  readonly surfaceId: string;
  readonly label: string;
  /** In the frame of its own tile, mm. */
  readonly outline: Polygon;
  readonly tile: Ring;
  readonly sizeMm: Size;
  readonly areaMm2: number;
  /** Sides of its box that have to be factory edges of whatever it is cut from. */
  readonly factorySides: readonly Side[];
  /** Whether its box is all of it. */
  readonly isRectangle: boolean;
  /** Whether it is a strip, of which a tile is parted into several even where no off-cut is kept. */
  readonly isStrip: boolean;
}

/** A piece as it is wanted on a surface. */
export const wantedFrom = (surfaceId: string, { label, inTile, tile, sizeMm, areaMm2, factorySides, of }: CutPiece): WantedPiece => ({
  surfaceId,
  label,
  outline: inTile,
  tile,
  sizeMm,
  areaMm2,
  factorySides,
  isRectangle: inTile.length === 1 && Math.abs(ringArea(inTile[0]) - sizeMm.widthMm * sizeMm.heightMm) < 1,
  isStrip: of === 'strip',
});

/** A piece where it is cut from a tile. */
export interface PlacedPiece {
  readonly piece: WantedPiece;
  /** As it lies in the tile, in the tile's frame, mm: turned, never flipped. */
  readonly outline: Polygon;
  /** The near corner of its box, mm. */
  readonly at: readonly [number, number];
  readonly turnDeg: number;
}

/** The pieces that are cut from one tile, in the order in which they are cut. */
export type PackedTile = readonly PlacedPiece[];

/** What is asked of a cutting plan. */
export interface CutRule {
  /** Width that the saw takes between two pieces, mm. */
  readonly kerfMm: number;
  /** Whether the face has a way up, so that no piece may be turned. */
  readonly directional: boolean;
}

/** Size of the tile that pieces are cut from. */
export function tileSize({ tile }: WantedPiece): Size {
  const { minX, minY, maxX, maxY } = boxOf(tile);
  return { widthMm: maxX - minX, heightMm: maxY - minY };
}

/** Whether pieces are cut from a rectangle. */
export const isFromRectangle = ({ tile }: WantedPiece): boolean => isBox(tile);
