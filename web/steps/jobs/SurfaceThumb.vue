<script setup lang="ts">
import type { SurfaceSketch } from '@azulejo/core/formats/glance';
import type { JobEntry } from '@azulejo/core/formats/apiTypes';
import OutlineSketch from './OutlineSketch.vue';

/** A surface in the list of jobs: as it is laid once that is known, its outline until then. */
defineProps<{ jobId: string; surface: JobEntry['latest'][number]; sketch: SurfaceSketch | null }>();
</script>

<template>
  <RouterLink
    :title="surface.laid ? `${surface.name}, laid` : surface.name"
    :to="{ name: 'surface', params: { jobId, surfaceId: surface.id, step: 'setout' } }"
    :aria-label="`${surface.name}: open the setout`"
    class="thumb"
  >
    <svg v-if="sketch" :viewBox="`-1 -1 ${sketch.width + 2} ${sketch.height + 2}`" aria-hidden="true">
      <path v-for="({ colour, path }, k) in sketch.fills" :key="k" :d="path" :fill="colour" fill-rule="evenodd" />
      <path :d="sketch.fills[0].path" class="outline" />
    </svg>
    <OutlineSketch v-else :shape="surface.shape" />
  </RouterLink>
</template>

<style scoped>
.thumb {
  display: grid;
  place-items: center;
  height: 5.4rem;
  border-radius: 3px;
}
.thumb:focus-visible {
  outline: 3px solid var(--cobalt);
  outline-offset: 2px;
}
svg {
  width: 100%;
  height: 100%;
  overflow: visible;
}
.thumb:hover .outline {
  stroke: var(--cobalt);
  stroke-width: 2.5px;
}
.outline {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
}
@media (max-width: 640px) {
  .thumb {
    height: 3.6rem;
  }
}
</style>
