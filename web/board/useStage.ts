import Konva from 'konva/lib/Core.js';
import { Shape } from 'konva/lib/Shape.js';
import { onBeforeUnmount, onMounted, shallowRef, watch, type Ref } from 'vue';
import type { BoardContent } from './paintBoard.ts';
import { paintBoard } from './paintBoard.ts';
import type { DrawingPalette } from '../theme/drawingPalette.ts';
import { canvasPlace, coversBoard, type ScreenSize, type View } from './view.ts';

/** The canvas of a board that is moved reaches beyond it by this much, pixels. */
export const RIM_PX = 120;

/** A canvas does not wait for its fonts: they are asked for, and it is painted again when they are there. */
const DRAWN_FONTS = ['600 12px "Barlow Condensed"', '600 12px "Barlow"'];

/** Enlarged more than this, what was painted is too blurred to be moved. */
const BLURRED = 2;

/** A view that stood still for this long is painted, ms. */
const SETTLED_MS = 90;

/**
 * A canvas that repaints when what it shows changes; one shape over the plan's data, never a node a tile.
 * While the view moves the painted canvas moves with it, and is painted again where it stops or runs out;
 * `rimPx` is how far it reaches beyond the board, pixels.
 */
export function useStage(
  host: Ref<HTMLDivElement | null>,
  state: {
    readonly content: Ref<BoardContent | null>;
    readonly view: Ref<View>;
    readonly size: Ref<ScreenSize>;
    readonly palette: Ref<DrawingPalette>;
  },
  rimPx: number,
) {
  const stage = shallowRef<InstanceType<typeof Konva.Stage> | null>(null);
  let painted: View | null = null;
  let settling: ReturnType<typeof setTimeout> | undefined;

  const canvasSize = (): ScreenSize => ({ width: state.size.value.width + 2 * rimPx, height: state.size.value.height + 2 * rimPx });
  const sheetOf = (): HTMLElement | null => host.value?.querySelector<HTMLElement>('.konvajs-content') ?? null;

  function paint(context: CanvasRenderingContext2D): void {
    painted = state.view.value;
    const sheet = sheetOf();
    if (sheet) sheet.style.transform = '';
    if (!state.content.value) return;
    const { scale, x, y } = painted;
    paintBoard(
      { context, view: { scale, x: x + rimPx, y: y + rimPx }, size: canvasSize(), palette: state.palette.value },
      state.content.value,
    );
  }

  onMounted(() => {
    if (!host.value) return;
    const made = new Konva.Stage({ container: host.value, ...canvasSize() });
    const layer = new Konva.Layer({ listening: false });
    layer.add(new Shape({ listening: false, sceneFunc: (context) => paint(context._context) }));
    made.add(layer);
    const sheet = sheetOf();
    if (sheet)
      Object.assign(sheet.style, {
        position: 'absolute',
        left: `${-rimPx}px`,
        top: `${-rimPx}px`,
        transformOrigin: '0 0',
        willChange: 'transform',
      });
    stage.value = made;
    document.fonts.addEventListener('loadingdone', repaint);
    void Promise.all(DRAWN_FONTS.map((font) => document.fonts.load(font))).then(repaint);
  });

  const repaint = (): void => {
    clearTimeout(settling);
    stage.value?.batchDraw();
  };
  watch([state.content, state.palette], repaint);
  watch(state.view, (view) => {
    clearTimeout(settling);
    if (!painted || !moveSheet(painted, view)) repaint();
    else settling = setTimeout(repaint, SETTLED_MS);
  });
  watch(state.size, () => {
    stage.value?.size(canvasSize());
    repaint();
  });
  onBeforeUnmount(() => {
    clearTimeout(settling);
    document.fonts.removeEventListener('loadingdone', repaint);
    stage.value?.destroy();
  });

  /** Moves and scales the painted canvas to a new view; false where it would leave a part of the board bare. */
  function moveSheet(from: View, to: View): boolean {
    const sheet = sheetOf();
    if (!sheet) return false;
    const place = canvasPlace(from, to, rimPx);
    if (place.k > BLURRED || !coversBoard(place, state.size.value, rimPx)) return false;
    sheet.style.transform = `translate(${place.x + rimPx}px, ${place.y + rimPx}px) scale(${place.k})`;
    return true;
  }
}
