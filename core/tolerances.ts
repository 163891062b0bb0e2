/*
 * How near is near. Every tolerance of the computation is one of these; where a place has a reason of its own for one,
 * it gives it a name of its own beside the reason, never a figure. The linter keeps it so.
 */

/** What is smaller is nothing, and can't be divided by. No unit. */
export const NOTHING = 1e-12;

/** Figures that were added or multiplied a few times differ by less than this through rounding alone. No unit. */
export const ROUNDING = 1e-9;

/** The same after many steps, or where a count must not be one too many for it. No unit. */
export const ROUNDED_OFTEN = 1e-6;

/** Two positions nearer than this are the same position, mm. What clips and reckons by itself uses this one. */
export const TOLERANCE_MM = 0.001;

/** What lies this near a line lies on it, mm: clipping rounds to a thousandth of it. */
export const ON_LINE_MM = 0.01;

/** The same for what was clipped twice, or turned in between, mm. */
export const ON_LINE_TWICE_MM = 0.02;

/** The same for round sides, which stand for an arc by their corners, mm: so far is a corner off at most. */
export const ON_ARC_MM = 0.03;

/** Seen and felt by nobody, mm: a joint or an edge that is out by no more is as it was meant. */
export const HAIR_MM = 0.05;

/** No saw holds it and no tape shows it, mm: lines and lengths that differ by no more are marked as one. */
export const SAW_MM = 0.1;

/** Half of what a tape shows, mm: figures that differ by less read alike. */
export const READS_ALIKE_MM = 0.25;

/** What was measured, drawn or made of chords lies this near to where it belongs, mm. */
export const AS_MADE_MM = 0.3;

/** The half millimetre to which tiles are set and cut, mm: the eye sees no less. */
export const SEEN_MM = 0.5;
