<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import Button from 'primevue/button';
import { computed, ref, watch } from 'vue';
import { PhArrowsOutCardinal, PhCornersOut, PhHandGrabbing, PhMinus, PhPlus } from '@phosphor-icons/vue';
import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import { isInside, type Polygon } from '@azulejo/core/geometry/ring';
import type { Point } from '@azulejo/core/geometry/point';
import type { Drawing } from '@azulejo/core/plan/planned';
import type { LayingZone } from '@azulejo/core/zones/layingZones';
import type { TickState } from '@azulejo/core/site/tick';
import { useTheme } from '../theme/useTheme.ts';
import { DARK_DRAWING, LIGHT_DRAWING } from '../theme/drawingPalette.ts';
import { gripAt, type Grip } from './grip.ts';
import type { Faces } from './faces.ts';
import { nearestEdge } from './nearestEdge.ts';
import type { MeasureOverlay } from './paintMeasures.ts';
import type { BoardContent } from './paintBoard.ts';
import { usePointers } from './usePointers.ts';
import { useTileSlide } from './useTileSlide.ts';
import { RIM_PX, useStage } from './useStage.ts';
import { fitView, toSurface, zoomView, type View } from './view.ts';
import { useTape } from '../fields/useTape.ts';

const props = defineProps<{
  drawing: Drawing | null;
  cuts: readonly CutPiece[] | null;
  /** What hands cut, to be named and picked. */
  toCut: readonly CutPiece[] | null;
  faces: Faces;
  show: BoardContent['show'];
  chosenPieces: readonly { readonly polygon: Polygon }[];
  chosenEdge: string | null;
  /** How far along pieces are, by their label. */
  ticked?: ReadonlyMap<string, TickState>;
  /** The zones in which it is laid, and the one that is looked at. */
  zones?: readonly LayingZone[];
  chosenZone?: string | null;
  movable: boolean;
  /** What measuring shows, and what can be taken hold of there. */
  measure?: MeasureOverlay | null;
  grips?: readonly Grip[];
  label: string;
}>();
const tape = useTape();
const emit = defineEmits<{
  move: [byMm: Point];
  drop: [];
  moveGrip: [id: string, byMm: Point];
  dropGrip: [];
  pickPiece: [label: string | null];
  pickEdge: [id: string];
  tap: [at: Point];
}>();

const MARGIN_PX = 72;
/** On a narrow board the controls lie below the drawing, else at its right. */
const NARROW_PX = 560;
const CONTROLS_PX = { below: 36, beside: 44 };
const EDGE_REACH_PX = 26;
const GRIP_REACH_PX = 18;
const ZOOM_STEP = 1.35;

const host = ref<HTMLDivElement | null>(null);
const size = useElementSize(host);
const screen = computed(() => ({ width: size.width.value, height: size.height.value }));
const view = ref<View>({ scale: 0.1, x: 0, y: 0 });
const handMoves = ref<'tiles' | 'view'>('tiles');
/** What the hand holds besides the tiles; the view stays while it does. */
const held = ref<string | null>(null);
const { isDark } = useTheme();
const palette = computed(() => (isDark.value ? DARK_DRAWING : LIGHT_DRAWING));

const outlineKey = computed(() => {
  const body = props.drawing?.traced.body;
  return body ? `${props.drawing?.surfaceId} ${Object.values(body).map(Math.round).join(' ')}` : '';
});

function fit(): void {
  if (held.value !== null || !props.drawing || screen.value.width === 0) return;
  const narrow = screen.value.width < NARROW_PX;
  const margin = narrow ? { x: 66, y: 42 } : { x: MARGIN_PX, y: MARGIN_PX };
  const points = [...props.drawing.traced.outline];
  const [minX, minY] = [Math.min(...points.map(([x]) => x)), Math.min(...points.map(([, y]) => y))];
  const [maxX, maxY] = [Math.max(...points.map(([x]) => x)), Math.max(...points.map(([, y]) => y))];
  const { width, height } = screen.value;
  const room = narrow ? screen.value : { width: width - CONTROLS_PX.beside, height };
  view.value = fitView({ minX, minY, maxX, maxY }, room, margin, narrow ? CONTROLS_PX.below : 0);
}
watch([outlineKey, screen], fit, { immediate: true, flush: 'post' });

const grabbed = ref(false);
const slide = useTileSlide(host, () => ({ ...props, view: view.value, size: screen.value, palette: palette.value }));
const content = computed<BoardContent | null>(() =>
  props.drawing
    ? {
        drawing: props.drawing,
        cuts: props.cuts,
        toCut: props.toCut,
        faces: props.faces,
        tape: tape.value,
        show: props.show,
        chosenPieces: props.chosenPieces,
        chosenEdge: props.chosenEdge,
        measure: props.measure ?? null,
        sliding: slide.sliding.value,
        ticked: props.ticked ?? new Map(),
        zones: props.zones ?? [],
        chosenZone: props.chosenZone ?? null,
      }
    : null,
);
useStage(host, { content, view, size: screen, palette }, RIM_PX);
/** Tiles that were let go of lie still once the plan has caught up. */
watch(
  () => props.drawing,
  () => {
    if (!grabbed.value) slide.end();
  },
);

