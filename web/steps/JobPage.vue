<script setup lang="ts">
import { computed } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import StepTape from '../shell/StepTape.vue';
import LoadingState from './LoadingState.vue';

/** The frame of a step that is about the whole job: its heading with what can be printed, and one sheet that scrolls. */
const props = defineProps<{
  jobId: string;
  job: Job | null;
  trouble: string | null;
  current: 'order' | 'programme' | 'log';
  title: string;
}>();
const firstSurface = computed(() => props.job?.surfaces[0]?.id);
</script>

<template>
  <LoadingState v-if="!job" :trouble="trouble" />
  <div v-else class="page">
    <StepTape v-if="firstSurface" :job-id="jobId" :surface-id="firstSurface" :current="current" />
    <main class="sheet">
      <header class="head">
        <h1 class="grow">{{ title }}</h1>
        <slot name="papers" />
      </header>
      <p v-if="!firstSurface">There is no surface yet. <RouterLink :to="{ name: 'job', params: { jobId } }">Measure one</RouterLink></p>
      <slot v-else :job="job" />
    </main>
  </div>
</template>

<style scoped>
.page {
  display: flex;
  flex-direction: column;
}
.sheet {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  display: flex;
  flex-direction: column;
  gap: 1.1rem;
  padding: 1.4rem clamp(1rem, 4vw, 3.5rem) 3rem;
}
.sheet > :deep(*) {
  flex: none;
}
.head {
  display: flex;
  align-items: center;
  gap: 0.7rem;
  flex-wrap: wrap;
}
</style>
