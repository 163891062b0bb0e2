import { oncePer } from '../../oncePer.ts';
import { boxOf, type Box, type Polygon, type Ring } from '../../geometry/ring.ts';
import { cellShift } from '../../pattern/repeat.ts';
import { placementMotion, type Layout } from './layout.ts';

/** The edges of the sheet that lies at a cell, mm; none where the pattern has no sheets. */
export function sheetRings({ repeat, placement }: Pick<Layout, 'repeat' | 'placement'>, i: number, j: number): Ring[] {
  const { turn } = placementMotion(placement);
  const [dx, dy] = cellShift(repeat, i, j);
  return (repeat.sheetEdges ?? []).map((ring) => ring.map(([x, y]) => turn([x + dx, y + dy])));
}

/** Where the sheet that lies at a cell is seen within a region, as a box, mm: its number stands in the middle. */
export function sheetInSight(layout: Pick<Layout, 'repeat' | 'placement'>, i: number, j: number, region: readonly Polygon[]): Box {
  const [sheet, within] = [boxOf(sheetRings(layout, i, j).flat()), boxOf(region.flat(2))];
  return {
    minX: Math.max(sheet.minX, within.minX),
    maxX: Math.min(sheet.maxX, within.maxX),
    minY: Math.max(sheet.minY, within.minY),
    maxY: Math.min(sheet.maxY, within.maxY),
  };
}

/** Every cell that a piece lies in. */
export const cellsInUse = oncePer((layout: Layout): readonly (readonly [number, number])[] => {
  const found = new Map<string, readonly [number, number]>();
  const runs = layout.wholeRuns;
  for (let k = 0; k < runs.length; k += 4)
    for (let i = runs[k + 2]; i <= runs[k + 3]; i++) found.set(`${i}/${runs[k + 1]}`, [i, runs[k + 1]]);
  for (const { i, j } of layout.cutTiles) found.set(`${i}/${j}`, [i, j]);
  return [...found.values()];
});
