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

/** The chip that keys point at; null before the first of them. */
const pointed = ref<number | null>(null);
const WAYS: Readonly<Record<string, Point>> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };

/** The chip that follows in a direction: the nearest of those that lie more that way than across it. */
function nextChip(from: number, [wx, wy]: Point): number {
  const { chips } = props.sheet;
  const off = ({ xMm, yMm }: (typeof chips)[number]): number => {
    const [dx, dy] = [xMm - chips[from].xMm, yMm - chips[from].yMm];
    const [along, across] = [dx * wx + dy * wy, Math.abs(dx * wy - dy * wx)];
    return along > 0 && across <= along ? along + 2 * across : Infinity;
  };
  const ranked = chips.map((chip, k) => ({ k, off: off(chip) })).sort((a, b) => a.off - b.off);
  return ranked[0].off < Infinity ? ranked[0].k : from;
}
function key(event: KeyboardEvent): void {
  const way = WAYS[event.key];
  const at = pointed.value !== null && pointed.value < props.sheet.chips.length ? pointed.value : null;
  if (way) pointed.value = at === null ? 0 : nextChip(at, way);
  else if ((event.key === 'Enter' || event.key === ' ') && at !== null) emit('chip', at, false);
  else return;
  event.preventDefault();
}

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
    role="application"
    tabindex="0"
    :aria-label="`${label}. Arrow keys point at a chip, Enter taps it.`"
    :style="{ background: jointColour }"
    @pointerdown="press"
    @pointermove="move"
    @pointerup="pressed = false"
    @pointerleave="pressed = false"
    @keydown="key"
    @blur="pointed = null"
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
      :class="{ chosen: k === chosen, faulty: faulty.includes(k), pointed: k === pointed }"
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
.pointed {
  stroke: var(--cobalt);
  stroke-width: 3;
  stroke-dasharray: 4 2;
}
.sheet:focus-visible {
  outline: 3px solid var(--cobalt);
  outline-offset: 2px;
}
.faulty {
  stroke: var(--brick, #b3321f);
  stroke-width: 4;
  stroke-dasharray: 5 3;
}
</style>
