import { boxOf, type Box, type Polygon, type Ring } from '@azulejo/core/geometry/ring';
import { placementMotion, type Layout } from '@azulejo/core/setout/layout';
import type { Drawing } from '@azulejo/core/plan';
import type { DrawingPalette } from '../theme/drawingPalette.ts';
import { toScreen, visibleBox, type ScreenSize, type View } from './view.ts';

/** Tiles smaller than this on screen are shown as one ground, pixels. */
const SMALLEST_TILE_PX = 2.5;

/** What every painter draws with. */
export interface Brush {
  readonly context: CanvasRenderingContext2D;
  readonly view: View;
  readonly size: ScreenSize;
  readonly palette: DrawingPalette;
}

/** Adds a ring to the path of a brush. */
export function traceRing({ context, view }: Brush, ring: Ring): void {
  ring.forEach((point, k) => {
    const [x, y] = toScreen(view, point);
    if (k === 0) context.moveTo(x, y);
    else context.lineTo(x, y);
  });
  context.closePath();
}

/** Adds all rings of some polygons; fill with the even-odd rule. */
export const tracePolygons = (brush: Brush, polygons: readonly Polygon[]): void =>
  polygons.forEach((polygon) => polygon.forEach((ring) => traceRing(brush, ring)));

/** The field with its joints, then every whole piece. */
export function paintTiles(brush: Brush, { traced, layout }: Drawing, colour: string): void {
  const { context, palette, view } = brush;
  context.beginPath();
  tracePolygons(brush, traced.region);
  const first = boxOf(layout.repeat.pieces[0].ring);
  const small = Math.min(first.maxX - first.minX, first.maxY - first.minY) * view.scale < SMALLEST_TILE_PX;
  context.fillStyle = small ? colour : palette.joint;
  context.fill('evenodd');
  if (small) return;
  context.beginPath();
  traceWholes(brush, layout);
  context.fillStyle = colour;
  context.fill();
  context.strokeStyle = palette.pieceLine;
  context.lineWidth = 1;
  context.stroke();
}

/** Adds every whole piece on screen to the path, a run at a time. */
function traceWholes(brush: Brush, layout: Layout): void {
  const { turn } = placementMotion(layout.placement);
  const {
    vectors: [a, b],
    pieces,
  } = layout.repeat;
  const seen = visibleBox(brush.view, brush.size);
  const runs = layout.wholeRuns;
  for (let k = 0; k < runs.length; k += 4) {
    const { ring } = pieces[runs[k]];
    const j = runs[k + 1];
    for (let i = runs[k + 2]; i <= runs[k + 3]; i++) {
      const dx = i * a[0] + j * b[0];
      const dy = i * a[1] + j * b[1];
      const placed = ring.map(([x, y]) => turn([x + dx, y + dy]));
      if (touches(boxOf(placed), seen)) traceRing(brush, placed);
    }
  }
}

const touches = (a: Box, b: Box): boolean => a.minX <= b.maxX && a.maxX >= b.minX && a.minY <= b.maxY && a.maxY >= b.minY;

const OVER_PX = 12;
const OVER_FONT = `600 ${OVER_PX}px "Barlow Condensed", sans-serif`;

/** How much room a text written over tiles takes, pixels. */
export function overSize({ context }: Brush, text: string): ScreenSize {
  context.font = OVER_FONT;
  return { width: context.measureText(text).width + 6, height: OVER_PX + 3 };
}

/** Writes a short text over tiles, on a ground that keeps it readable. */
export function writeOver(brush: Brush, text: string, x: number, y: number): void {
  const { context, palette } = brush;
  const { width, height } = overSize(brush, text);
  context.fillStyle = palette.labelHalo;
  context.beginPath();
  context.roundRect(x - width / 2, y - height / 2, width, height, 3);
  context.fill();
  context.fillStyle = palette.label;
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  context.fillText(text, x, y + 0.5);
}
