import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import { kindLetter } from '@azulejo/core/cuts/kindLetter';
import { boxOf, type Box, type Polygon } from '@azulejo/core/geometry/ring';
import type { TickState } from '@azulejo/core/site/tick';
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

/** Strips of skirting and nosing beside the surface, as if what they stand on lay flat. */
export function paintStrips(brush: Brush, pieces: readonly CutPiece[]): void {
  const { context, palette } = brush;
  const strips = pieces.filter(({ strip }) => strip);
  context.beginPath();
  tracePolygons(
    brush,
    strips.map(({ polygon }) => polygon),
  );
  context.fillStyle = palette.fixture;
  context.fill('evenodd');
  context.strokeStyle = palette.fixtureLine;
  context.lineWidth = 1;
  context.stroke();
}

/** The label of a cut piece, where there is room for it; `taken` are stretches of the screen that carry other words. */
export function paintLabel(brush: Brush, piece: CutPiece, taken: readonly Box[]): void {
  const { view } = brush;
  const { label, polygon, labelAt } = piece;
  const box = boxOf(polygon[0]);
  const text = label + kindLetter(piece);
  if (!hasRoom(brush, box, text)) return;
  const room = overSize(brush, text);
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

/** Whether a box of the surface has room for words on the screen. */
function hasRoom(brush: Brush, { minX, minY, maxX, maxY }: Box, text: string): boolean {
  const { width, height } = overSize(brush, text);
  return (maxX - minX) * brush.view.scale >= width && (maxY - minY) * brush.view.scale >= height;
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

/** A tick on pieces that are cut; those that are laid have two, and lie as solid as the drawing's ink allows. */
export function paintTicks(brush: Brush, cuts: readonly CutPiece[], ticked: ReadonlyMap<string, TickState>): void {
  const { context, palette, view } = brush;
  for (const { label, polygon, labelAt } of cuts) {
    const state = ticked.get(label) ?? 'open';
    if (state === 'open') continue;
    context.beginPath();
    tracePolygons(brush, [polygon]);
    context.fillStyle = palette.done;
    context.globalAlpha = state === 'laid' ? 0.75 : 0.35;
    context.fill('evenodd');
    context.globalAlpha = 1;
    const box = boxOf(polygon[0]);
    const [x, y] = toScreen(view, labelAt);
    const [, bottom] = toScreen(view, [labelAt[0], box.minY]);
    const isNamed = hasRoom(brush, box, label);
    // Below the label where that is written.
    const high = isNamed ? bottom - y - overSize(brush, label).height / 2 : (box.maxY - box.minY) * view.scale;
    const size = Math.min(TICK_PX, 0.85 * high, 0.7 * view.scale * (box.maxX - box.minX));
    if (size < 4) continue;
    const base = isNamed ? bottom - size * 0.3 : y + size * 0.4;
    context.beginPath();
    for (const shift of state === 'laid' ? [-0.35, 0.35] : [0]) traceTick(context, x + shift * size, base, size);
    context.strokeStyle = palette.doneInk;
    context.lineWidth = Math.max(1.5, size / 5);
    context.stroke();
  }
}

const TICK_PX = 13;

/** A tick that stands on a place of the screen. */
function traceTick(context: CanvasRenderingContext2D, x: number, base: number, size: number): void {
  context.moveTo(x - size * 0.45, base - size * 0.4);
  context.lineTo(x - size * 0.1, base);
  context.lineTo(x + size * 0.5, base - size * 0.8);
}
