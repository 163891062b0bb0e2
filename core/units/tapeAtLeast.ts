import { HAIR_MM } from '../tolerances.ts';
import { MM_PER_INCH, type Tape } from './tape.ts';

/** The least length in mm that a tape can show and that is no less than another. */
export function tapeAtLeast(mm: number, { system, metricStepMm, fraction }: Tape): number {
  const step = system === 'metric' ? Math.min(metricStepMm, 0.5) : MM_PER_INCH / fraction;
  return Math.ceil((mm - HAIR_MM) / step) * step;
}
