<script setup lang="ts">
import { computed } from 'vue';
import type { SeenPiece } from '@azulejo/core/cuts/backView';
import { boxOf } from '@azulejo/core/geometry/ring';

const props = defineProps<{ piece: SeenPiece }>();

const VIEW = 100;
const around = computed(() => boxOf(props.piece.tile));
const scale = computed(() => (VIEW - 8) / Math.max(around.value.maxX - around.value.minX, around.value.maxY - around.value.minY));
const at = (x: number, y: number): string => {
  const k = scale.value;
  const { minX, minY, maxX, maxY } = around.value;
  const left = (VIEW - (maxX - minX) * k) / 2;
  const top = (VIEW - (maxY - minY) * k) / 2;
  return `${(left + (x - minX) * k).toFixed(2)} ${(top + (maxY - y) * k).toFixed(2)}`;
};
const path = computed(() => props.piece.inTile.map((ring) => `M${ring.map(([x, y]) => at(x, y)).join('L')}Z`).join(''));
const whole = computed(() => `M${props.piece.tile.map(([x, y]) => at(x, y)).join('L')}Z`);
/** An arrow up the middle of the piece: which way its face, or the arrow on its back, points. */
const arrow = computed(() => {
  const { minX, minY, maxX, maxY } = boxOf(props.piece.inTile[0]);
  const long = Math.min(26 / scale.value, (maxY - minY) * 0.6);
  const [x, y] = [(minX + maxX) / 2, (minY + maxY) / 2];
  const head = 6 / scale.value;
  const [tip, foot] = [y + long / 2, y - long / 2];
  return `M${at(x, foot)}L${at(x, tip)}M${at(x - head, tip - head)}L${at(x, tip)}L${at(x + head, tip - head)}`;
});
</script>

<template>
  <svg :viewBox="`0 0 ${VIEW} ${VIEW}`" aria-hidden="true">
    <path :d="whole" class="whole" />
    <path :d="path" class="piece" fill-rule="evenodd" />
    <path v-if="piece.hasWayUp" :d="arrow" class="arrow" />
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
.arrow {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
