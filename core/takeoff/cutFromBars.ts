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

/** Plans runs from bars of the sizes offered: the size that costs least in all, then each bar no longer than it has to be. */
export function cutFromBars(runs: readonly BarRun[], offers: readonly PackOffer[], kerfMm: number): Taken<BarsHow>[] {
  if (runs.length === 0 || offers.length === 0) return [];
  const ways = offers.map((offer) => {
    const barMm = offer.size * 1000;
    const lengths = runs.flatMap((of) => partRun(of.mm, barMm).map((mm) => ({ of, mm })));
    const { bars, bound } = packLengths(
      lengths.map(({ mm }) => mm),
      barMm,
      kerfMm,
    );
    const own = bars.map((bar) => {
      const held = bar.map((k) => lengths[k]);
      const takesMm = held.reduce((sum, { mm }) => sum + mm + kerfMm, -kerfMm);
      const fits = offers.filter(({ size }) => size * 1000 >= takesMm - 0.01).sort((a, b) => a.price - b.price || a.size - b.size)[0];
      return { offer: fits ?? offer, held };
    });
    return { own, bound, cost: own.reduce((sum, bar) => sum + bar.offer.price, 0) };
  });
  const [best] = ways.sort((a, b) => a.cost - b.cost || a.own.length - b.own.length);
  const bars = best.own.map(({ offer, held }) => ({ sizeM: offer.size, lengths: held }));
  return [
    {
      productId: null,
      hand: null,
      quantity: runs.reduce((sum, { mm }) => sum + mm, 0) / 1000,
      unit: 'm',
      bars: best.own.map(({ offer }) => offer),
      how: { runs, bars, bound: best.bound, kerfMm },
    },
  ];
}
