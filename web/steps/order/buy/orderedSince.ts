import type { EntryOf } from '@azulejo/core/site/entry';

/** A line of the plan as it would be bought now. */
export interface LineNow {
  readonly name: string;
  readonly packs: number;
}

/** A line that was ordered otherwise than the plan asks for now. */
export interface Changed {
  readonly name: string;
  readonly ordered: number;
  readonly now: number;
}

/** What all orders together lack, or have too much of, against the plan as it stands; in packs. */
export function changedSince(orders: readonly EntryOf<'order'>[], lines: readonly LineNow[]): Changed[] {
  const ordered = new Map<string, number>();
  for (const { data } of orders)
    for (const { name, packs } of data.lines)
      ordered.set(name, (ordered.get(name) ?? 0) + packs.reduce((sum, { count }) => sum + count, 0));
  const now = new Map(lines.map(({ name, packs }) => [name, packs]));
  return [...new Set([...ordered.keys(), ...now.keys()])].flatMap((name) => {
    const [had, wants] = [ordered.get(name) ?? 0, now.get(name) ?? 0];
    return had === wants ? [] : [{ name, ordered: had, now: wants }];
  });
}
