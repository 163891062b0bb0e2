import type { Drawing } from '@azulejo/core/planning/planned';
import { cellShift } from '@azulejo/core/pattern/repeat';
import { placementMotion, type Layout } from '@azulejo/core/setout/place/layout';
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
    context.lineWidth = sidePx < ROOMY_SHEET_PX ? 1 : 2;
    context.stroke();
    context.restore();
  }
}

/** Names a cut sheet where it lies in the region, and outlines it where it is chosen. */
export function paintSheetPart(brush: Brush, { traced, fields }: Drawing, { field, i, j, label }: SheetPart, chosen: boolean): void {
  const { layout } = fields[field];
  const { sheetEdges } = layout.repeat;
  if (!sheetEdges) return;
  const { context, palette, view } = brush;
  const { turn } = placementMotion(layout.placement);
  const [dx, dy] = cellShift(layout.repeat, i, j);
  const rings = sheetEdges.map((ring) => ring.map(([x, y]) => turn([x + dx, y + dy])));
  const [sheet, region] = [boxOf(rings.flat()), boxOf(traced.region.flat(2))];
  const [minX, maxX] = [Math.max(sheet.minX, region.minX), Math.min(sheet.maxX, region.maxX)];
  const [minY, maxY] = [Math.max(sheet.minY, region.minY), Math.min(sheet.maxY, region.maxY)];
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
