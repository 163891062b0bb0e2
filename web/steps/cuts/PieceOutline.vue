<script setup lang="ts">
import { computed } from 'vue';
import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import type { Size } from '@azulejo/core/tile/product';

const props = defineProps<{ piece: CutPiece; tile: Size }>();

const VIEW = 100;
const scale = computed(() => (VIEW - 8) / Math.max(props.tile.widthMm, props.tile.heightMm));
const at = (x: number, y: number): string => {
  const k = scale.value;
  const left = (VIEW - props.tile.widthMm * k) / 2;
  const top = (VIEW - props.tile.heightMm * k) / 2;
  return `${(left + x * k).toFixed(2)} ${(top + (props.tile.heightMm - y) * k).toFixed(2)}`;
};
const path = computed(() => props.piece.inTile.map((ring) => `M${ring.map(([x, y]) => at(x, y)).join('L')}Z`).join(''));
const whole = computed(() => {
  const { widthMm: w, heightMm: h } = props.tile;
  return `M${at(0, 0)}L${at(w, 0)}L${at(w, h)}L${at(0, h)}Z`;
});
</script>

<template>
  <svg :viewBox="`0 0 ${VIEW} ${VIEW}`" aria-hidden="true">
    <path :d="whole" class="whole" />
    <path :d="path" class="piece" fill-rule="evenodd" />
  </svg>
</template>

<style scoped>
.whole {
  fill: none;
  stroke: var(--line-strong);
  stroke-width: 1.5;
  stroke-dasharray: 4 3;
}
.piece {
  fill: var(--cobalt-soft);
  stroke: var(--ink);
  stroke-width: 2.5;
  stroke-linejoin: round;
}
</style>
