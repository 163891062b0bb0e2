import type { EdgeTally } from './figures.ts';
import { isSliver, thinness } from '../choice/sliver.ts';

/** What fills in between the tiles, such as a dot, is halved along any edge where the tiles stand full: it counts for so much. */
const FILLS_IN = 0.3;

/** A half, less the joint and what the next edge takes, as a share of the piece. */
const HALF = [0.42, 0.52] as const;

/**
 * Takes one cut piece into the tally of the edge that cuts it: the mean share of the piece that stays along it, what
 * it is judged by, the whole piece, and its length along the edge, mm; and whether it is
 * a tile that the pattern is made of.
 */
export function tallyCut(tally: EdgeTally, share: number, thinnestMm: number, fullMm: number, lengthMm: number, isMain: boolean): void {
  tally.cutMm += lengthMm;
  if (isMain) tally.mainCutMm += lengthMm;
  if (isMain && share > HALF[0] && share < HALF[1]) tally.halfMm += lengthMm;
  tally.smallMm += (isMain ? 1 : FILLS_IN) * lengthMm * (share >= 0.5 ? 1 - 0.4 * (share - 0.5) : 1 + 2 * (0.5 - share));
  tally.shareMm += lengthMm * share;
  if (isSliver(thinnestMm, fullMm)) {
    tally.sliverMm += lengthMm;
    tally.thinMm += lengthMm * thinness(thinnestMm, fullMm);
  }
  if (fullMm > tally.fullMm) tally.fullMm = fullMm;
  const otherEndMm = Math.min(fullMm, 2 * share * fullMm - thinnestMm);
  if (thinnestMm < tally.thinnestMm) tally.thinnestMm = thinnestMm;
  if (isMain && thinnestMm < tally.thinnestMainMm) tally.thinnestMainMm = thinnestMm;
  if (thinnestMm > tally.widestMm) tally.widestMm = thinnestMm;
  if (otherEndMm > tally.widestMm) tally.widestMm = otherEndMm;
}
