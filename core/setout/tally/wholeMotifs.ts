import type { Layout } from '../place/layout.ts';

/** The cells in which a figured sheet lies whole, so that its motif shows; none where no motif is laid. */
export function wholeMotifCells({ repeat, wholeRuns }: Layout): (readonly [number, number])[] {
  if (!repeat.sheet?.figured) return [];
  const chips = new Map<string, { readonly cell: readonly [number, number]; count: number }>();
  for (let k = 0; k < wholeRuns.length; k += 4) {
    for (let i = wholeRuns[k + 2]; i <= wholeRuns[k + 3]; i++) {
      const key = `${i}/${wholeRuns[k + 1]}`;
      const known = chips.get(key) ?? { cell: [i, wholeRuns[k + 1]], count: 0 };
      known.count++;
      chips.set(key, known);
    }
  }
  return [...chips.values()].filter(({ count }) => count === repeat.pieces.length).map(({ cell }) => cell);
}

/** How many figured sheets lie whole; 0 where no motif is laid. */
export const wholeMotifs = (layout: Layout): number => wholeMotifCells(layout).length;
