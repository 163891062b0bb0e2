import { ON_LINE_MM } from '../../tolerances.ts';

/** A leg of a notched piece under this is fragile, mm, and so is one under a third of the piece (trade practice). */
export const LEG_MM = 25;
export const LEG_SHARE = 1 / 3;

/** What stays round a hole or box within a tile, mm: nearer to a factory edge it is bitten out or breaks (trade practice). */
export const BRIDGE_MM = 10;

/** What a leg has to be so that it does not break on the way to the wall, mm; `fullMm` is the piece that way. */
export const legLimit = (fullMm: number): number => Math.max(LEG_MM, fullMm * LEG_SHARE);

/** Whether a leg breaks easily; what is at the limit to a hair does not. */
export const isFragile = (legMm: number, fullMm: number): boolean => legMm < legLimit(fullMm) - ON_LINE_MM;
