/** Under this share of the piece a cut is a sliver (trade practice: under a third). */
export const SLIVER_SHARE = 1 / 3;

/** Under this many mm a cut is a sliver, however small the piece. */
export const SLIVER_MM = 50;

/** What must stay of a piece so that it is no sliver, mm; a piece narrow by nature is judged by its share. */
export const sliverLimit = (fullMm: number): number =>
  fullMm >= 2 * SLIVER_MM ? Math.max(SLIVER_MM, fullMm * SLIVER_SHARE) : fullMm * SLIVER_SHARE;

/** What is laid and what was tried differ by less, mm. */
const HAIR_MM = 0.002;

/** Whether what stays of a piece is too narrow to look right; what is at the limit to a hair is not. */
export const isSliver = (depthMm: number, fullMm: number): boolean => depthMm < sliverLimit(fullMm) - HAIR_MM;
