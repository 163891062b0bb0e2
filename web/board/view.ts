import type { Box } from '@azulejo/core/geometry/ring';
import type { Point } from '@azulejo/core/geometry/point';

/** Which part of the surface the board shows: pixels per mm, and where the surface's origin is, pixels. */
export interface View {
  readonly scale: number;
  readonly x: number;
  readonly y: number;
}

/** A size on screen, pixels. */
export interface ScreenSize {
  readonly width: number;
  readonly height: number;
}

const LEAST_SCALE = 0.002;
const GREATEST_SCALE = 20;

/** From the surface (mm, y up) to the screen (pixels, y down). */
export const toScreen = (view: View, [x, y]: Point): Point => [view.x + x * view.scale, view.y - y * view.scale];

/** From the screen to the surface. */
export const toSurface = (view: View, [x, y]: Point): Point => [(x - view.x) / view.scale, (view.y - y) / view.scale];

/** Shows a whole box with margins beside and above it and room below for controls, pixels. */
export function fitView(box: Box, size: ScreenSize, margin: { readonly x: number; readonly y: number }, below = 0): View {
  const width = Math.max(1, box.maxX - box.minX);
  const height = Math.max(1, box.maxY - box.minY);
  const scale = Math.max(LEAST_SCALE, Math.min((size.width - 2 * margin.x) / width, (size.height - below - 2 * margin.y) / height));
  return {
    scale,
    x: (size.width - width * scale) / 2 - box.minX * scale,
    y: (size.height - below + height * scale) / 2 + box.minY * scale,
  };
}

/** Zooms about a place on screen that stays where it is. */
export function zoomView(view: View, factor: number, about: Point): View {
  const scale = Math.min(GREATEST_SCALE, Math.max(LEAST_SCALE, view.scale * factor));
  const [x, y] = toSurface(view, about);
  return { scale, x: about[0] - x * scale, y: about[1] + y * scale };
}

/** The part of the surface on screen, mm. */
export function visibleBox(view: View, { width, height }: ScreenSize): Box {
  const [minX, maxY] = toSurface(view, [0, 0]);
  const [maxX, minY] = toSurface(view, [width, height]);
  return { minX, minY, maxX, maxY };
}

/** Where a canvas painted for one view lies so that it shows another: its top left corner on the board, pixels, and how much larger. */
export interface CanvasPlace {
  readonly x: number;
  readonly y: number;
  readonly k: number;
}

/** The place of a canvas that reaches beyond the board by `rimPx` on all sides, so that what it shows lies where the new view has it. */
export function canvasPlace(from: View, to: View, rimPx: number): CanvasPlace {
  const k = to.scale / from.scale;
  return { k, x: to.x - k * (rimPx + from.x), y: to.y - k * (rimPx + from.y) };
}

/** Whether a canvas in its place leaves no part of the board bare. */
export const coversBoard = ({ x, y, k }: CanvasPlace, { width, height }: ScreenSize, rimPx: number): boolean =>
  x <= 0 && y <= 0 && x + k * (width + 2 * rimPx) >= width && y + k * (height + 2 * rimPx) >= height;
