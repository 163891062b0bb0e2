import { ON_LINE_MM, ROUNDED_OFTEN, ROUNDING } from '../../tolerances.ts';
import { packLengths } from './packLengths.ts';

/** A bar as it is sold: m, and what it costs. */
interface BarOffer {
  readonly size: number;
  readonly price: number;
}

/** A bar with the lengths that are cut from it, by their places in what was asked for. */
export interface CutBar<Offer> {
  readonly offer: Offer;
  readonly own: readonly number[];
}

/** So many lengths are parted over bars in every way there is; more are, a few bars at a time. */
const MOST_AT_ONCE = 11;

/** Rounds in which some bars are parted anew. */
const MOST_ROUNDS = 60;

/**
 * Lengths cut from bars of several sizes so that they cost least: in every way there is where they are few; where they are
 * many, from the best plan of one size, any two or three bars parted anew until nothing gets cheaper. Of plans that cost the
 * same, the one of fewer bars. Throws where no bar is long enough for a length.
 */
export function cheapestBars<Offer extends BarOffer>(
  lengthsMm: readonly number[],
  offers: readonly Offer[],
  kerfMm: number,
): CutBar<Offer>[] {
  const fitting = (own: readonly number[]): Offer | null => {
    const takes = own.reduce((sum, k) => sum + lengthsMm[k] + kerfMm, -kerfMm);
    const fits = offers.filter(({ size }) => size * 1000 >= takes - ON_LINE_MM);
    return fits.length === 0 ? null : fits.reduce((a, b) => (b.price < a.price || (b.price === a.price && b.size < a.size) ? b : a));
  };
  const all = lengthsMm.map((_, k) => k);
  if (all.length <= MOST_AT_ONCE) return everyWay(all, fitting);
  const starts = offers.flatMap(({ size }): CutBar<Offer>[][] => {
    if (lengthsMm.some((mm) => mm > size * 1000 + ON_LINE_MM)) return [];
    return [packLengths(lengthsMm, size * 1000, kerfMm).bars.flatMap((own) => barsOf([own], fitting))];
  });
  return starts.map((start) => partedAnew(start, fitting)).reduce((a, b) => (isCheaper(b, a) ? b : a));
}

type Fitting<Offer> = (own: readonly number[]) => Offer | null;

const costOf = (bars: readonly CutBar<BarOffer>[]): number => bars.reduce((sum, { offer }) => sum + offer.price, 0);

const isCheaper = (a: readonly CutBar<BarOffer>[], b: readonly CutBar<BarOffer>[]): boolean =>
  costOf(a) < costOf(b) - ROUNDING || (costOf(a) < costOf(b) + ROUNDING && a.length < b.length);

function barsOf<Offer extends BarOffer>(sets: readonly (readonly number[])[], fitting: Fitting<Offer>): CutBar<Offer>[] {
  return sets.map((own) => {
    const offer = fitting(own);
    if (!offer) throw new Error(`a length has to fit a bar that is sold: got ${own.join(', ')}`);
    return { offer, own };
  });
}

/** The cheapest parting of a few lengths, over all their subsets: what holds the first of those left, then the rest. */
function everyWay<Offer extends BarOffer>(items: readonly number[], fitting: Fitting<Offer>): CutBar<Offer>[] {
  const full = (1 << items.length) - 1;
  const setOf = (mask: number): number[] => items.filter((_, k) => mask & (1 << k));
  const bars = Array.from({ length: full + 1 }, (_, mask) => (mask === 0 ? null : fitting(setOf(mask))));
  const best = new Float64Array(full + 1);
  const last = new Int32Array(full + 1);
  for (let mask = 1; mask <= full; mask++) {
    best[mask] = Infinity;
    const lowest = mask & -mask;
    // A bar more is worth a trifle, so that of plans of one price the one of fewer bars is taken.
    for (let set = mask; set > 0; set = (set - 1) & mask) {
      const offer = set & lowest ? bars[set] : null;
      if (offer && best[mask ^ set] + offer.price + ROUNDED_OFTEN / 10 < best[mask])
        [best[mask], last[mask]] = [best[mask ^ set] + offer.price + ROUNDED_OFTEN / 10, set];
    }
  }
  const sets: number[][] = [];
  for (let mask = full; mask > 0; mask ^= last[mask]) {
    if (last[mask] === 0) throw new Error('a length has to fit a bar that is sold');
    sets.push(setOf(last[mask]));
  }
  return barsOf(sets, fitting);
}

/** Any two or three bars parted anew, as long as that gets cheaper. */
function partedAnew<Offer extends BarOffer>(start: readonly CutBar<Offer>[], fitting: Fitting<Offer>): CutBar<Offer>[] {
  let bars = [...start];
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const better = firstBetter(bars, fitting);
    if (!better) return bars;
    bars = better;
  }
  return bars;
}

function firstBetter<Offer extends BarOffer>(bars: readonly CutBar<Offer>[], fitting: Fitting<Offer>): CutBar<Offer>[] | null {
  for (let a = 0; a < bars.length; a++)
    for (let b = a + 1; b < bars.length; b++)
      for (let c = b; c < Math.min(bars.length, b + 6); c++) {
        const some = [...new Set([a, b, c])];
        const items = some.flatMap((k) => bars[k].own);
        if (items.length > MOST_AT_ONCE - 2) continue;
        const anew = everyWay(items, fitting);
        if (
          isCheaper(
            anew,
            some.map((k) => bars[k]),
          )
        )
          return [...bars.filter((_, k) => !some.includes(k)), ...anew];
      }
  return null;
}
