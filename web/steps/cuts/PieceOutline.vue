<script setup lang="ts">
import { computed } from 'vue';
import type { SeenPiece } from '@azulejo/core/cuts/backView';
import { boxOf } from '@azulejo/core/geometry/ring';

const props = defineProps<{ piece: SeenPiece }>();

const VIEW = 100;
/** Tiles with more corners than this have none to tape from. */
const MOST_CORNERS = 12;
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
/** Corners carry their numbers where a mark counts from them. */
const corners = computed(() => {
  const counted = props.piece.marks.some(({ type }) => type === 'chord') && props.piece.tile.length <= MOST_CORNERS;
  const { minX, minY, maxX, maxY } = around.value;
  const inward = ([x, y]: readonly [number, number]): [number, number] => [
    x + ((minX + maxX) / 2 - x) * 0.2,
    y + ((minY + maxY) / 2 - y) * 0.2,
  ];
  return counted ? props.piece.tile.map((corner, k) => ({ name: k + 1, place: at(...inward(corner)).split(' ') })) : [];
});
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
    <text v-for="{ name, place } in corners" :key="name" :x="place[0]" :y="place[1]">{{ name }}</text>
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
text {
  font:
    600 11px 'Barlow Condensed',
    sans-serif;
  text-anchor: middle;
  dominant-baseline: central;
  fill: var(--ink-soft);
}
</style>
