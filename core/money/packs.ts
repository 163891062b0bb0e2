import { ROUNDING } from '../tolerances.ts';
import type { PackOffer } from '../takeoff/materialKind.ts';

/** So many packs of one size. */
export interface PackCount extends PackOffer {
  readonly count: number;
}

/** How a need is bought. */
export interface Purchase {
  /** The packs, the largest first; none when nothing is needed. */
  readonly packs: readonly PackCount[];
  readonly cost: number;
  /** What the packs hold over what is needed, as a ratio; null when nothing is needed. */
  readonly covers: number | null;
}

/** Bars as they were planned, by size. */
export function buyBars(bars: readonly PackOffer[], need: number): Purchase {
  const counts = new Map<number, PackCount>();
  for (const { size, price } of bars) counts.set(size, { size, price, count: (counts.get(size)?.count ?? 0) + 1 });
  const packs = [...counts.values()].sort((a, b) => b.size - a.size);
  const holds = packs.reduce((sum, { count, size }) => sum + count * size, 0);
  const cost = packs.reduce((sum, { count, price }) => sum + count * price, 0);
  return { packs, cost, covers: need > 0 ? holds / need : null };
}

/** Choices looked at before the best so far is taken; a need of a few sizes is proven long before. */
const MOST_CHOICES = 200_000;

/**
 * The cheapest packs that cover a need; of those that cost the same, the ones that leave least. Counts of one size
 * after the other, the cheapest for what it holds first; what can't become cheaper than the best so far is left.
 */
export function buyPacks(need: number, offers: readonly PackOffer[]): Purchase {
  if (need <= 0 || offers.length === 0) return { packs: [], cost: 0, covers: null };
  const sizes = [...offers].sort((a, b) => a.price / a.size - b.price / b.size || b.size - a.size);
  let best: { counts: readonly number[]; cost: number; holds: number } | null = null;
  let choices = 0;
  const look = (k: number, counts: readonly number[], cost: number, holds: number): void => {
    if (++choices > MOST_CHOICES) return;
    const left = need - holds;
    if (left <= ROUNDING * need) {
      if (!best || cost < best.cost - ROUNDING || (cost < best.cost + ROUNDING && holds < best.holds)) best = { counts, cost, holds };
      return;
    }
    if (k === sizes.length) return;
    const { size, price } = sizes[k];
    if (best && cost + left * (price / size) > best.cost + ROUNDING) return;
    for (let count = Math.ceil(left / size - ROUNDING); count >= 0; count--)
      look(k + 1, [...counts, count], cost + count * price, holds + count * size);
  };
  look(0, [], 0, 0);
  const { counts, cost, holds } = best ?? { counts: [Math.ceil(need / sizes[0].size)], cost: Infinity, holds: 0 };
  const packs = counts.map((count, k) => ({ ...sizes[k], count })).filter(({ count }) => count > 0);
  return { packs: packs.sort((a, b) => b.size - a.size), cost, covers: holds / need };
}
