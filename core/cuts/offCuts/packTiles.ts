import { leastTiles } from './bounds.ts';
import { packOutlines } from './packOutlines.ts';
import { packRectangles } from './packRectangles.ts';
import { packShaped } from './packShaped.ts';
import { isFromRectangle, type CutRule, type PackedTile, type WantedPiece } from './wanted.ts';

/** Pieces packed into tiles, beside what any plan would need. */
export interface Packing {
  readonly tiles: readonly PackedTile[];
  readonly lowerBound: number;
}

/** Packs pieces of one tile, a round of improving at a time; the best so far each time. The same pieces give the same plan; `least` rounds, or the usual ones where those are more. */
export function* packTiles(pieces: readonly WantedPiece[], rule: CutRule, least = 0): Generator<Packing, Packing> {
  if (pieces.length === 0) return { tiles: [], lowerBound: 0 };
  const rounds = packerFor(pieces)(pieces, rule);
  const first = rounds.next().value;
  const lowerBound = leastTiles(pieces, rule, first.length);
  let tiles = first;
  for (let k = roundsFor(pieces.length, least); k > 0 && tiles.length > lowerBound; k--) {
    yield { tiles, lowerBound };
    tiles = rounds.next().value;
  }
  return { tiles, lowerBound };
}

/** Rectangles go by their boxes, what is cut from rectangles by both, all else by its outline. */
function packerFor(pieces: readonly WantedPiece[]): typeof packRectangles {
  if (!pieces.every(isFromRectangle)) return packOutlines;
  return pieces.every(({ isRectangle }) => isRectangle) ? packRectangles : packShaped;
}

/** Rounds over all pieces at most: so many are looked at in some seconds. */
const MOST_WORK = 1_000_000;

/**
 * So often tiles of so many pieces are emptied and packed anew: less often where there are many. `least` where that is
 * more, but no more than some seconds' worth.
 */
export const roundsFor = (pieces: number, least = 0): number =>
  Math.max(Math.min(150, Math.floor(6000 / pieces)), Math.min(least, Math.floor(MOST_WORK / pieces)));

/** The same at once. */
export function packAll(pieces: readonly WantedPiece[], rule: CutRule, least = 0): Packing {
  const rounds = packTiles(pieces, rule, least);
  for (let round = rounds.next(); ; round = rounds.next()) if (round.done) return round.value;
}
