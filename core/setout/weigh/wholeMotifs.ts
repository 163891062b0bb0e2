import type { Layout } from '../place/layout.ts';

/** How many figured sheets lie whole, so that their motif shows; 0 where no motif is laid. */
export function wholeMotifs({ repeat, wholeRuns }: Layout): number {
  if (!repeat.sheet?.figured) return 0;
  const chips = new Map<string, number>();
  for (let k = 0; k < wholeRuns.length; k += 4) {
    for (let i = wholeRuns[k + 2]; i <= wholeRuns[k + 3]; i++) {
      const key = `${i}/${wholeRuns[k + 1]}`;
      chips.set(key, (chips.get(key) ?? 0) + 1);
    }
  }
  return [...chips.values()].filter((count) => count === repeat.pieces.length).length;
}
