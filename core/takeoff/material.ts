import type { Packs } from '../money/packs.ts';

/** One line of the order. */
export interface Material<How = object> {
  readonly item: 'tiles' | 'adhesive' | 'grout' | 'sealant';
  /** The product, for tiles; null for what goes with them. */
  readonly productId: string | null;
  readonly quantity: number;
  readonly unit: 'piece' | 'sheet' | 'kg' | 'ml';
  readonly packs: Packs;
  readonly cost: number;
  /** Every figure the quantity came from. */
  readonly how: How;
}

/** The tiles of one product on one surface. */
export interface TileFigures {
  readonly productId: string;
  /** Tiles, or sheets of a mosaic, opened: whole ones and those the cuts are made from. */
  readonly opened: number;
  readonly lowerBound: number;
  /** Tiles, or sheets, laid whole. */
  readonly wholeTiles: number;
  /** Pieces laid whole: tiles, or chips. */
  readonly whole: number;
  /** Pieces a tile is: the chips of a sheet, else 1. */
  readonly piecesPerTile: number;
  readonly straightCuts: number;
  readonly shapedCuts: number;
  /** Area of the pieces laid, mm². */
  readonly laidAreaMm2: number;
  /** Area of one whole tile, mm². */
  readonly tileAreaMm2: number;
}

/** What the takeoff needs to know of one planned surface. */
export interface SurfaceFigures {
  readonly surfaceId: string;
  /** The tiles it takes, by product, that of the surface first. */
  readonly tiles: readonly TileFigures[];
  /** Where tile may lie, joints included, mm². */
  readonly areaMm2: number;
  readonly jointAreaMm2: number;
  /** Joints filled with sealant: each stretch with its length and width, mm. */
  readonly sealed: readonly { readonly lengthMm: number; readonly widthMm: number }[];
  /** The thickest of its tiles, mm. */
  readonly thicknessMm: number;
  readonly longestSideMm: number;
}
