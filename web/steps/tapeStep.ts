import { MM_PER_INCH, type Tape } from '@azulejo/core/units/tape';

/** The smallest step of a hand that measures, mm: a millimetre, or what the tape in inches shows, at least a sixteenth. */
export const tapeStep = ({ system, fraction }: Tape): number => (system === 'metric' ? 1 : MM_PER_INCH / Math.max(16, fraction));

/** A length to the nearest step of the tape, mm. */
export const toTapeStep = (mm: number, tape: Tape): number => withoutDust(Math.round(mm / tapeStep(tape)) * tapeStep(tape));

/** A length without what whole numbers of inches leave behind the tenth of a micrometre. */
export const withoutDust = (mm: number): number => Math.round(mm * 1e4) / 1e4;
