import type { EdgeTally } from './figures.ts';
import { isSliver } from './sliver.ts';

/**
 * Takes one cut piece into the tally of the edge that cuts it: the share of the piece that stays along it, what it
 * is judged by, the whole piece, and its length along the edge, mm.
 */
export function tallyCut(tally: EdgeTally, share: number, thinnestMm: number, fullMm: number, lengthMm: number): void {
  tally.cutMm += lengthMm;
  tally.smallMm += lengthMm * (share >= 0.5 ? 1 - 0.4 * (share - 0.5) : 1 + 2 * (0.5 - share));
  tally.shareMm += lengthMm * share;
  if (isSliver(thinnestMm, fullMm)) tally.sliverMm += lengthMm;
  if (thinnestMm < tally.thinnestMm) tally.thinnestMm = thinnestMm;
  if (thinnestMm > tally.widestMm) tally.widestMm = thinnestMm;
}
