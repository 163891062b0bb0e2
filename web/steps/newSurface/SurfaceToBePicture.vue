<script setup lang="ts">
import { computed, useId } from 'vue';
import { boxOf } from '@azulejo/core/geometry/ring';
import { outlineOf } from '@azulejo/core/surface/shapes/registry';
import type { SurfaceToBe } from './surfaceToBe.ts';

/** What will stand here once the lengths are there: the shape in pencil, tiles to come, what is still to be measured. */
const props = defineProps<{ toBe: SurfaceToBe | null }>();
const tiles = useId();

const pencil = computed(() => {
  if (!props.toBe) return null;
  const { ring } = outlineOf(props.toBe.shape);
  const { minX, minY, maxX, maxY } = boxOf(ring);
  const longest = Math.max(maxX - minX, maxY - minY);
  const pad = 0.18 * longest;
  return {
    box: `${minX - pad} ${-maxY - pad} ${maxX - minX + 2 * pad} ${maxY - minY + 2 * pad}`,
    path: `M${ring.map(([x, y]) => `${x} ${-y}`).join('L')}Z`,
    tileMm: longest / 9,
    corner: { x: minX, y: -minY },
  };
});
const say = computed(() => {
  if (!props.toBe) return 'The walls grow here, one after the other, as you type them.';
  const [next, ...rest] = props.toBe.toGo;
  if (next === undefined) return '';
  return rest.length === 0 ? `One length to go: ${next.toLowerCase()}.` : `${rest.length + 1} lengths to go. First: ${next.toLowerCase()}.`;
});
</script>

<template>
  <figure>
    <svg v-if="pencil" :viewBox="pencil.box" aria-hidden="true">
      <defs>
        <pattern
          :id="tiles"
          :x="pencil.corner.x"
          :y="pencil.corner.y"
          :width="pencil.tileMm"
          :height="pencil.tileMm"
          patternUnits="userSpaceOnUse"
        >
          <path :d="`M0 0H${pencil.tileMm}M0 0V${pencil.tileMm}`" class="joint" />
        </pattern>
      </defs>
      <path :d="pencil.path" class="ground" />
      <path :d="pencil.path" :fill="`url(#${tiles})`" class="outline" />
    </svg>
    <figcaption role="status">{{ say }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  height: 100%;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  padding: 0.5rem;
}
svg {
  width: 100%;
  height: 100%;
  display: block;
}
.ground {
  fill: var(--panel);
}
.outline {
  stroke: var(--line-strong);
  stroke-width: 2px;
  stroke-dasharray: 9 7;
  vector-effect: non-scaling-stroke;
}
.joint {
  stroke: var(--line);
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
  fill: none;
}
figcaption {
  color: var(--ink-soft);
  text-align: center;
  padding: 0.6rem 1rem 1.4rem;
}
@media (max-width: 860px) {
  figcaption {
    padding: 0.2rem 1rem 0.5rem;
  }
}
</style>
