<script setup lang="ts">
import { computed } from 'vue';
import type { Side } from '@azulejo/core/cuts/cutKind';
import type { LineMark } from '@azulejo/core/cuts/practice';

/** A tile that is marked: an edge is chosen by pressing it, and the line lies where the figures say. */
const props = defineProps<{
  widthMm: number;
  heightMm: number;
  from: Side;
  mm: LineMark['mm'] | null;
  /** Where it should lie, once it was judged. */
  right: LineMark | null;
  hasWayUp: boolean;
}>();
const emit = defineEmits<{ choose: [side: Side] }>();

const VIEW = 200;
const RIM = 20;
const k = computed(() => (VIEW - 2 * RIM) / Math.max(props.widthMm, props.heightMm));
const box = computed(() => {
  const [width, height] = [props.widthMm * k.value, props.heightMm * k.value];
  return { x: (VIEW - width) / 2, y: RIM, width, height };
});
/** As high as the tile asks for. */
const high = computed(() => box.value.height + 2 * RIM);
/** The corners of what a mark keeps, in the picture. */
function keptOf({ from, mm: [first, last] }: LineMark): string {
  const { x, y, width, height } = box.value;
  const [a, b] = [first * k.value, last * k.value];
  const corners: Readonly<Record<Side, readonly (readonly [number, number])[]>> = {
    left: [
      [x, y],
      [x + b, y],
      [x + a, y + height],
      [x, y + height],
    ],
    right: [
      [x + width - b, y],
      [x + width, y],
      [x + width, y + height],
      [x + width - a, y + height],
    ],
    bottom: [
      [x, y + height - a],
      [x + width, y + height - b],
      [x + width, y + height],
      [x, y + height],
    ],
    top: [
      [x, y],
      [x + width, y],
      [x + width, y + b],
      [x, y + a],
    ],
  };
  return corners[from].map((p) => p.map((n) => n.toFixed(1)).join(' ')).join(', ');
}
const edges = computed(() => {
  const { x, y, width, height } = box.value;
  return [
    { side: 'left', x1: x, y1: y, x2: x, y2: y + height },
    { side: 'right', x1: x + width, y1: y, x2: x + width, y2: y + height },
    { side: 'bottom', x1: x, y1: y + height, x2: x + width, y2: y + height },
    { side: 'top', x1: x, y1: y, x2: x + width, y2: y },
  ] as const;
});
</script>

<template>
  <svg
    :viewBox="`0 0 ${VIEW} ${high}`"
    :style="{ height: `${Math.min(230, 1.6 * high)}px` }"
    role="img"
    :aria-label="`A tile marked from its ${from} edge`"
  >
    <rect v-bind="box" class="tile" />
    <polygon v-if="mm" :points="keptOf({ from, mm })" class="kept" />
    <polygon v-if="right" :points="keptOf(right)" class="right" />
    <path v-if="hasWayUp" class="arrow" :d="`M${VIEW / 2} ${high / 2 + 22}V${high / 2 - 22}m-7 8l7 -8l7 8`" />
    <g v-for="{ side, ...ends } in edges" :key="side" @click="emit('choose', side)">
      <line v-bind="ends" class="reach" />
      <line v-bind="ends" class="edge" :class="{ on: side === from }" />
    </g>
  </svg>
</template>

<style scoped src="./marking.css"></style>
<style scoped>
.reach {
  stroke: transparent;
  stroke-width: 34;
  cursor: pointer;
}
.edge {
  stroke: var(--line-strong);
  stroke-width: 3;
  pointer-events: none;
}
.edge.on {
  stroke: var(--chalk);
  stroke-width: 7;
}
</style>
