import Konva from 'konva/lib/Core.js';
import { Shape } from 'konva/lib/Shape.js';
import { onBeforeUnmount, onMounted, shallowRef, watch, type Ref } from 'vue';
import type { BoardContent } from './paintBoard.ts';
import { paintBoard } from './paintBoard.ts';
import type { DrawingPalette } from '../theme/drawingPalette.ts';
import type { ScreenSize, View } from './view.ts';

/** A canvas that repaints when what it shows changes; one shape over the plan's data, never a node a tile. */
export function useStage(
  host: Ref<HTMLDivElement | null>,
  state: {
    readonly content: Ref<BoardContent | null>;
    readonly view: Ref<View>;
    readonly size: Ref<ScreenSize>;
    readonly palette: Ref<DrawingPalette>;
  },
) {
  const stage = shallowRef<InstanceType<typeof Konva.Stage> | null>(null);

  onMounted(() => {
    if (!host.value) return;
    const made = new Konva.Stage({ container: host.value, width: state.size.value.width, height: state.size.value.height });
    const layer = new Konva.Layer({ listening: false });
    const shape = new Shape({
      listening: false,
      sceneFunc: (context) => {
        if (!state.content.value) return;
        const brush = { context: context._context, view: state.view.value, size: state.size.value, palette: state.palette.value };
        paintBoard(brush, state.content.value);
      },
    });
    layer.add(shape);
    made.add(layer);
    stage.value = made;
    void document.fonts.ready.then(() => layer.batchDraw());
  });

  watch([state.content, state.view, state.palette], () => stage.value?.batchDraw());
  watch(state.size, ({ width, height }) => {
    stage.value?.size({ width, height });
    stage.value?.batchDraw();
  });
  onBeforeUnmount(() => stage.value?.destroy());
}
