import { leastTiles } from './bounds.ts';
import { packOutlines } from './packOutlines.ts';
import { packRectangles } from './packRectangles.ts';
import { isFromRectangle, type CutRule, type PackedTile, type WantedPiece } from './wanted.ts';

/** Pieces packed into tiles, beside what any plan would need. */
export interface Packing {
  readonly tiles: readonly PackedTile[];
  readonly lowerBound: number;
}

/** Packs pieces of one tile, a round of improving at a time; the best so far each time. The same pieces give the same plan. */
export function* packTiles(pieces: readonly WantedPiece[], rule: CutRule): Generator<Packing, Packing> {
  if (pieces.length === 0) return { tiles: [], lowerBound: 0 };
  const isRectangular = pieces.every(isFromRectangle);
  const lowerBound = leastTiles(pieces, rule, isRectangular);
  const rounds = (isRectangular ? packRectangles : packOutlines)(pieces, rule, lowerBound);
  for (let round = rounds.next(); ; round = rounds.next()) {
    if (round.done) return { tiles: round.value, lowerBound };
    yield { tiles: round.value, lowerBound };
  }
}

/** The same at once. */
export function packAll(pieces: readonly WantedPiece[], rule: CutRule): Packing {
  const rounds = packTiles(pieces, rule);
  for (let round = rounds.next(); ; round = rounds.next()) if (round.done) return round.value;
}
