import type { EntryOf } from './entry.ts';

/** A line of the plan as it would be bought now. */
export interface LineNow {
  /** What it is, whatever it is called: as it is kept with an order. */
  readonly key: string;
  readonly name: string;
  readonly packs: number;
}

/** A line that was ordered otherwise than the plan asks for now; in packs. */
export interface OrderedOtherwise {
  readonly name: string;
  readonly ordered: number;
  readonly now: number;
}

/** What all orders together lack, or have too much of, against the plan as it stands. */
export function orderedOtherwise(orders: readonly EntryOf<'order'>[], lines: readonly LineNow[]): OrderedOtherwise[] {
  const keyOf = new Map(lines.map(({ key, name }) => [name, key]));
  const ordered = new Map<string, { name: string; packs: number }>();
  for (const { data } of orders)
    for (const { key: kept, name, packs } of data.lines) {
      // Orders of before lines had a key are told apart by their names.
      const key = kept ?? keyOf.get(name) ?? name;
      ordered.set(key, { name, packs: (ordered.get(key)?.packs ?? 0) + packs.reduce((sum, { count }) => sum + count, 0) });
    }
  const now = new Map(lines.map((line) => [line.key, line]));
  return [...new Set([...ordered.keys(), ...now.keys()])].flatMap((key) => {
    const [had, wants] = [ordered.get(key), now.get(key)];
    const name = wants?.name ?? had?.name ?? key;
    return (had?.packs ?? 0) === (wants?.packs ?? 0) ? [] : [{ name, ordered: had?.packs ?? 0, now: wants?.packs ?? 0 }];
  });
}
