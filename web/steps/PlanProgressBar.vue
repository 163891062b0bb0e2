<script setup lang="ts">
import Button from 'primevue/button';
import type { PlanProgress, PlanStage } from '@azulejo/core/plan/layout/planSurfaceLayout';

/** How far the plan of a surface has come, and a way to stop it; shown only where it takes a while. */
defineProps<{ progress: PlanProgress | null; stopped: boolean }>();
const emit = defineEmits<{ stop: []; again: [] }>();

const STAGES: Readonly<Record<PlanStage, string>> = {
  placing: 'Placing pieces',
  comparing: 'Comparing setouts',
  cuts: 'Describing cuts',
  offCuts: 'Sharing out off-cuts',
};
</script>

<template>
  <div v-if="stopped" class="bar" role="status">
    <span class="grow">Stopped. Cuts and figures are not worked out.</span>
    <Button size="small" @click="emit('again')">Work them out</Button>
  </div>
  <div v-else-if="progress" class="bar late" role="status">
    <label class="grow"
      >{{ STAGES[progress.stage] }} <progress max="1" :value="progress.share">{{ Math.round(100 * progress.share) }} %</progress></label
    >
    <Button size="small" severity="secondary" outlined @click="emit('stop')">Stop</Button>
  </div>
</template>

<style scoped>
.bar {
  position: absolute;
  left: 12px;
  bottom: 12px;
  display: flex;
  gap: 0.8rem;
  align-items: center;
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 0.5rem 0.8rem;
  font-size: 0.9rem;
}
.late {
  animation: appear 0s 0.4s both;
}
@keyframes appear {
  from {
    visibility: hidden;
  }
}
label {
  display: grid;
  gap: 0.25rem;
}
progress {
  width: 11rem;
  height: 6px;
  accent-color: var(--cobalt);
}
</style>
