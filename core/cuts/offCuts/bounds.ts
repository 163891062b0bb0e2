import { ROUNDED_OFTEN, ROUNDING, SAW_MM } from '../../tolerances.ts';
import { boxOf, ringArea } from '../../geometry/ring.ts';
import type { Size } from '../../tile/product.ts';
import { canShare } from './canShare.ts';
import { byFixedPlaces } from './fixedPlaces.ts';
import { pairBound } from './pairBound.ts';
import { isFromRectangle, tileSize, type CutRule, type WantedPiece } from './wanted.ts';

/**
 * So many tiles are needed at least, whatever the plan: the best of several proofs, or the first that proves `enough`. Each
 * gives every piece a weight of which no tile can hold more than one in all.
 */
export function leastTiles(pieces: readonly WantedPiece[], rule: CutRule, enough = Infinity): number {
  if (pieces.length === 0) return 0;
  let least = 1;
  for (const sum of proofs(pieces, rule)) {
    least = Math.max(least, Math.ceil(sum - ROUNDED_OFTEN));
    if (least >= enough) break;
  }
  return least;
}

/** The proofs, those that are worked out soonest first. */
function* proofs(pieces: readonly WantedPiece[], rule: CutRule): Generator<number> {
  yield byArea(pieces);
  yield byFixedPlaces(pieces, rule);
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
  const shares = pieces.map(({ areaMm2 }) => Math.max(0, areaMm2 / tile - ROUNDED_OFTEN));
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

/** A rectangle has four corners: a piece takes each of which it has both sides as factory edges, and the corner itself. */
function cornersOf({ factorySides, outline: [outer] }: WantedPiece): number {
  const { minX, minY, maxX, maxY } = boxOf(outer);
  const has = new Set(factorySides);
  const at = { left: minX, right: maxX, bottom: minY, top: maxY };
  const reaches = (x: number, y: number): boolean => outer.some((p) => Math.abs(p[0] - x) < SAW_MM && Math.abs(p[1] - y) < SAW_MM);
  return (['left', 'right'] as const).reduce(
    (sum, x) => sum + (['bottom', 'top'] as const).filter((y) => has.has(x) && has.has(y) && reaches(at[x], at[y])).length,
    0,
  );
}

/** The same for what is cut from rectangles: those that take most corners first. */
function byPairs(pieces: readonly WantedPiece[], rule: CutRule): number {
  const size = tileSize(pieces[0]);
  const hardest = [...pieces].sort((a, b) => Math.min(2, cornersOf(b)) - Math.min(2, cornersOf(a)) || b.areaMm2 - a.areaMm2);
  const fits = (own: readonly WantedPiece[]): boolean => canShare(own, size, rule);
  return pairBound(hardest, { tileMm2: size.widthMm * size.heightMm + 1, corners: cornersOf, fits });
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
    return Math.abs(parts - Math.round(parts)) < ROUNDING ? share : Math.floor(parts) / k;
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
      .filter((way) => way.widthMm <= widthMm + SAW_MM && way.heightMm <= heightMm + SAW_MM)
      .map((way) => [(way.widthMm + kerfMm - SAW_MM) / wide, (way.heightMm + kerfMm - SAW_MM) / high] as const)
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
