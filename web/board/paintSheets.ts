import type { Drawing } from '@azulejo/core/plan';
import { cellShift } from '@azulejo/core/pattern/repeat';
import { placementMotion, type Layout } from '@azulejo/core/setout/layout';
import { tracePolygons, traceRing, type Brush } from './paintTiles.ts';

/** Tiles keep their colours in the dark, and so do the edges on them. */
const SHEET_EDGE = 'rgba(12,18,26,0.9)';

/** The edges of mosaic sheets, so that sheets and chips are both seen. */
export function paintSheets(brush: Brush, { traced, fields }: Drawing): void {
  const { context } = brush;
  for (const { layout } of fields) {
    const { sheetEdges } = layout.repeat;
    if (!sheetEdges) continue;
    context.save();
    context.beginPath();
    tracePolygons(brush, traced.region);
    context.clip('evenodd');
    context.beginPath();
    const { turn } = placementMotion(layout.placement);
    for (const [i, j] of cellsOf(layout)) {
      const [dx, dy] = cellShift(layout.repeat, i, j);
      for (const ring of sheetEdges)
        traceRing(
          brush,
          ring.map(([x, y]) => turn([x + dx, y + dy])),
        );
    }
    context.strokeStyle = SHEET_EDGE;
    context.lineWidth = 2;
    context.stroke();
    context.restore();
  }
}

const known = new WeakMap<Layout, readonly (readonly [number, number])[]>();

/** Every cell that a piece lies in. */
function cellsOf(layout: Layout): readonly (readonly [number, number])[] {
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
