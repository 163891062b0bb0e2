import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import { kindLetter } from '@azulejo/core/cuts/kindLetter';
import { boxOf } from '@azulejo/core/geometry/ring';
import type { Layout } from '@azulejo/core/setout/layout';
import { hatchOf } from './hatch.ts';
import { tracePolygons, traceRing, type Brush } from './paintTiles.ts';
import { toScreen } from './view.ts';

const LABEL_PX = 12;

/** Cut pieces before their kinds are known: tinted by one hatching. */
export function paintCutShapes(brush: Brush, { cutTiles }: Layout, colour: string): void {
  const { context, palette } = brush;
  context.beginPath();
  for (const { polygons } of cutTiles) tracePolygons(brush, polygons);
  context.fillStyle = colour;
  context.fill('evenodd');
  context.strokeStyle = palette.pieceLine;
  context.lineWidth = 1;
  context.stroke();
}

/** Cut pieces hatched by kind. */
export function paintHatching(brush: Brush, cuts: readonly CutPiece[]): void {
  const { context, palette } = brush;
  for (const { kind, polygon } of cuts) {
    context.beginPath();
    tracePolygons(brush, [polygon]);
    context.fillStyle = hatchOf(context, kind, palette.hatch);
    context.fill('evenodd');
  }
}

/** The label of a cut piece, where there is room for it. */
export function paintLabel(brush: Brush, { label, kind, polygon, labelAt }: CutPiece): void {
  const { context, view, palette } = brush;
  const box = boxOf(polygon[0]);
  const text = label + kindLetter(kind);
  context.font = `600 ${LABEL_PX}px "Barlow Condensed", sans-serif`;
  const width = context.measureText(text).width;
  if ((box.maxX - box.minX) * view.scale < width + 6 || (box.maxY - box.minY) * view.scale < LABEL_PX + 3) return;
  const [x, y] = toScreen(view, labelAt);
  context.fillStyle = palette.labelHalo;
  context.beginPath();
  context.roundRect(x - width / 2 - 3, y - LABEL_PX / 2 - 2, width + 6, LABEL_PX + 3, 3);
  context.fill();
  context.fillStyle = palette.label;
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  context.fillText(text, x, y + 0.5);
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
