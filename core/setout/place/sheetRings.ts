import type { Ring } from '../../geometry/ring.ts';
import { cellShift } from '../../pattern/repeat.ts';
import { placementMotion, type Layout } from './layout.ts';

/** The edges of the sheet that lies at a cell, mm; none where the pattern has no sheets. */
export function sheetRings({ repeat, placement }: Pick<Layout, 'repeat' | 'placement'>, i: number, j: number): Ring[] {
  const { turn } = placementMotion(placement);
  const [dx, dy] = cellShift(repeat, i, j);
  return (repeat.sheetEdges ?? []).map((ring) => ring.map(([x, y]) => turn([x + dx, y + dy])));
}

const known = new WeakMap<Layout, readonly (readonly [number, number])[]>();

/** Every cell that a piece lies in. */
export function cellsInUse(layout: Layout): readonly (readonly [number, number])[] {
  const cells = known.get(layout);
  if (cells) return cells;
  const found = new Map<string, readonly [number, number]>();
  const runs = layout.wholeRuns;
  for (let k = 0; k < runs.length; k += 4)
    for (let i = runs[k + 2]; i <= runs[k + 3]; i++) found.set(`${i}/${runs[k + 1]}`, [i, runs[k + 1]]);
  for (const { i, j } of layout.cutTiles) found.set(`${i}/${j}`, [i, j]);
  known.set(layout, [...found.values()]);
  return [...found.values()];
}
