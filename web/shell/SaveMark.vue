<script setup lang="ts">
import { computed } from 'vue';
import { PhCheck, PhCircleNotch, PhWarning } from '@phosphor-icons/vue';
import { useJobStore } from '../stores/jobStore.ts';

const jobs = useJobStore();
const words = computed(() => ({ saved: 'Saved', saving: 'Saving', unsaved: 'Not saved', conflict: 'Changed elsewhere' })[jobs.saveState]);
</script>

<template>
  <span class="save" :class="jobs.saveState" role="status" data-testid="save-state">
    <PhCheck v-if="jobs.saveState === 'saved'" :size="16" weight="bold" />
    <PhCircleNotch v-else-if="jobs.saveState === 'saving'" :size="16" />
    <PhWarning v-else :size="16" weight="bold" />
    {{ words }}
  </span>
</template>

<style scoped>
.save {
  display: inline-flex;
  align-items: center;
  gap: 0.3rem;
  font-size: 0.875rem;
  color: var(--ink-soft);
  padding: 0 0.5rem;
  white-space: nowrap;
}
.save.unsaved,
.save.conflict {
  color: var(--bad);
  font-weight: 600;
}
</style>
