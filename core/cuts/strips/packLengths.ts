import { ON_LINE_MM, ROUNDING } from '../../tolerances.ts';

/** How lengths are cut from bars. */
export interface PackedLengths {
  /** The lengths of each bar, by their places in what was asked for. */
  readonly bars: readonly (readonly number[])[];
  /** No plan could need fewer bars. */
  readonly bound: number;
}

/** Tries before the best so far is taken. */
const MOST_TRIES = 40_000;

/**
 * Cuts lengths from bars of one length, as few as can be found: the longest first into the fullest bar with room, then a
 * search for a bar less until the bound is met. Each cut takes the kerf. Throws where a length is longer than the bar.
 */
export function packLengths(lengthsMm: readonly number[], barMm: number, kerfMm: number): PackedLengths {
  const tooLong = lengthsMm.find((mm) => mm > barMm + ON_LINE_MM);
  if (tooLong !== undefined) throw new Error(`a length has to fit its bar of ${barMm} mm: got ${tooLong}`);
  const order = lengthsMm.map((_, k) => k).sort((a, b) => lengthsMm[b] - lengthsMm[a] || a - b);
  const shares = order.map((k) => (lengthsMm[k] + kerfMm) / (barMm + kerfMm));
  const bound = leastBars(shares);
  let best = byBestFit(shares);
  for (let count = best.length - 1; count >= bound; count--) {
    const better = intoBars(shares, count);
    if (!better) break;
    best = better;
  }
  return { bars: best.map((bar) => bar.map((at) => order[at])), bound };
}

/**
 * So many bars are needed at least: lengths over half a bar have one each, what is left of those is filled at best by the
 * rest (Martello and Toth, Knapsack Problems, 1990, bound L2). Shares of a bar, the longest first.
 */
export function leastBars(shares: readonly number[]): number {
  let least = Math.ceil(shares.reduce((sum, share) => sum + share, 0) - ROUNDING);
  for (const cut of [0, ...shares.filter((share) => share <= 0.5)]) {
    const large = shares.filter((share) => share > 1 - cut + ROUNDING).length;
    const half = shares.filter((share) => share > 0.5 && share <= 1 - cut + ROUNDING);
    const small = shares.filter((share) => share <= 0.5 && share >= cut - ROUNDING).reduce((sum, share) => sum + share, 0);
    const room = half.reduce((sum, share) => sum + 1 - share, 0);
    least = Math.max(least, large + half.length + Math.max(0, Math.ceil(small - room - ROUNDING)));
  }
  return least;
}

function byBestFit(shares: readonly number[]): number[][] {
  const bars: { left: number; own: number[] }[] = [];
  shares.forEach((share, at) => {
    const fits = bars.filter(({ left }) => left >= share - ROUNDING).sort((a, b) => a.left - b.left)[0];
    if (fits) {
      fits.left -= share;
      fits.own.push(at);
    } else bars.push({ left: 1 - share, own: [at] });
  });
  return bars.map(({ own }) => own);
}

/** Puts all into so many bars; null where no way is found. */
function intoBars(shares: readonly number[], count: number): number[][] | null {
  const left = new Array<number>(count).fill(1);
  const bars: number[][] = left.map(() => []);
  let tries = 0;
  const place = (at: number): boolean => {
    if (at === shares.length) return true;
    const tried = new Set<number>();
    for (let bar = 0; bar < count; bar++) {
      const key = Math.round(left[bar] * 1e6);
      if (left[bar] < shares[at] - ROUNDING || tried.has(key)) continue;
      if (++tries > MOST_TRIES) return false;
      tried.add(key);
      left[bar] -= shares[at];
      bars[bar].push(at);
      if (place(at + 1)) return true;
      left[bar] += shares[at];
      bars[bar].pop();
    }
    return false;
  };
  return place(0) ? bars : null;
}

/** The shortest end of a long run that is made of several lengths, mm: shorter ones look like an afterthought. */
const SHORTEST_END_MM = 300;

/** Parts a run that is longer than a bar: whole bars and a rest, which takes from the last bar where it would be short. */
export function partRun(runMm: number, barMm: number): number[] {
  const whole = Math.max(0, Math.ceil(runMm / barMm - ROUNDING) - 1);
  const rest = runMm - whole * barMm;
  const bars = new Array<number>(whole).fill(barMm);
  const lacks = Math.min(SHORTEST_END_MM, barMm / 2) - rest;
  if (whole > 0 && lacks > 0) bars[whole - 1] -= lacks;
  return rest > 0 ? [...bars, rest + (whole > 0 ? Math.max(0, lacks) : 0)] : bars;
}
