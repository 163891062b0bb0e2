<script setup lang="ts">
import { computed } from 'vue';
import type { FixtureKind } from '@azulejo/core/surface/fixtureCatalogue';
import { FIXTURE_STROKES } from '../../board/fixtureStrokes.ts';

/** The symbol of a kind of fixture, as it stands on the drawing. */
const props = defineProps<{ kind: FixtureKind; size?: number }>();
const path = computed(() =>
  FIXTURE_STROKES[props.kind].map((stroke) =>
    stroke.kind === 'circle'
      ? `M${stroke.x - stroke.r} ${1 - stroke.y}a${stroke.r} ${stroke.r} 0 1 0 ${2 * stroke.r} 0a${stroke.r} ${stroke.r} 0 1 0 ${-2 * stroke.r} 0`
      : stroke.points.map(([x, y], k) => `${k === 0 ? 'M' : 'L'}${x} ${1 - y}`).join(''),
  ),
);
</script>

<template>
  <svg :width="size ?? 22" :height="size ?? 22" viewBox="-0.06 -0.06 1.12 1.12" aria-hidden="true">
    <path v-for="d in path" :key="d" :d="d" />
  </svg>
</template>

<style scoped>
path {
  fill: none;
  stroke: currentColor;
  stroke-width: 0.07;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
