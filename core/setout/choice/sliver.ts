import { TOLERANCE_MM } from '../../tolerances.ts';

/** Under this share of the piece a cut is a sliver (trade practice: under a third). */
export const SLIVER_SHARE = 1 / 3;

/** Under this many mm a cut is a sliver, however small the piece. */
export const SLIVER_MM = 50;

/** What must stay of a piece so that it is no sliver, mm; a piece narrow by nature is judged by its share. */
export const sliverLimit = (fullMm: number): number =>
  fullMm >= 2 * SLIVER_MM ? Math.max(SLIVER_MM, fullMm * SLIVER_SHARE) : fullMm * SLIVER_SHARE;

/** Whether what stays of a piece is too narrow to look right; what is at the limit to a hair is not. */
export const isSliver = (depthMm: number, fullMm: number): boolean => depthMm < sliverLimit(fullMm) - 2 * TOLERANCE_MM;

/** A sliver of less than so much of what it should be can hardly be cut or held. */
const HARDLY_HELD = 0.5;

/** The thinnest strip counts so many times more than one that only lacks a little. */
const HARDLY_HELD_COST = 5;

/**
 * How bad a sliver is beyond being one: 0 at the limit, a half at half of it, and from there it soars: a full piece elsewhere
 * is not paid for by a strip that nobody can cut (trade practice).
 */
export function thinness(thinnestMm: number, fullMm: number): number {
  const lacks = 1 - thinnestMm / sliverLimit(fullMm);
  return lacks + HARDLY_HELD_COST * (Math.max(0, lacks - HARDLY_HELD) / (1 - HARDLY_HELD)) ** 2;
}
