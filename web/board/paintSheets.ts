import type { Drawing } from '@azulejo/core/plan/planned';
import { cellsInUse, sheetRings } from '@azulejo/core/setout/place/sheetRings';
import { boxOf } from '@azulejo/core/geometry/ring';
import { tracePolygons, traceRing, type Brush } from './paintTiles.ts';

/** Smaller sheets are not told apart, pixels; larger ones have a bolder edge. */
const LEAST_SHEET_PX = 34;
const ROOMY_SHEET_PX = 90;

/** Tiles keep their colours in the dark, and so do the edges on them. */
const SHEET_EDGE = 'rgba(12,18,26,0.9)';

/** The edges of mosaic sheets, so that sheets and chips are both seen. */
export function paintSheets(brush: Brush, { traced, fields }: Drawing): void {
  const { context } = brush;
  for (const { layout } of fields) {
    const { sheetEdges } = layout.repeat;
    if (!sheetEdges) continue;
    const box = boxOf(sheetEdges.flat());
    const sidePx = (box.maxX - box.minX) * brush.view.scale;
    if (sidePx < LEAST_SHEET_PX) continue;
    context.save();
    context.beginPath();
    tracePolygons(brush, traced.region);
    context.clip('evenodd');
    context.beginPath();
    for (const [i, j] of cellsInUse(layout)) for (const ring of sheetRings(layout, i, j)) traceRing(brush, ring);
    context.strokeStyle = SHEET_EDGE;
    context.lineWidth = sidePx < ROOMY_SHEET_PX ? 1 : 2;
    context.stroke();
    context.restore();
  }
}
