import { ROUNDING } from '../tolerances.ts';
import { MM_PER_INCH, type Tape } from '../units/tape.ts';

/** A triangle with a right angle from a tape: legs of 3 and 4 parts, 5 parts across. */
export interface SquareTriangle {
  /** Along the first wall, mm. */
  readonly firstMm: number;
  /** Along the second wall, mm. */
  readonly secondMm: number;
  /** Across, where the corner is square, mm. */
  readonly acrossMm: number;
}

/** What a handy triangle is made of: 100 mm, or 6 in. */
export const handyPart = ({ system }: Pick<Tape, 'system'>): number => (system === 'metric' ? 100 : 6 * MM_PER_INCH);

/** The largest 3-4-5 triangle whose parts are multiples of `partMm` (100 mm or 6 in) and that two walls have room for; null for none. */
export function largestTriangle(firstMm: number, secondMm: number, partMm: number): SquareTriangle | null {
  const parts = (a: number, b: number): number => Math.floor(Math.min(firstMm / a, secondMm / b) / partMm + ROUNDING);
  const [lying, standing] = [parts(4, 3), parts(3, 4)];
  const [count, a, b] = lying >= standing ? [lying, 4, 3] : [standing, 3, 4];
  const part = count * partMm;
  return count === 0 ? null : { firstMm: a * part, secondMm: b * part, acrossMm: 5 * part };
}

/** What a third side says about a corner. */
export interface CornerReading {
  readonly angleDeg: number;
  /** How far the second wall runs off square over its length, mm; above zero when the corner is open. */
  readonly runOffMm: number;
}

/** Reads the measured third side back by the law of cosines; null where the three sides make no triangle. */
export function readThirdSide({ firstMm, secondMm }: SquareTriangle, acrossMm: number, wallMm: number): CornerReading | null {
  if (acrossMm >= firstMm + secondMm || acrossMm <= Math.abs(firstMm - secondMm)) return null;
  const cosine = (firstMm ** 2 + secondMm ** 2 - acrossMm ** 2) / (2 * firstMm * secondMm);
  return { angleDeg: (Math.acos(cosine) * 180) / Math.PI, runOffMm: -wallMm * cosine };
}
