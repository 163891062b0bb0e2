import type { Point } from '../geometry/point.ts';

/** Where a cut piece comes from. */
export interface CutSource {
  /** Number of the tile opened for cuts, from 1, over all surfaces that are planned together. */
  readonly tile: number;
  /** Label of the piece that is cut from the tile before it; null when a tile is opened. */
  readonly offCutOf: string | null;
  /** The surface of that piece. */
  readonly ofSurface: string | null;
  /** Where in the tile the piece is cut: the near corner of its box from that of the tile's, as it lies turned, mm. */
  readonly at: Point;
  /** How the piece is turned in the tile against how it lies in its own, degrees; it is never flipped. */
  readonly turnDeg: number;
  /** Where the blank comes from that it is cut from, which may be nothing in words; left out where a tile is opened. */
  readonly blank?: string;
  /** It is a sheet that is opened, of a mosaic: counted surface by surface. */
  readonly isSheet?: true;
}
