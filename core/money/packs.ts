/** How a need is bought. */
export interface Packs {
  readonly count: number;
  /** What one pack holds, in the unit of the need. */
  readonly size: number;
  readonly price: number;
  readonly cost: number;
  /** What the packs hold over what is needed, as a ratio; null when nothing is needed. */
  readonly covers: number | null;
}

/** The fewest packs of one size that cover a need. A need of nothing takes none. */
export function packsFor(need: number, size: number, price: number): Packs {
  const count = need <= 0 ? 0 : Math.ceil(need / size - 1e-9);
  return { count, size, price, cost: roundMoney(count * price), covers: need > 0 ? (count * size) / need : null };
}

/** Money to the hundredth. */
export const roundMoney = (amount: number): number => Math.round(amount * 100 + 1e-7) / 100;
