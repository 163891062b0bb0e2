/** Where a cut piece comes from. */
export interface CutSource {
  /** Number of the tile opened for cuts, from 1. */
  readonly tile: number;
  /** Label of the piece whose off-cut is used; null when a tile is opened. */
  readonly offCutOf: string | null;
}
