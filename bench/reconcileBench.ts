import { distance } from '@azulejo/core/geometry/point';
import { readingNoise, seededNumbers } from '@azulejo/core/geometry/seededNumbers';
import { cornersOf } from '@azulejo/core/surface/reconcile/reconcileWalls';
import { measureRoom, nameOutlier, skewRoom } from '@azulejo/core/surface/reconcile/trialRooms';
import { median } from './timing.ts';

const ROOMS = 400;
const SIGMA_MM = 1.5;
const SLIP_MM = 30;

/** How well made-up skew rooms come out of noisy readings. */
export interface ReconcileReport {
  /** Mean over rooms of the worst distance between corners, off by so many mm: with just enough diagonals, and with all. */
  readonly fewMm: number;
  readonly allMm: number;
  /** Share of rooms where a slip of 30 mm was named, and named alone. */
  readonly namedShare: number;
  /** Reconciling one room of six corners with all its diagonals, ms. */
  readonly solveMs: number;
}

/** Measures rooms with noise, few and many diagonals, and hides a slip in each. */
export function benchReconciling(): ReconcileReport {
  const seeds = Array.from({ length: ROOMS }, (_, seed) => seed);
  const meanOf = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;
  const errorOf = (seed: number, diagonals: 'few' | 'all'): number => {
    const room = skewRoom(3000 + seed, 6);
    const corners = cornersOf(measureRoom(room, readingNoise(seededNumbers(seed), SIGMA_MM), diagonals));
    return Math.max(...room.flatMap((p, a) => room.map((q, b) => Math.abs(distance(corners[a], corners[b]) - distance(p, q)))));
  };
  return {
    fewMm: meanOf(seeds.map((seed) => errorOf(seed, 'few'))),
    allMm: meanOf(seeds.map((seed) => errorOf(seed, 'all'))),
    namedShare: seeds.filter((seed) => nameOutlier(seed, SLIP_MM)).length / ROOMS,
    solveMs: median(9, () => cornersOf(measureRoom(skewRoom(1, 6), readingNoise(seededNumbers(1), SIGMA_MM), 'all'))),
  };
}
