import { shallowRef, type Ref } from 'vue';
import type { Point } from '@azulejo/core/geometry/point';
import { boxOf, boxRing, type Box } from '@azulejo/core/geometry/ring';
import type { Drawing } from '@azulejo/core/plan/planned';
import { cellShift } from '@azulejo/core/pattern/repeat';
import type { Field } from '@azulejo/core/setout/fields/field';
import { normaliseOffset } from '@azulejo/core/setout/place/normaliseOffset';
import { placeRepeat } from '@azulejo/core/setout/place/placeRepeat';
import type { BoardContent } from './paintBoard.ts';
import { paintField } from './paintTiles.ts';
import type { DrawingPalette } from '../theme/drawingPalette.ts';
import { toScreen, visibleBox, type ScreenSize, type View } from './view.ts';

/** What is on the board when a hand takes hold of the tiles. */
interface Shown extends Pick<BoardContent, 'faces' | 'show'> {
  readonly drawing: Drawing | null;
  readonly view: View;
  readonly size: ScreenSize;
  readonly palette: DrawingPalette;
}

/** More pixels than this are not kept for a slide; then tiles are painted as they come. */
const MOST_PIXELS = 12_000_000;

/**
 * Tiles that slide under a hand: painted once, beyond the region by a cell each way, and moved as a
 * picture behind a mask of the region. Where they end is drawn when the plan has caught up.
 */
export function useTileSlide(host: Ref<HTMLElement | null>, shown: () => Shown) {
  const sliding = shallowRef(false);
  let mask: HTMLDivElement | null = null;
  let picture: HTMLCanvasElement | null = null;
  let held: { readonly field: Field; readonly scale: number; by: Point } | null = null;

  /** Takes hold of the tiles of the main field; does nothing where bands part it, or where it would be too large. */
  function start(): void {
    const { drawing, view, size } = shown();
    if (!drawing || !host.value || drawing.fields.some(({ kind }) => kind === 'band' || kind === 'beyondBand')) return;
    end();
    const [field] = drawing.fields;
    const area = areaToPaint(drawing, field, visibleBox(view, size));
    const ratio = window.devicePixelRatio || 1;
    const [width, height] = [(area.maxX - area.minX) * view.scale, (area.maxY - area.minY) * view.scale];
    if (width * height * ratio * ratio > MOST_PIXELS) return;
    picture = paintArea(field, area, { width, height }, ratio);
    const [left, top] = toScreen(view, [area.minX, area.maxY]);
    Object.assign(picture.style, { position: 'absolute', left: `${left}px`, top: `${top}px`, willChange: 'transform' });
    mask = document.createElement('div');
    Object.assign(mask.style, { position: 'absolute', inset: '0', clipPath: maskOf(drawing, view) });
    mask.append(picture);
    host.value.prepend(mask);
    held = { field, scale: view.scale, by: [0, 0] };
    sliding.value = true;
  }

  function paintArea(field: Field, area: Box, size: ScreenSize, ratio: number): HTMLCanvasElement {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [Math.ceil(size.width * ratio), Math.ceil(size.height * ratio)];
    Object.assign(canvas.style, { width: `${size.width}px`, height: `${size.height}px` });
    const context = canvas.getContext('2d');
    if (!context) return canvas;
    const { faces, show, palette, view: now } = shown();
    const { scale } = now;
    const layout = placeRepeat([[boxRing(area)]], field.layout.repeat, field.layout.placement);
    context.scale(ratio, ratio);
    context.fillStyle = faces.jointColour;
    context.fillRect(0, 0, size.width, size.height);
    const view = { scale, x: -area.minX * scale, y: area.maxY * scale };
    paintField({ context, view, size, palette }, { ...field, layout }, { faces, finished: show === 'finished' });
    return canvas;
  }

  /** Moves the tiles by so many pixels. */
  function moveBy([x, y]: Point): void {
    if (!held || !picture) return;
    held.by = [held.by[0] + x / held.scale, held.by[1] - y / held.scale];
    const [dx, dy] = normaliseOffset(held.field.layout.repeat, held.by);
    picture.style.transform = `translate(${dx * held.scale}px, ${-dy * held.scale}px)`;
  }

  /** Lets the painted tiles take over again. */
  function end(): void {
    mask?.remove();
    [mask, picture, held, sliding.value] = [null, null, null, false];
  }

  return { sliding, start, moveBy, end };
}

/** What of the plane can come into the region in sight as tiles move by up to a cell. */
function areaToPaint({ traced }: Drawing, { layout }: Field, seen: Box): Box {
  const region = boxOf(traced.region.flat(2));
  const shifts = [0, 1].flatMap((i) => [0, 1].map((j) => cellShift(layout.repeat, i, j)));
  const [xs, ys] = [shifts.map(([x]) => x), shifts.map(([, y]) => y)];
  return {
    minX: Math.max(region.minX, seen.minX) - Math.max(...xs),
    maxX: Math.min(region.maxX, seen.maxX) - Math.min(...xs),
    minY: Math.max(region.minY, seen.minY) - Math.max(...ys),
    maxY: Math.min(region.maxY, seen.maxY) - Math.min(...ys),
  };
}

/** The region on screen, as a mask with its holes. */
function maskOf({ traced }: Drawing, view: View): string {
  const rings = traced.region.flat().map(
    (ring) =>
      `M${ring
        .map((p) =>
          toScreen(view, p)
            .map((px) => px.toFixed(2))
            .join(' '),
        )
        .join('L')}Z`,
  );
  return `path(evenodd, "${rings.join('')}")`;
}
