<script setup lang="ts">
import { computed, ref } from 'vue';
import { PhCheck, PhCircleNotch, PhCloudSlash, PhWarning } from '@phosphor-icons/vue';
import { isAway } from '../api/reach.ts';
import { useJobStore } from '../stores/jobStore.ts';
import ParkedDialog from './ParkedDialog.vue';

const jobs = useJobStore();
const isOpen = ref(false);
const parked = computed(() => (jobs.parked.length === 1 ? '1 change not saved' : `${jobs.parked.length} changes not saved`));
const words = computed(
  () =>
    ({
      saved: isAway.value ? 'No server' : 'Saved',
      saving: 'Saving',
      unsaved: 'Not saved',
      parked: parked.value,
      conflict: 'Changed elsewhere',
      gone: 'Deleted elsewhere',
    })[jobs.saveState],
);
</script>

<template>
  <span class="save" :class="jobs.saveState" role="status" data-testid="save-state">
    <PhCloudSlash v-if="jobs.saveState === 'saved' && isAway" :size="16" weight="bold" />
    <PhCheck v-else-if="jobs.saveState === 'saved'" :size="16" weight="bold" />
    <PhCircleNotch v-else-if="jobs.saveState === 'saving'" :size="16" />
    <PhWarning v-else :size="16" weight="bold" />
    <button v-if="jobs.parked.length > 0" type="button" class="plain look" @click="isOpen = true">{{ parked }}</button>
    <template v-else>{{ words }}</template>
  </span>
  <ParkedDialog :visible="isOpen && jobs.parked.length > 0" @close="isOpen = false" />
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
.save.parked,
.save.gone,
.save.conflict {
  color: var(--bad);
  font-weight: 600;
}
.look {
  text-decoration: underline;
  color: var(--bad);
  font-weight: 600;
  min-height: 44px;
  display: inline-flex;
  align-items: center;
}
</style>
