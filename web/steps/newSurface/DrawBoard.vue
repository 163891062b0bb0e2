<script setup lang="ts">
import Button from 'primevue/button';
import { useElementSize } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import { PhArrowUUpLeft } from '@phosphor-icons/vue';
import { distance, type Point } from '@azulejo/core/geometry/point';
import { ringArea } from '@azulejo/core/geometry/ring';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { startMeasured } from '@azulejo/core/job/startJob';
import { checkMeasured } from '@azulejo/core/surface/checkMeasured';
import { wallsThrough } from '@azulejo/core/surface/shapes/asWalls';
import type { Shape } from '@azulejo/core/surface/shapes/registry';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import { MM_PER_INCH } from '@azulejo/core/units/tape';
import { useTape } from '../../fields/useTape.ts';
import TroubleNote from '../../fields/TroubleNote.vue';

/** Corners drawn with a finger or a mouse on squared paper; lengths are typed over afterwards. */
const tape = useTape();
const emit = defineEmits<{ shape: [shape: Shape | null] }>();
const paper = useTemplateRef<SVGSVGElement>('paper');
const size = useElementSize(paper);
const points = ref<Point[]>([]);
const closed = ref(false);
const hover = ref<Point | null>(null);
const trouble = ref<string | null>(null);

/** The paper is so wide and high, mm, on squares of a handy size. */
const WIDE_MM = 7000;
const HIGH_MM = 5000;
const REACH_MM = 260;
const stepMm = computed(() => (tape.value.system === 'metric' ? 50 : 2 * MM_PER_INCH));
const square = computed(() => (tape.value.system === 'metric' ? 500 : 24 * MM_PER_INCH));

/** Figures and corners are as large on a phone as on a desk, mm of paper. */
const mmPerPx = computed(() => Math.max(WIDE_MM / Math.max(1, size.width.value), HIGH_MM / Math.max(1, size.height.value)));

const show = (mm: number): string => formatLengthWithUnit(mm, tape.value);
const path = computed(() => {
  const all = closed.value || !hover.value ? points.value : [...points.value, hover.value];
  return all.length === 0 ? '' : `M${all.map(([x, y]) => `${x} ${HIGH_MM - y}`).join('L')}${closed.value ? 'Z' : ''}`;
});
const lengths = computed(() =>
  points.value.flatMap((from, k) => {
    const to = points.value[k + 1] ?? (closed.value ? points.value[0] : hover.value);
    if (!to || distance(from, to) < 400) return [];
    return [{ x: (from[0] + to[0]) / 2, y: HIGH_MM - (from[1] + to[1]) / 2, text: show(distance(from, to)) }];
  }),
);

function placeOf(event: PointerEvent): Point {
  const box = paper.value?.getBoundingClientRect();
  if (!box) return [0, 0];
  const scale = Math.min(box.width / WIDE_MM, box.height / HIGH_MM);
  const x = (event.clientX - box.left - (box.width - scale * WIDE_MM) / 2) / scale;
  const y = HIGH_MM - (event.clientY - box.top - (box.height - scale * HIGH_MM) / 2) / scale;
  const onSquare = (mm: number): number => Math.round(mm / stepMm.value) * stepMm.value;
  return [onSquare(x), onSquare(y)];
}
function put(event: PointerEvent): void {
  if (closed.value) return;
  const at = placeOf(event);
  if (points.value.length >= 3 && distance(at, points.value[0]) <= Math.max(REACH_MM, mmPerPx.value * 22)) close();
  else if (points.value.every((other) => distance(other, at) > 1)) points.value = [...points.value, at];
}
function close(): void {
  const ring = ringArea(points.value) < 0 ? [...points.value].reverse() : points.value;
  const shape = wallsThrough(
    ring,
    ring.map((_, k) => ({ id: `w${k + 1}`, name: '', curve: null })),
  );
  const [issue] = checkMeasured(startMeasured(shape));
  trouble.value = issue ? describeIssue(issue, tape.value) : null;
  if (issue) return;
  closed.value = true;
  hover.value = null;
  emit('shape', shape);
}
function back(): void {
  if (!closed.value) points.value = points.value.slice(0, -1);
  [closed.value, trouble.value] = [false, null];
  emit('shape', null);
}
</script>

<template>
  <div class="sheet">
    <svg
      ref="paper"
      :viewBox="`0 0 ${WIDE_MM} ${HIGH_MM}`"
      role="img"
      aria-label="Squared paper; press where each corner is. Wall by wall does the same with the keyboard."
      data-testid="paper"
      @pointerdown="put"
      @pointermove="hover = closed ? null : placeOf($event)"
      @pointerleave="hover = null"
    >
      <path v-for="k in Math.floor(WIDE_MM / square)" :key="`x${k}`" class="rule" :d="`M${k * square} 0V${HIGH_MM}`" />
      <path v-for="k in Math.floor(HIGH_MM / square)" :key="`y${k}`" class="rule" :d="`M0 ${HIGH_MM - k * square}H${WIDE_MM}`" />
      <path class="line" :class="{ closed }" :d="path" :stroke-width="mmPerPx * 4" />
      <circle
        v-for="([x, y], k) in points"
        :key="k"
        :cx="x"
        :cy="HIGH_MM - y"
        :r="mmPerPx * (k === 0 && !closed ? 13 : 6)"
        :class="{ first: k === 0 }"
        :stroke-width="mmPerPx * 2.5"
      />
      <text v-for="one in lengths" :key="`${one.x} ${one.y}`" :x="one.x" :y="one.y" :font-size="mmPerPx * 17" :stroke-width="mmPerPx * 6">
        {{ one.text }}
      </text>
    </svg>
    <div class="tools">
      <TroubleNote v-if="trouble" :why="trouble" />
      <p v-else class="soft small">
        {{
          closed
            ? 'Closed. Type the real lengths in Measure.'
            : points.length < 3
              ? `Press where each corner is. One square is ${show(square)}.`
              : 'Press the first corner again to close.'
        }}
      </p>
      <Button v-if="points.length > 0" severity="secondary" size="small" outlined @click="back"><PhArrowUUpLeft :size="18" />Back</Button>
    </div>
  </div>
</template>

<style scoped>
.sheet {
  height: 100%;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
}
svg {
  width: 100%;
  height: 100%;
  touch-action: none;
  cursor: crosshair;
}
.rule {
  stroke: var(--line);
  stroke-width: 8;
}
.line {
  fill: none;
  stroke: var(--chalk);
  stroke-linejoin: round;
}
.line.closed {
  fill: var(--panel);
  stroke: var(--ink);
}
circle {
  fill: var(--panel);
  stroke: var(--ink);
}
circle.first {
  stroke: var(--chalk);
}
text {
  font-family: 'Barlow Condensed', sans-serif;
  font-weight: 600;
  fill: var(--ink);
  text-anchor: middle;
  dominant-baseline: middle;
  paint-order: stroke;
  stroke: var(--paper);
  pointer-events: none;
}
.tools {
  display: flex;
  gap: 0.8rem;
  align-items: center;
  justify-content: center;
  min-height: 3.2rem;
  padding: 0.3rem 1rem;
}
</style>
