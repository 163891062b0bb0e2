import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import { kindLetter } from '@azulejo/core/cuts/kindLetter';
import { boxOf } from '@azulejo/core/geometry/ring';
import { hatchOf } from './hatch.ts';
import { overSize, tracePolygons, traceRing, writeOver, type Brush } from './paintTiles.ts';
import { toScreen } from './view.ts';

/** Pieces cut to fit, hatched by kind; a stone cut to its own size lies as plain as a tile. */
export function paintHatching(brush: Brush, cuts: readonly CutPiece[]): void {
  const { context, palette } = brush;
  for (const { kind, polygon, of } of cuts) {
    if (of === 'stone') continue;
    context.beginPath();
    tracePolygons(brush, [polygon]);
    context.fillStyle = hatchOf(context, kind, palette.hatch);
    context.fill('evenodd');
  }
}

/** The label of a cut piece, where there is room for it. */
export function paintLabel(brush: Brush, { label, kind, polygon, labelAt }: CutPiece): void {
  const { view } = brush;
  const box = boxOf(polygon[0]);
  const text = label + kindLetter(kind);
  const room = overSize(brush, text);
  if ((box.maxX - box.minX) * view.scale < room.width || (box.maxY - box.minY) * view.scale < room.height) return;
  writeOver(brush, text, ...toScreen(view, labelAt));
}

/** Outlines the chosen pieces boldly. */
export function paintChosen(brush: Brush, pieces: readonly CutPiece[]): void {
  const { context, palette } = brush;
  context.strokeStyle = palette.chosen;
  context.lineWidth = 3;
  for (const { polygon } of pieces) {
    context.beginPath();
    for (const ring of polygon) traceRing(brush, ring);
    context.stroke();
    context.globalAlpha = 0.2;
    context.fillStyle = palette.chosen;
    context.fill('evenodd');
    context.globalAlpha = 1;
  }
}
