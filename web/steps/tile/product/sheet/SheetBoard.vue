<script setup lang="ts">
import { computed, ref } from 'vue';
import { add, type Point } from '@azulejo/core/geometry/point';
import { boxOf, type Ring } from '@azulejo/core/geometry/ring';
import { chipRing } from '@azulejo/core/tile/sheet/sheetChips';
import type { Sheet } from '@azulejo/core/tile/sheet/sheet';

/** A sheet at scale with a rim of the sheets beside it, so that the seams are seen. */
const props = defineProps<{ sheet: Sheet; jointColour: string; chosen: number | null; faulty: readonly number[]; label: string }>();
const emit = defineEmits<{ chip: [k: number, dragging: boolean]; ground: [at: Point] }>();

const rings = computed(() => props.sheet.chips.map((chip) => chipRing(props.sheet, chip)));
const box = computed(() => boxOf(rings.value.flat()));
const rim = computed(() => 0.14 * Math.max(box.value.maxX - box.value.minX, box.value.maxY - box.value.minY));
const viewBox = computed(() => {
  const { minX, minY, maxX, maxY } = box.value;
  const m = rim.value;
  return `${minX - m} ${-maxY - m} ${maxX - minX + 2 * m} ${maxY - minY + 2 * m}`;
});
const colourOf = (k: number): string => props.sheet.palette[props.sheet.chips[k].colour];
const path = (ring: Ring): string => `M${ring.map(([x, y]) => `${x.toFixed(2)} ${(-y).toFixed(2)}`).join('L')}Z`;

/** Chips of the eight sheets round this one that show in the rim. */
const beside = computed(() => {
  const { across, up } = props.sheet;
  const { minX, minY, maxX, maxY } = box.value;
  const m = rim.value;
  const steps: Point[] = [-1, 0, 1].flatMap((i) => [-1, 0, 1].map((j): Point => [i * across[0] + j * up[0], i * across[1] + j * up[1]]));
  return steps
    .filter(([x, y]) => x !== 0 || y !== 0)
    .flatMap((by) => rings.value.map((ring, k) => ({ ring: ring.map((p) => add(p, by)), fill: colourOf(k) })))
    .filter(({ ring }) => ring.some(([x, y]) => x > minX - m && x < maxX + m && y > minY - m && y < maxY + m));
});

const host = ref<SVGSVGElement | null>(null);
const pressed = ref(false);

function at(event: PointerEvent): Point {
  const matrix = host.value?.getScreenCTM();
  if (!matrix) return [0, 0];
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  return [x, -y];
}
function press(event: PointerEvent): void {
  pressed.value = true;
  const k = chipUnder(event);
  if (k === null) emit('ground', at(event));
  else emit('chip', k, false);
}
function move(event: PointerEvent): void {
  const k = pressed.value ? chipUnder(event) : null;
  if (k !== null) emit('chip', k, true);
}
function chipUnder(event: PointerEvent): number | null {
  const found = document.elementFromPoint(event.clientX, event.clientY)?.getAttribute('data-chip');
  return found === null || found === undefined ? null : Number(found);
}
</script>

<template>
  <svg
    ref="host"
    :viewBox="viewBox"
    class="sheet"
    role="img"
    :aria-label="label"
    :style="{ background: jointColour }"
    @pointerdown="press"
    @pointermove="move"
    @pointerup="pressed = false"
    @pointerleave="pressed = false"
  >
    <g class="beside">
      <path v-for="(piece, k) in beside" :key="k" :d="path(piece.ring)" :fill="piece.fill" />
    </g>
    <path
      v-for="(ring, k) in rings"
      :key="k"
      :data-chip="k"
      :d="path(ring)"
      :fill="colourOf(k)"
      class="chip"
      :class="{ chosen: k === chosen, faulty: faulty.includes(k) }"
    />
  </svg>
</template>

<style scoped>
.sheet {
  display: block;
  width: 100%;
  max-height: 60vh;
  border-radius: 4px;
  touch-action: none;
  cursor: crosshair;
}
.beside {
  opacity: 0.38;
  pointer-events: none;
}
.chip {
  stroke: #14202b61;
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
.chosen {
  stroke: var(--cobalt);
  stroke-width: 4;
}
.faulty {
  stroke: var(--brick, #b3321f);
  stroke-width: 4;
  stroke-dasharray: 5 3;
}
</style>