const zoomBy = (factor: number): void => {
  view.value = zoomView(view.value, factor, [screen.value.width / 2, screen.value.height / 2]);
};

function pick(at: Point): void {
  if (!props.drawing) return;
  const point = toSurface(view.value, at);
  emit('tap', point);
  const edge = nearestEdge(props.drawing.traced.edges, point, EDGE_REACH_PX / view.value.scale);
  const piece = props.toCut?.find(({ polygon }) => isInside(point, [polygon]));
  if (edge && (props.movable || !piece)) emit('pickEdge', edge.id);
  else emit('pickPiece', piece?.label ?? null);
}

usePointers(host, {
  begin: (at, wantsView) => {
    if (wantsView || props.drawing === null) return false;
    const point = toSurface(view.value, at);
    held.value = gripAt(props.grips ?? [], point, GRIP_REACH_PX / view.value.scale)?.id ?? null;
    return held.value !== null || (props.movable && handMoves.value === 'tiles' && isInside(point, props.drawing.traced.region));
  },
  moveHeld: ([x, y]) => {
    const by: Point = [x / view.value.scale, -y / view.value.scale];
    if (held.value === null) {
      if (!slide.sliding.value) slide.start();
      grabbed.value = true;
      slide.moveBy([x, y]);
      emit('move', by);
    } else emit('moveGrip', held.value, by);
  },
  dropHeld: () => {
    grabbed.value = false;
    if (held.value === null) emit('drop');
    else emit('dropGrip');
    held.value = null;
  },
  moveView: ([x, y]) => {
    view.value = { ...view.value, x: view.value.x + x, y: view.value.y + y };
  },
  zoom: (factor, about) => {
    view.value = zoomView(view.value, factor, about);
  },
  tap: pick,
});

defineExpose({ fit, zoomBy });
</script>

<template>
  <div class="board">
    <div
      ref="host"
      class="canvas"
      :class="{ movable: movable && handMoves === 'tiles' }"
      role="application"
      tabindex="0"
      :aria-label="label"
      data-testid="board"
    />
    <div class="tools no-print">
      <Button
        v-if="movable"
        :title="handMoves === 'tiles' ? 'Dragging moves the tiles' : 'Dragging moves the view'"
        severity="secondary"
        :aria-label="
          handMoves === 'tiles' ? 'Dragging moves the tiles; switch to the view' : 'Dragging moves the view; switch to the tiles'
        "
        @click="handMoves = handMoves === 'tiles' ? 'view' : 'tiles'"
      >
        <PhArrowsOutCardinal v-if="handMoves === 'tiles'" :size="20" /><PhHandGrabbing v-else :size="20" />
      </Button>
      <Button title="Closer (+)" severity="secondary" class="zoom" aria-label="Closer" @click="zoomBy(ZOOM_STEP)"
        ><PhPlus :size="20"
      /></Button>
      <Button title="Further away (-)" severity="secondary" class="zoom" aria-label="Further away" @click="zoomBy(1 / ZOOM_STEP)"
        ><PhMinus :size="20"
      /></Button>
      <Button title="Whole surface (0)" severity="secondary" aria-label="Whole surface" @click="fit"><PhCornersOut :size="20" /></Button>
    </div>
    <slot />
  </div>
</template>

<style scoped>
.board {
  position: relative;
  overflow: hidden;
  background: var(--paper);
  min-height: 0;
}
.canvas {
  position: absolute;
  inset: 0;
  touch-action: none;
  cursor: grab;
}
.canvas:focus-visible {
  outline: 3px solid var(--cobalt);
  outline-offset: -3px;
}
.canvas.movable {
  cursor: move;
}
.tools {
  position: absolute;
  right: 12px;
  bottom: 12px;
  display: grid;
  gap: 6px;
}
@media (max-width: 560px), (max-height: 560px) {
  .tools {
    grid-auto-flow: column;
    bottom: 6px;
    right: 6px;
  }
  .tools .zoom {
    display: none;
  }
}
.tools :deep(.p-button) {
  padding: 0.55rem;
  background: var(--panel);
  border-color: var(--line);
  color: var(--ink);
}
@media print {
  .board {
    height: auto;
  }
  .canvas {
    position: static;
  }
  .canvas :deep(.konvajs-content),
  .canvas :deep(canvas) {
    position: static !important;
    width: 100% !important;
    height: auto !important;
  }
}
</style>
