import { mostPairs } from './mostPairs.ts';
import type { WantedPiece } from './wanted.ts';

/** Of so many pieces it is asked which three fit into a tile; of more only the first. */
const MOST_IN_THREES = 320;

/** More kinds than pieces that are asked about. */
const MOST_KINDS = 1024;

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
  const answers = new Map<number, boolean>();
  const ask = (key: number, own: readonly number[]): boolean => {
    const known = answers.get(key) ?? fits(own.map((k) => pieces[k]));
    answers.set(key, known);
    return known;
  };
  // Kinds are counted from 1, so that a pair is never taken for a three.
  const pairFits = (k: number, m: number): boolean => {
    const [a, b] = [kindOf[k] + 1, kindOf[m] + 1];
    return ask(a < b ? a * MOST_KINDS + b : b * MOST_KINDS + a, [k, m]);
  };
  const threeFits = (...own: readonly [number, number, number]): boolean => {
    const [a, b, c] = own.map((k) => kindOf[k] + 1).sort((p, q) => p - q);
    return ask((a * MOST_KINDS + b) * MOST_KINDS + c, own);
  };
  const share = pieces.map((_, k) => pieces.map((__, m) => m < k && pairFits(k, m)));
  const canPair = (a: number, b: number): boolean => share[Math.max(a, b)][Math.min(a, b)];
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
