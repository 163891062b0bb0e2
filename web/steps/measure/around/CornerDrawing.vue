<script setup lang="ts">
import { computed } from 'vue';
import type { CornerSection } from '@azulejo/core/job/cornerSection';
import { drawCorner } from './drawCorner.ts';

/** A corner cut across: the ground, bed and tile of both faces, and the joint between them. */
const props = defineProps<{ section: CornerSection; label: string }>();
const drawn = computed(() => drawCorner(props.section));
</script>

<template>
  <svg class="section" :viewBox="drawn.viewBox" role="img" :aria-label="label">
    <path class="ground" :d="drawn.ground" />
    <path v-for="(d, k) in drawn.beds" :key="`bed ${k}`" class="bed" :d="d" />
    <path v-for="(d, k) in drawn.tiles" :key="`tile ${k}`" class="tile" :d="d" />
    <path v-if="drawn.joint" class="joint" :d="drawn.joint" />
    <text
      v-for="{ at, name, upright } in drawn.names"
      :key="name"
      :transform="`translate(${at[0]} ${at[1]})${upright ? ' rotate(-90)' : ''}`"
    >
      {{ name }}
    </text>
  </svg>
</template>

<style scoped>
.section {
  width: 100%;
  max-height: 9.5rem;
}
.ground {
  fill: var(--line);
}
.bed {
  fill: var(--line-strong);
}
.tile {
  fill: var(--cobalt-soft);
  stroke: var(--ink);
  stroke-width: 0.6;
}
.joint {
  fill: var(--chalk);
}
text {
  font: 600 6px var(--figure);
  fill: var(--ink);
  text-anchor: middle;
  dominant-baseline: middle;
}
</style>
