<script setup lang="ts">
import { computed } from 'vue';
import type { Product } from '@azulejo/core/tile/product';

/** A tile in small: its picture, the colours of its chips, or its colour. */
const props = defineProps<{ product: Pick<Product, 'picture' | 'colour' | 'shape'> }>();
const background = computed(() => {
  const { picture, shape, colour } = props.product;
  if (picture) return `center / cover url(${picture})`;
  if (shape.kind !== 'sheet' || shape.palette.length === 1) return colour;
  const share = 100 / Math.min(4, shape.palette.length);
  const stops = shape.palette.slice(0, 4).map((own, k) => `${own} ${k * share}% ${(k + 1) * share}%`);
  return `linear-gradient(135deg, ${stops.join(', ')})`;
});
</script>

<template>
  <i :style="{ background }" />
</template>

<style scoped>
i {
  width: 2.3rem;
  height: 2.3rem;
  flex: none;
  border-radius: 2px;
  box-shadow: inset 0 0 0 1px #0003;
}
</style>
