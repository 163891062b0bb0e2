<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { labelPoint } from '@azulejo/core/geometry/labelPoint';
import { boxOf, type Ring } from '@azulejo/core/geometry/ring';
import { distance, type Point } from '@azulejo/core/geometry/point';
import { formatLength } from '@azulejo/core/units/formatLength';
import { useTape } from '../../fields/useTape.ts';
import type { PicturedRing } from './model.ts';

/** Outlines at scale, each straight edge with its length. */
const props = defineProps<{ rings: readonly PicturedRing[] }>();
const tape = useTape();

const host = ref<HTMLDivElement | null>(null);
const size = useElementSize(host);
/** Figures are written this high, pixels. */
const FIGURE_PX = 17;

const drawn = computed(() => {
  const points = props.rings.flatMap(({ ring }) => ring);
  if (points.length < 2) return null;
  const box = boxOf(points);
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  // The drawing with room for its figures; a hundredth of it on screen tells how large they are written.
  const [across, up] = [Math.max(100, 1.28 * width), Math.max(100, 1.24 * height)];
  const mmPerPx = Math.max(across / Math.max(1, size.width.value), up / Math.max(1, size.height.value));
  const unit = (FIGURE_PX * mmPerPx) / 5;
  const at = ([x, y]: Point): string => `${x - box.minX} ${box.maxY - y}`;
  const place = (x: number, y: number): { x: number; y: number } => ({ x: x - box.minX, y: box.maxY - y });
  return {
    unit,
    viewBox: `${(width - across) / 2} ${(height - up) / 2} ${across} ${up}`,
    paths: props.rings.map(({ ring, closed }) => `M${ring.map(at).join('L')}${closed ? 'Z' : ''}`),
    names: props.rings.filter(({ name }) => name !== '').map(({ ring, name }) => ({ name, ...place(...labelPoint([ring])) })),
    start: place(...points[0]),
    lengths: props.rings.flatMap(({ ring, edgeIds, closed }) =>
      lengthsOf(ring, edgeIds, closed, unit).map((one) => ({ ...one, ...place(one.x, one.y) })),
    ),
  };
});

/** Where to write the length of each straight edge, outside it. */
function lengthsOf(ring: Ring, edgeIds: readonly string[], closed: boolean, unit: number): { text: string; x: number; y: number }[] {
  const count = closed ? ring.length : ring.length - 1;
  return Array.from({ length: count }, (_, k) => k).flatMap((k) => {
    if (edgeIds.filter((id) => id === edgeIds[k]).length !== 1) return [];
    const [from, to] = [ring[k], ring[(k + 1) % ring.length]];
    const mm = distance(from, to);
    if (mm < 4 * unit) return [];
    const [nx, ny] = [(to[1] - from[1]) / mm, -(to[0] - from[0]) / mm];
    const text = formatLength(mm, tape.value);
    const out = unit * (3.5 + Math.abs(nx) * text.length * 0.9);
    return [{ text, x: (from[0] + to[0]) / 2 + nx * out, y: (from[1] + to[1]) / 2 + ny * out }];
  });
}
</script>

<template>
  <div ref="host" class="picture">
    <svg v-if="drawn" :viewBox="drawn.viewBox" role="img" aria-label="The outline so far, drawn to scale">
      <path v-for="(d, k) in drawn.paths" :key="k" :d="d" :class="{ open: !rings[k].closed }" :stroke-width="drawn.unit * 0.7" />
      <circle v-if="rings.some(({ closed }) => !closed)" :cx="drawn.start.x" :cy="drawn.start.y" :r="drawn.unit * 1.6" />
      <text v-for="one in drawn.lengths" :key="`${one.x} ${one.y}`" :x="one.x" :y="one.y" :font-size="drawn.unit * 5">{{ one.text }}</text>
      <text v-for="one in drawn.names" :key="one.name" class="name" :x="one.x" :y="one.y" :font-size="drawn.unit * 4.2">
        {{ one.name }}
      </text>
    </svg>
    <p v-else class="empty soft">The drawing grows here as you type.</p>
  </div>
</template>

<style scoped>
.picture {
  height: 100%;
  padding: 0.5rem;
}
svg {
  width: 100%;
  height: 100%;
  display: block;
}
path {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-linejoin: round;
}
path.open {
  fill: none;
  stroke: var(--chalk);
}
circle {
  fill: var(--chalk);
}
text {
  fill: var(--ink);
  font-family: 'Barlow Condensed', sans-serif;
  font-weight: 600;
  text-anchor: middle;
  dominant-baseline: middle;
}
.name {
  fill: var(--ink-soft);
}
.empty {
  display: grid;
  place-content: center;
  height: 100%;
}
</style>
