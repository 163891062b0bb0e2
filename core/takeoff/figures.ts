/** The tiles of one product on one surface. */
export interface TileFigures {
  readonly productId: string;
  /** Which of two mirrored shapes they are, where a tile comes in both; null where there is one. */
  readonly hand: 'left' | 'right' | null;
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
  /** Area of one whole tile, or of the chips of a sheet, mm². */
  readonly tileAreaMm2: number;
  /** What a tile, or a sheet with its joints, covers by its outline, mm². */
  readonly footprintMm2: number;
}

/** What the takeoff needs to know of one planned surface. */
export interface SurfaceFigures {
  readonly surfaceId: string;
  /** The tiles it takes, by product, that of the surface first. */
  readonly tiles: readonly TileFigures[];
  /** Where tile may lie, joints included, mm². */
  readonly areaMm2: number;
  readonly jointAreaMm2: number;
  /** Joints filled with sealant: each stretch with its length and width, mm, and the edge it runs along; null round a fixture. */
  readonly sealed: readonly SealedJoint[];
  /** The thickest of its tiles, mm. */
  readonly thicknessMm: number;
  /** The longest side of what is bedded: a tile, or a chip of a sheet, mm. */
  readonly longestSideMm: number;
}

/** A stretch of joint that is filled with sealant. */
export interface SealedJoint {
  readonly edgeId: string | null;
  readonly lengthMm: number;
  readonly widthMm: number;
}
