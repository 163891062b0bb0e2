import { cheapestBars } from '../cuts/strips/cheapestBars.ts';
import { packLengths, partRun } from '../cuts/strips/packLengths.ts';
import type { PackOffer, Taken } from './materialKind.ts';

/** A run that is cut from bars: along which edge, and how many of its ends are mitred. */
export interface BarRun {
  readonly surfaceId: string;
  readonly edgeId: string;
  readonly mm: number;
  readonly mitres: number;
}

/** How lengths came about. */
export interface BarsHow {
  readonly runs: readonly BarRun[];
  /** Each bar with the lengths that are cut from it, mm. */
  readonly bars: readonly { readonly sizeM: number; readonly lengths: readonly { readonly of: BarRun; readonly mm: number }[] }[];
  /** No plan could need fewer bars of the longest size used. */
  readonly bound: number;
  readonly kerfMm: number;
}

/**
 * Plans runs from bars of the sizes offered, so that they cost least in all. A run that no bar is long enough for is joined
 * from as few lengths as can be: a joint in a trim is seen, and is not made to save on bars.
 */
export function cutFromBars(runs: readonly BarRun[], offers: readonly PackOffer[], kerfMm: number): Taken<BarsHow>[] {
  if (runs.length === 0 || offers.length === 0) return [];
  const longestMm = 1000 * Math.max(...offers.map(({ size }) => size));
  const lengths = runs.flatMap((of) => partRun(of.mm, longestMm).map((mm) => ({ of, mm })));
  const sizes = lengths.map(({ mm }) => mm);
  const { bound } = packLengths(sizes, longestMm, kerfMm);
  const bars = cheapestBars(sizes, offers, kerfMm);
  return [
    {
      productId: null,
      hand: null,
      quantity: runs.reduce((sum, { mm }) => sum + mm, 0) / 1000,
      unit: 'm',
      bars: bars.map(({ offer }) => offer),
      how: { runs, bars: bars.map(({ offer, own }) => ({ sizeM: offer.size, lengths: own.map((k) => lengths[k]) })), bound, kerfMm },
    },
  ];
}
