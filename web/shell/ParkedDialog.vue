<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { tapeOf } from '@azulejo/core/job/job';
import { describeEdit } from '@azulejo/core/messages/en/edits';
import type { SentChange } from '@azulejo/core/formats/apiTypes';
import { useJobStore } from '../stores/jobStore.ts';

defineProps<{ visible: boolean }>();
const emit = defineEmits<{ close: [] }>();
const jobs = useJobStore();

/** What a change that could not be saved would have set. */
function said({ edits }: SentChange): string {
  const { job } = jobs;
  if (!job) return '';
  return edits
    .slice(0, 3)
    .map((edit) => {
      const [, item] = edit.path;
      const surface = typeof item === 'object' ? job.surfaces.find(({ id }) => id === item.id) : undefined;
      const { what, mine } = describeEdit(edit, job, job, surface ? tapeOf(job, surface) : job.tape);
      return `${what} ${mine}`;
    })
    .join('; ');
}
</script>

<template>
  <Dialog :visible="visible" modal header="Not saved" @update:visible="emit('close')">
    <p class="lead">These changes could not be saved and are kept here. All others are saved.</p>
    <ul>
      <li v-for="{ change, why } in jobs.parked" :key="change.id">
        <div class="grow">
          <strong>{{ change.label }}</strong>
          <span class="soft said">{{ said(change) }}</span>
          <p class="why">{{ why }}</p>
        </div>
        <Button label="Try again" severity="secondary" outlined @click="jobs.tryParked(change.id)" />
        <Button label="Drop it" severity="secondary" text @click="jobs.dropParked(change.id)" />
      </li>
    </ul>
  </Dialog>
</template>

<style scoped>
.lead {
  max-width: 36rem;
  margin: 0 0 0.5rem;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  width: min(40rem, 86vw);
}
li {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  padding: 0.7rem 0;
  border-top: 1px solid var(--line);
}
.said {
  margin-left: 0.5rem;
}
li .p-button {
  flex: none;
}
.why {
  margin: 0.2rem 0 0;
  color: var(--bad);
}
</style>
