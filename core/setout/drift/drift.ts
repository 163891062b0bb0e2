import { seededNumbers } from '../../geometry/seededNumbers.ts';
import { JOINT_TO_VARIATION } from '../../tile/sampleSizes.ts';

/** How far a run of courses may have come off after so many of them, mm. */
export interface DriftAt {
  readonly course: number;
  /** In 95 of 100 runs no further than this, by trial. */
  readonly bandMm: number;
  /** The same by formula: 1.96 times the spread times the root of the count. */
  readonly formulaMm: number;
}

/** What the spread of real pieces does to courses that are laid one against the other. */
export interface Drift {
  readonly courses: readonly DriftAt[];
  /** A control line is struck every so many courses, so that no run comes off by more than is allowed. */
  readonly controlEvery: number;
  /** The least joint that takes the variation up: three times the range of the pieces, mm. */
  readonly jointMm: number;
}

/** So many runs are laid. */
const RUNS = 2000;

/** A run may come off by this before it shows, mm (trade practice: a millimetre a control line). */
export const ALLOWED_MM = 1;

/** Lays runs of courses from pieces that vary, by seed. `spreadMm` is the standard deviation of the pieces, `rangeMm` largest less smallest. */
export function simulateDrift(spreadMm: number, rangeMm: number, count: number, seed = 1): Drift {
  const next = seededNumbers(seed);
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
  const off = Array.from({ length: count }, () => new Float64Array(RUNS));
  for (let run = 0; run < RUNS; run++) {
    let sum = 0;
    for (let k = 0; k < count; k++) {
      sum += spreadMm * normal();
      off[k][run] = Math.abs(sum);
    }
  }
  const courses = off.map((runs, k): DriftAt => {
    const sorted = runs.sort();
    return { course: k + 1, bandMm: sorted[Math.ceil(0.95 * RUNS) - 1], formulaMm: 1.96 * spreadMm * Math.sqrt(k + 1) };
  });
  const controlEvery = spreadMm <= 0 ? count : Math.max(1, Math.min(count, Math.floor((ALLOWED_MM / (1.96 * spreadMm)) ** 2)));
  return { courses, controlEvery, jointMm: JOINT_TO_VARIATION * rangeMm };
}

/** The spread of measured sizes: mean, standard deviation, and largest less smallest, mm; null for fewer than two. */
export function spreadOf(sizesMm: readonly number[]): { readonly spreadMm: number; readonly rangeMm: number } | null {
  if (sizesMm.length < 2) return null;
  const mean = sizesMm.reduce((sum, mm) => sum + mm, 0) / sizesMm.length;
  const squares = sizesMm.reduce((sum, mm) => sum + (mm - mean) ** 2, 0);
  return { spreadMm: Math.sqrt(squares / (sizesMm.length - 1)), rangeMm: Math.max(...sizesMm) - Math.min(...sizesMm) };
}
