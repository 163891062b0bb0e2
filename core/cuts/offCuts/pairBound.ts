import { mostPairs } from './mostPairs.ts';
import type { WantedPiece } from './wanted.ts';

/** Of so many pieces it is asked which three fit into a tile; of more only the first. */
const MOST_IN_THREES = 320;

/** So many threes are really held against a tile. */
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
  // Pieces that are alike are asked about once.
  const numbers = new Map<string, number>();
  const kindOf = pieces.map((piece) => numbered(numbers, lookOf(piece)));
  const kinds = Array.from(numbers.values(), (kind) => pieces[kindOf.indexOf(kind)]);
  const corners = kinds.map(cornersOf);
  const count = kinds.length;
  // Whether two kinds go together: 1 where they do, 2 where they do not, 0 before it is asked.
  const together = new Uint8Array(count * count);
  const canPair = (a: number, b: number): boolean => {
    const at = a * count + b;
    if (together[at] === 0) together[at] = together[b * count + a] = fits([kinds[a], kinds[b]]) ? 1 : 2;
    return together[at] === 1;
  };
  const threes = new Map<number, boolean>();
  let looked = 0;
  const threeFits = (...own: readonly [number, number, number]): boolean => {
    const [a, b, c] = own.toSorted((p, q) => p - q);
    const key = (a * count + b) * count + c;
    // Of others than were looked at it is taken that they fit.
    const known = threes.get(key) ?? (looked++ >= MOST_LOOKED_AT || fits(own.map((kind) => kinds[kind])));
    threes.set(key, known);
    return known;
  };
  const keptOf = new Int32Array(count);
  const makesThree = (kind: number): boolean => {
    const beside = kinds.flatMap((_, other) => (keptOf[other] > 0 && canPair(kind, other) ? [other] : []));
    return beside.some((a, at) => {
      for (let k = keptOf[a] > 1 ? at : at + 1; k < beside.length; k++) {
        const b = beside[k];
        if (corners[kind] + corners[a] + corners[b] > 4) continue;
        if (kinds[kind].areaMm2 + kinds[a].areaMm2 + kinds[b].areaMm2 > tileMm2) continue;
        if (canPair(a, b) && threeFits(kind, a, b)) return true;
      }
      return false;
    });
  };
  const kept = kindOf.filter((kind) => {
    if (makesThree(kind)) return false;
    keptOf[kind]++;
    return true;
  });
  return kept.length - mostPairs(kept, canPair);
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
