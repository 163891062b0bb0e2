<script setup lang="ts">
import { computed } from 'vue';
import type { Mark } from '@azulejo/core/cuts/cutKind';
import { rebuildPiece } from '@azulejo/core/cuts/rebuildPiece';
import { rectangleRing } from '@azulejo/core/geometry/ring';

/** A tile with what a mark leaves of it, and with what it should leave, once that was judged. */
const props = defineProps<{
  /** Its width and height, mm. */
  tile: readonly [number, number];
  mark: Mark | null;
  right: Mark | null;
  hasWayUp: boolean;
}>();

const VIEW = 200;
const RIM = 20;
const k = computed(() => (VIEW - 2 * RIM) / Math.max(...props.tile));
const high = computed(() => props.tile[1] * k.value + 2 * RIM);
const whole = computed(() => rectangleRing(0, 0, ...props.tile));
const left = computed(() => (VIEW - props.tile[0] * k.value) / 2);
function pathOf(mark: Mark | null): string {
  const polygons = mark === null ? [[whole.value]] : rebuildPiece([mark], whole.value);
  const at = ([x, y]: readonly [number, number]): string =>
    `${(left.value + x * k.value).toFixed(1)} ${(RIM + (props.tile[1] - y) * k.value).toFixed(1)}`;
  return polygons
    .flat()
    .map((ring) => `M${ring.map(at).join('L')}Z`)
    .join('');
}
</script>

<template>
  <svg
    :viewBox="`0 0 ${VIEW} ${high}`"
    :style="{ height: `${Math.min(230, 1.6 * high)}px` }"
    role="img"
    aria-label="The tile as it is marked"
  >
    <path :d="pathOf(null)" class="tile" />
    <path v-if="mark" :d="pathOf(mark)" class="kept" fill-rule="evenodd" />
    <path v-if="right" :d="pathOf(right)" class="right" />
    <path v-if="hasWayUp" class="arrow" :d="`M${VIEW / 2} ${high / 2 + 22}V${high / 2 - 22}m-7 8l7 -8l7 8`" />
  </svg>
</template>

<style scoped src="./marking.css"></style>
<style scoped>
.tile {
  stroke: var(--line-strong);
  stroke-width: 3;
}
</style>
