import { ROUNDED_OFTEN } from '../../tolerances.ts';
import type { Point } from '../../geometry/point.ts';
import { motion, subtract } from '../../geometry/point.ts';
import { TAPE_SIGMA_MM, type MeasuredWalls } from './observations.ts';
import { reconcileWalls, type ReconciledReading } from './reconcileWalls.ts';

/** What all readings together say. */
export interface Judgement {
  /** Nothing checks the walls; they agree; one does not; several might be the one that does not. */
  readonly verdict: 'unchecked' | 'agree' | 'one-off' | 'unclear';
  /** The readings it speaks of, the worst first: one for `one-off`, two or more for `unclear`. */
  readonly suspects: readonly ReconciledReading[];
  readonly largestResidualMm: number;
  /** Where readings agree: the one that is checked least, where a slip of more than is harmless could go unseen; null where none could. */
  readonly hides: { readonly reading: ReconciledReading; readonly slipMm: number } | null;
}

/** A score that chance brings about once in a thousand readings (Baarda's test, alpha 0.001). */
const BEYOND_CHANCE = 3.3;

/** A slip of so many sigma over the root of its checked share is found four times of five (Baarda's test, beta 0.2). */
const FOUND = 4.13;

/** A slip of this much does no harm unseen, mm: the perimeter joint takes it. */
const HARMLESS_MM = 20;

/** Scores this near the worst can't be told from it. */
const AS_BAD = 0.97;

/** Says whether the readings agree, and which to take again. */
export function judgeReadings(shape: MeasuredWalls): Judgement {
  if (shape.checks.length === 0) return { verdict: 'unchecked', suspects: [], largestResidualMm: 0, hides: null };
  const { readings } = reconcileWalls(shape);
  const largestResidualMm = Math.max(...readings.map(({ residualMm }) => Math.abs(residualMm)));
  const worst = Math.max(...readings.map(({ score }) => Math.abs(score)));
  if (readings.every(({ checkedShare }) => checkedShare < 0.02))
    return { verdict: 'unchecked', suspects: [], largestResidualMm, hides: null };
  if (worst < BEYOND_CHANCE) return { verdict: 'agree', suspects: [], largestResidualMm, hides: leastChecked(readings) };
  const suspects = readings.filter(({ score }) => Math.abs(score) >= AS_BAD * worst).sort((a, b) => Math.abs(b.score) - Math.abs(a.score));
  return { verdict: suspects.length === 1 ? 'one-off' : 'unclear', suspects, largestResidualMm, hides: null };
}

/** The reading in which the largest slip could go unseen, where that does harm. */
function leastChecked(readings: readonly ReconciledReading[]): Judgement['hides'] {
  const hidden = ({ sigma, checkedShare }: ReconciledReading): number => (FOUND * sigma) / Math.sqrt(Math.max(ROUNDED_OFTEN, checkedShare));
  // What was read twice alike did not slip.
  const once = readings.filter(({ sigma }) => sigma >= TAPE_SIGMA_MM);
  if (once.length === 0) return null;
  const reading = once.reduce((a, b) => (hidden(b) > hidden(a) ? b : a));
  return hidden(reading) > HARMLESS_MM ? { reading, slipMm: hidden(reading) } : null;
}

/** A corner as it came out. */
export interface CornerFigures {
  /** Inside angle, degrees. */
  readonly angleDeg: number;
  /** How far the second wall runs off square over a metre, mm; null at corners that are not meant to be square. */
  readonly outOfSquareMmPerM: number | null;
}

/** A corner within this of a right angle is meant to be one, degrees. */
const MEANT_SQUARE_DEG = 12;

/** Inside angles and how far out of square, corner by corner. */
export function cornerFigures(corners: readonly Point[]): CornerFigures[] {
  const count = corners.length;
  return corners.map((corner, k) => {
    const before = subtract(corner, corners[(k + count - 1) % count]);
    const after = subtract(corners[(k + 1) % count], corner);
    const turn = motion((-Math.atan2(before[1], before[0]) * 180) / Math.PI, [0, 0]).turn(after);
    const turnDeg = (Math.atan2(turn[1], turn[0]) * 180) / Math.PI;
    const off = Math.abs(turnDeg) - 90;
    const meant = Math.abs(off) <= MEANT_SQUARE_DEG;
    return { angleDeg: 180 - turnDeg, outOfSquareMmPerM: meant ? Math.abs(Math.tan((off * Math.PI) / 180)) * 1000 : null };
  });
}

/** Two walls that face each other, and by how much the room is wider at one end. */
export interface ParallelFigures {
  readonly first: number;
  readonly second: number;
  /** Square to the first wall at its start and its end, mm. */
  readonly apartMm: readonly [number, number];
  readonly differenceMm: number;
}

/** Walls within this of parallel are meant to be, degrees. */
const MEANT_PARALLEL_DEG = 8;

/** Pairs of walls that run against each other over the surface, with the difference over the first wall's length. */
export function parallelFigures(corners: readonly Point[]): ParallelFigures[] {
  const count = corners.length;
  const found: ParallelFigures[] = [];
  for (let a = 0; a < count; a++) {
    for (let b = a + 1; b < count; b++) {
      const frame = frameOf(corners[a], corners[(a + 1) % count]);
      const [p, q] = [frame.to(corners[b]), frame.to(corners[(b + 1) % count])];
      const turn = (Math.atan2(q[1] - p[1], q[0] - p[0]) * 180) / Math.PI;
      if (Math.abs(Math.abs(turn) - 180) > MEANT_PARALLEL_DEG) continue;
      if (q[0] >= frame.lengthMm || p[0] <= 0 || p[1] <= 0) continue;
      const at = (x: number): number => p[1] + ((x - p[0]) / (q[0] - p[0])) * (q[1] - p[1]);
      const apartMm = [at(0), at(frame.lengthMm)] as const;
      if (apartMm[0] > 0 && apartMm[1] > 0) found.push({ first: a, second: b, apartMm, differenceMm: apartMm[1] - apartMm[0] });
    }
  }
  return found;
}

function frameOf(from: Point, to: Point): { to: (p: Point) => Point; lengthMm: number } {
  const along = subtract(to, from);
  const { turn } = motion((-Math.atan2(along[1], along[0]) * 180) / Math.PI, [0, 0]);
  return { to: (p) => turn(subtract(p, from)), lengthMm: Math.hypot(...along) };
}
