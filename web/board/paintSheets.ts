import type { Drawing } from '@azulejo/core/plan/planned';
import { cellsInUse, sheetInSight, sheetRings } from '@azulejo/core/setout/place/sheetRings';
import { boxOf } from '@azulejo/core/geometry/ring';
import type { SheetPart } from '@azulejo/core/cuts/sheets/planSheets';
import { toScreen } from './view.ts';
import { overSize, writeOver, tracePolygons, traceRing, type Brush } from './paintTiles.ts';

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

/** Names a cut sheet where it lies in the region, and outlines it where it is chosen. */
export function paintSheetPart(brush: Brush, { traced, fields }: Drawing, { field, i, j, label }: SheetPart, chosen: boolean): void {
  const { layout } = fields[field];
  const rings = sheetRings(layout, i, j);
  if (rings.length === 0) return;
  const { context, palette, view } = brush;
  const { minX, maxX, minY, maxY } = sheetInSight(layout, i, j, traced.region);
  const room = overSize(brush, label);
  if ((maxX - minX) * view.scale > room.width && (maxY - minY) * view.scale > room.height)
    writeOver(brush, label, ...toScreen(view, [(minX + maxX) / 2, (minY + maxY) / 2]));
  if (!chosen) return;
  context.save();
  context.beginPath();
  tracePolygons(brush, traced.region);
  context.clip('evenodd');
  context.beginPath();
  for (const ring of rings) traceRing(brush, ring);
  context.strokeStyle = palette.chosen;
  context.lineWidth = 6;
  context.stroke();
  context.restore();
}
