<script setup lang="ts">
import { computed } from 'vue';
import { boxOf } from '@azulejo/core/geometry/ring';
import { outlineOf, type Shape } from '@azulejo/core/surface/shapes/registry';

/** The outline of a surface as a pencil sketch. */
const props = defineProps<{ shape: Shape }>();

/** Null for a shape that this version can't draw. */
const sketch = computed(() => {
  try {
    const { ring } = outlineOf(props.shape);
    const { minX, minY, maxX, maxY } = boxOf(ring);
    const pad = 0.04 * Math.max(maxX - minX, maxY - minY);
    return {
      points: ring.map(([x, y]) => `${(x - minX + pad).toFixed(1)},${(maxY - y + pad).toFixed(1)}`).join(' '),
      box: `0 0 ${(maxX - minX + 2 * pad).toFixed(1)} ${(maxY - minY + 2 * pad).toFixed(1)}`,
    };
  } catch {
    return null;
  }
});
</script>

<template>
  <svg v-if="sketch" :viewBox="sketch.box" class="sketch" aria-hidden="true"><polygon :points="sketch.points" /></svg>
</template>

<style scoped>
.sketch {
  width: 3.4rem;
  height: 2.6rem;
  overflow: visible;
}
polygon {
  fill: var(--cobalt-soft);
  stroke: var(--cobalt);
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
  stroke-linejoin: round;
}
</style>
