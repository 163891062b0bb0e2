import { readingNoise, seededNumbers } from '@azulejo/core/geometry/seededNumbers';
import type { DistanceMeter } from './distanceMeter.ts';

/** A meter is read to about this, mm (one sigma; a common class of instrument). */
const SIGMA_MM = 0.7;

/** One reading in so many hits something else: a door frame, a hand, a sheet of glass. */
const MISREADS_ONE_IN = 12;

/** A stand-in for a laser distance meter: it has to be told what it is aimed at, and now and then it misreads. */
export interface SimulatedMeter extends DistanceMeter {
  /** Aims at something a distance away, mm, and presses the button. */
  readonly measure: (trueMm: number) => void;
}

/** Makes a simulated meter; the same seed makes the same readings. */
export function makeSimulatedMeter(seed = 1): SimulatedMeter {
  const next = seededNumbers(seed);
  const noise = readingNoise(next, SIGMA_MM);
  let takers: ((mm: number) => void)[] = [];
  return {
    name: 'Simulated distance meter',
    connect: () => Promise.resolve(),
    disconnect: () => {
      takers = [];
    },
    onReading: (take) => {
      takers.push(take);
    },
    measure: (trueMm) => {
      const misreads = next() < 1 / MISREADS_ONE_IN && trueMm > 400;
      const slip = misreads ? (next() < 0.5 ? -1 : 1) * (30 + 120 * next()) : 0;
      const read = Math.round((trueMm + noise() + slip) * 2) / 2;
      for (const take of takers) take(Math.max(1, read));
    },
  };
}
