<script setup lang="ts">
import { computed } from 'vue';
import { boxOf, type Ring } from '@azulejo/core/geometry/ring';
import { outlineOf, SHAPES, type ShapeId } from '@azulejo/core/surface/shapes/registry';

/** A small drawing of a kind of shape, from its usual figures. */
const props = defineProps<{ kind: ShapeId }>();
const SKEW: Ring = [
  [0, 0],
  [40, 3],
  [36, 30],
  [16, 34],
  [2, 24],
];
const path = computed(() => {
  const ring = props.kind === 'walls' ? SKEW : outlineOf(SHAPES[props.kind].defaults).ring;
  const { minX, minY, maxX, maxY } = boxOf(ring);
  const scale = Math.min(40 / (maxX - minX), 28 / (maxY - minY));
  const [dx, dy] = [(44 - scale * (maxX - minX)) / 2, (32 - scale * (maxY - minY)) / 2];
  return `M${ring.map(([x, y]) => `${dx + scale * (x - minX)} ${32 - dy - scale * (y - minY)}`).join('L')}Z`;
});
</script>

<template>
  <svg width="44" height="32" viewBox="0 0 44 32" aria-hidden="true"><path :d="path" /></svg>
</template>

<style scoped>
svg {
  justify-self: center;
}
path {
  fill: var(--panel);
  stroke: currentColor;
  stroke-width: 2;
  stroke-linejoin: round;
}
</style>
