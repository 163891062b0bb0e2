import { ringArea } from '../../geometry/ring.ts';
import type { Size } from '../../tile/product.ts';
import { canShare } from './canShare.ts';
import { mostPairs } from './mostPairs.ts';
import { isFromRectangle, tileSize, type CutRule, type WantedPiece } from './wanted.ts';

/** Sizes are taken to be smaller by this, mm, so that a hair never proves anything. */
const HAIR_MM = 0.1;

/**
 * So many tiles are needed at least, whatever the plan: the best of several proofs, or the first that proves `enough`. Each
 * gives every piece a weight of which no tile can hold more than one in all.
 */
export function leastTiles(pieces: readonly WantedPiece[], rule: CutRule, enough = Infinity): number {
  if (pieces.length === 0) return 0;
  let least = 1;
  for (const sum of proofs(pieces, rule)) {
    least = Math.max(least, Math.ceil(sum - 1e-6));
    if (least >= enough) break;
  }
  return least;
}

/** The proofs, those that are worked out soonest first. */
function* proofs(pieces: readonly WantedPiece[], rule: CutRule): Generator<number> {
  yield byArea(pieces);
  if (!pieces.every(isFromRectangle)) return;
  yield pieces.reduce((sum, piece) => sum + cornersOf(piece), 0) / 4;
  yield* dualFeasible(pieces, rule);
  yield byPairs(pieces, rule);
}

/**
 * Large pieces by area: one over half a tile has a tile to itself among such; by the classes of Martello and Toth
 * (Knapsack Problems, 1990, 8.3), with pieces over `1 - share` counted whole and those under `share` not at all.
 */
function byArea(pieces: readonly WantedPiece[]): number {
  const tile = Math.abs(ringArea(pieces[0].tile));
  const shares = pieces.map(({ areaMm2 }) => Math.max(0, areaMm2 / tile - 1e-6));
  // Smallest first, with what all from each on come to: every `share` is a place in this row.
  const sorted = [...shares].sort((a, b) => a - b);
  const fromOn = new Float64Array(sorted.length + 1);
  for (let k = sorted.length - 1; k >= 0; k--) fromOn[k] = fromOn[k + 1] + sorted[k];
  let [most, low, high] = [fromOn[0], 0, sorted.length];
  for (; low < sorted.length && sorted[low] <= 0.5; low++) {
    if (low > 0 && sorted[low] === sorted[low - 1]) continue;
    while (high > 0 && sorted[high - 1] > 1 - sorted[low]) high--;
    most = Math.max(most, fromOn[low] - fromOn[high] + (sorted.length - high));
  }
  return Math.max(most, sorted.length - low);
}

/** A rectangle has four corners: two sides that meet and have to be factory edges take one, three take two, four the tile. */
function cornersOf({ factorySides }: WantedPiece): number {
  const has = new Set(factorySides);
  return (['left', 'right'] as const).reduce(
    (sum, x) => sum + (['bottom', 'top'] as const).filter((y) => has.has(x) && has.has(y)).length,
    0,
  );
}

/** Of so many pieces it is asked which three fit into a tile; of more only the largest. */
const MOST_IN_THREES = 320;

/** More kinds than pieces that are asked about. */
const MOST_KINDS = 1024;

/** So many threes are really held against a tile; of others it is taken that they fit. */
const MOST_LOOKED_AT = 4000;

/**
 * Pieces of which no three fit into a tile, as two of them can't share one, or they are too large or take too many corners:
 * at best they go in pairs, and only those that can share a tile make one.
 */
function byPairs(all: readonly WantedPiece[], rule: CutRule): number {
  const size = tileSize(all[0]);
  const tileMm2 = size.widthMm * size.heightMm + 1;
  const pieces = [...all]
    .sort((a, b) => Math.min(2, cornersOf(b)) - Math.min(2, cornersOf(a)) || b.areaMm2 - a.areaMm2)
    .slice(0, MOST_IN_THREES);
  const corners = pieces.map(cornersOf);
  // Pieces that are alike are asked about once.
  const kinds = new Map<string, number>();
  const kindOf = pieces.map((piece) => numbered(kinds, lookOf(piece)));
  const answers = new Map<number, boolean>();
  const ask = (key: number, own: readonly number[]): boolean => {
    const known =
      answers.get(key) ??
      canShare(
        own.map((k) => pieces[k]),
        size,
        rule,
      );
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

/** A function that never lets what fits beside each other within 1 count for more than 1. */
type Dual = (share: number) => number;

/** Counts what is over `1 - least` whole, what is under `least` not at all. */
const cutOff =
  (least: number): Dual =>
  (share) =>
    share > 1 - least ? 1 : share < least ? 0 : share;

/** Rounds to parts of `1 / k` (Fekete and Schepers, 2001, u^(k)). */
const rounded =
  (k: number): Dual =>
  (share) => {
    const parts = share * (k + 1);
    return Math.abs(parts - Math.round(parts)) < 1e-9 ? share : Math.floor(parts) / k;
  };

/**
 * Boxes by width and height, each through a dual feasible function: the products add up to no more than 1 in a tile
 * (Fekete and Schepers, A general framework for bounds for higher-dimensional orthogonal packing problems, 2004). A piece
 * that may lie either way counts the lesser way; only pieces that fill their box count.
 */
function* dualFeasible(pieces: readonly WantedPiece[], { kerfMm, directional }: CutRule): Generator<number> {
  const { widthMm, heightMm } = tileSize(pieces[0]);
  const [wide, high] = [widthMm + kerfMm, heightMm + kerfMm];
  // Boxes that are alike are weighed once.
  const alike = new Map<string, { readonly ways: readonly (readonly [number, number])[]; count: number }>();
  for (const { isRectangle, sizeMm, factorySides } of pieces) {
    if (!isRectangle) continue;
    const key = `${sizeMm.widthMm.toFixed(3)} ${sizeMm.heightMm.toFixed(3)} ${factorySides.length === 4}`;
    const own = alike.get(key) ?? { ways: sharesOf(sizeMm, factorySides.length), count: 0 };
    own.count++;
    alike.set(key, own);
  }
  const boxes = [...alike.values()];
  function sharesOf(size: Size, sides: number): readonly (readonly [number, number])[] {
    const ways = directional ? [size] : [size, { widthMm: size.heightMm, heightMm: size.widthMm }];
    return ways
      .filter((way) => way.widthMm <= widthMm + HAIR_MM && way.heightMm <= heightMm + HAIR_MM)
      .map((way) => [(way.widthMm + kerfMm - HAIR_MM) / wide, (way.heightMm + kerfMm - HAIR_MM) / high] as const)
      .slice(0, sides === 4 ? 1 : 2);
  }
  const duals: Dual[] = [
    (share) => share,
    ...[0.1, 0.15, 0.2, 0.25, 0.3, 1 / 3, 0.35, 0.4, 0.45, 0.5].map(cutOff),
    ...[1, 2, 3, 4, 5].map(rounded),
  ];
  // Every way of every box goes through every function once.
  const through = duals.map((dual) => boxes.map(({ ways }) => ways.map(([w, h]) => [dual(w), dual(h)] as const)));
  for (const f of through)
    for (const g of through) {
      let sum = 0;
      for (let k = 0; k < boxes.length; k++) {
        // What is too large for the tile has one to itself.
        let least = 1;
        for (let way = 0; way < f[k].length; way++) least = Math.min(least, f[k][way][0] * g[k][way][1]);
        sum += least * boxes[k].count;
      }
      yield sum;
    }
}
