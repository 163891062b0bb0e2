import { mostPairs } from './mostPairs.ts';
import type { WantedPiece } from './wanted.ts';

/** Of so many pieces it is asked which three fit into a tile; of more only the first. */
const MOST_IN_THREES = 320;

/** So many threes are really held against a tile; of others it is taken that they fit. */
const MOST_LOOKED_AT = 4000;

/** What may come from one tile. */
export interface Sharing {
  readonly tileMm2: number;
  /** How much of what a tile has four of a piece takes: its corners; 0 where that is not asked. */
  readonly corners: (piece: WantedPiece) => number;
  /** Whether two or three pieces may share a tile; never false where they can. */
  readonly fits: (pieces: readonly WantedPiece[]) => boolean;
}

/**
 * Pieces of which no three fit into a tile, as two of them can't share one, or they are too large or take too many corners:
 * at best they go in pairs, and only those that can share a tile make one. `all` begins with those that are hardest to place.
 */
export function pairBound(all: readonly WantedPiece[], { tileMm2, corners: cornersOf, fits }: Sharing): number {
  const pieces = all.slice(0, MOST_IN_THREES);
  const corners = pieces.map(cornersOf);
  // Pieces that are alike are asked about once.
  const kinds = new Map<string, number>();
  const kindOf = pieces.map((piece) => numbered(kinds, lookOf(piece)));
  const count = kinds.size;
  // Whether two kinds go together: 1 where they do, 2 where they do not, 0 before it is asked.
  const together = new Uint8Array(count * count);
  const canPair = (a: number, b: number): boolean => {
    const at = kindOf[a] * count + kindOf[b];
    if (together[at] === 0) together[at] = together[kindOf[b] * count + kindOf[a]] = fits([pieces[a], pieces[b]]) ? 1 : 2;
    return together[at] === 1;
  };
  const threes = new Map<number, boolean>();
  const threeFits = (...own: readonly [number, number, number]): boolean => {
    const [a, b, c] = own.map((k) => kindOf[k]).sort((p, q) => p - q);
    const key = (a * count + b) * count + c;
    const known = threes.get(key) ?? fits(own.map((k) => pieces[k]));
    threes.set(key, known);
    return known;
  };
  const kept: number[] = [];
  let looked = 0;
  for (let k = 0; k < pieces.length; k++) {
    const beside = kept.filter((m) => canPair(k, m));
    const makesThree = beside.some((a, at) =>
      beside
        .slice(at + 1)
        .some(
          (b) =>
            corners[k] + corners[a] + corners[b] <= 4 &&
            pieces[k].areaMm2 + pieces[a].areaMm2 + pieces[b].areaMm2 <= tileMm2 &&
            canPair(a, b) &&
            (looked++ > MOST_LOOKED_AT || threeFits(k, a, b)),
        ),
    );
    if (!makesThree) kept.push(k);
  }
  return kept.length - mostPairs(kept.length, (a, b) => canPair(kept[a], kept[b]));
}

/** What two pieces have in common that fit beside the same others. */
const lookOf = ({ sizeMm, areaMm2, factorySides, isRectangle, outline }: WantedPiece): string =>
  isRectangle
    ? `${sizeMm.widthMm.toFixed(2)} ${sizeMm.heightMm.toFixed(2)} ${[...factorySides].sort().join()}`
    : `${areaMm2.toFixed(1)} ${outline[0].map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`).join()}`;

function numbered(numbers: Map<string, number>, text: string): number {
  const number = numbers.get(text) ?? numbers.size;
  numbers.set(text, number);
  return number;
}
