<script setup lang="ts">
import { computed } from 'vue';
import { repeatOf, type Pattern } from '@azulejo/core/pattern/registry';
import { rectangleRing } from '@azulejo/core/geometry/ring';
import { forEachWhole, tileRing } from '@azulejo/core/setout/layout';
import { placeRepeat } from '@azulejo/core/setout/placeRepeat';
import { actualSize, type Product } from '@azulejo/core/tile/product';

const props = defineProps<{ pattern: Pattern; product: Product; jointMm: number }>();

/** The real repeat in the chosen tile and joint, over a patch of some pieces. */
const patch = computed(() => {
  const size = actualSize(props.product);
  const repeat = repeatOf(props.pattern, { ...size, jointMm: props.jointMm });
  const span = Math.max(size.widthMm, size.heightMm) * 2 + Math.min(size.widthMm, size.heightMm);
  const layout = placeRepeat([[rectangleRing(0, 0, span, span * 0.6)]], repeat, {
    origin: [-size.widthMm * 0.4, -size.heightMm * 0.3],
    turnDeg: 0,
  });
  const rings: string[] = [];
  const trace = (ring: readonly (readonly [number, number])[]): void => {
    rings.push(ring.map(([x, y]) => `${x.toFixed(1)},${(span * 0.6 - y).toFixed(1)}`).join(' '));
  };
  forEachWhole(layout, (address) => trace(tileRing(layout, address)));
  for (const { polygons } of layout.cutTiles) for (const polygon of polygons) trace(polygon[0]);
  return { rings, box: `0 0 ${span} ${span * 0.6}` };
});
</script>

<template>
  <svg :viewBox="patch.box" class="patch" aria-hidden="true">
    <polygon v-for="ring in patch.rings" :key="ring" :points="ring" :fill="product.colour" />
  </svg>
</template>

<style scoped>
.patch {
  display: block;
  width: 100%;
  background: #7d868d;
  border-radius: 2px;
}
</style>
