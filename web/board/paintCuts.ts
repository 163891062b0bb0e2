import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import { kindLetter } from '@azulejo/core/cuts/kindLetter';
import { boxOf, type Box, type Polygon } from '@azulejo/core/geometry/ring';
import { hatchOf } from './hatch.ts';
import { overSize, tracePolygons, traceRing, writeOver, type Brush } from './paintTiles.ts';
import { inSight } from './tilePaths.ts';
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

/** The label of a cut piece, where there is room for it; `taken` are stretches of the screen that carry other words. */
export function paintLabel(brush: Brush, { label, kind, polygon, labelAt }: CutPiece, taken: readonly Box[]): void {
  const { view } = brush;
  const box = boxOf(polygon[0]);
  const text = label + kindLetter(kind);
  const room = overSize(brush, text);
  if ((box.maxX - box.minX) * view.scale < room.width || (box.maxY - box.minY) * view.scale < room.height) return;
  const [x, y] = toScreen(view, labelAt);
  const [left, right] = [x - room.width / 2, x + room.width / 2];
  const isClear = (at: number): boolean => {
    const own = { minX: left, maxX: right, minY: at - room.height / 2, maxY: at + room.height / 2 };
    return taken.every((other) => !inSight(own, other));
  };
  // Up or down within the piece, as far as it goes.
  const off = (box.maxY - box.minY) * view.scale * 0.25;
  const free = [y, y - off, y + off].find(isClear);
  if (free !== undefined) writeOver(brush, text, x, free);
}

/** Outlines the chosen pieces boldly. */
export function paintChosen(brush: Brush, pieces: readonly { readonly polygon: Polygon }[]): void {
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
