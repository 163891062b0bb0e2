<script setup lang="ts">
import { describeChange } from '@azulejo/core/messages/en/changes';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { tapeOf } from '@azulejo/core/job/job';
import { describeEdit } from '@azulejo/core/messages/en/edits';
import { describeEntry, ENTRY_NAMES } from '@azulejo/core/messages/en/log';
import type { JobEntry, SentChange } from '@azulejo/core/formats/apiTypes';
import { computed, ref, watch } from 'vue';
import { lastSeen } from '../saving/lastSeen.ts';
import { useJobStore } from '../stores/jobStore.ts';
import { useLogStore } from '../stores/logStore.ts';
import { useTickStore } from '../stores/tickStore.ts';
import { useSaveState } from './useSaveState.ts';

const props = defineProps<{ visible: boolean }>();
const emit = defineEmits<{ close: [] }>();
const [jobs, ticks, log] = [useJobStore(), useTickStore(), useLogStore()];
const { left } = useSaveState();
/** What can't go out of other jobs, job by job. */
const others = computed(() =>
  [...new Set(left.value.map(({ jobId }) => jobId))].map((jobId) => {
    const of = left.value.filter((one) => one.jobId === jobId);
    return { jobId, count: of.reduce((sum, { count }) => sum + count, 0), why: of[0].why, isGone: of.every(({ isGone }) => isGone) };
  }),
);
const names = ref<ReadonlyMap<string, string>>(new Map());
watch(
  () => props.visible,
  async (visible) => {
    if (!visible) return;
    const seen = (await lastSeen.find<readonly JobEntry[]>('jobs')) ?? [];
    names.value = new Map(seen.map(({ id, name }) => [id, name]));
  },
);
const nameOf = (jobId: string): string => names.value.get(jobId) ?? 'A job that is not in the list';

/** Records that were refused, in words. */
const refused = computed(() => [
  ...ticks.aside.map(({ item, why }) => ({
    id: item.id,
    title: `${item.label} ${item.state === 'open' ? 'not cut' : item.state}`,
    about: jobs.job?.surfaces.find(({ id }) => id === item.surfaceId)?.name ?? '',
    why,
    store: ticks,
  })),
  ...log.aside.map(({ item, why }) => ({
    id: item.id,
    title: ENTRY_NAMES[item.data.kind],
    about: jobs.job ? describeEntry(jobs.job, item) : '',
    why,
    store: log,
  })),
]);
async function letGo(jobId: string): Promise<void> {
  await Promise.all([jobs.letGoLeft(jobId), ticks.letGo(jobId), log.letGo(jobId)]);
}
function tryAll(): void {
  void jobs.sendLeft();
  void ticks.sendOthers();
  void log.sendOthers();
}

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
    <p class="lead">This could not be saved and is kept here, on this device. Everything else is saved.</p>
    <ul>
      <li v-for="{ change, why } in jobs.parked" :key="change.id">
        <div class="grow">
          <strong>{{ describeChange(change.label) }}</strong>
          <span class="soft said">{{ said(change) }}</span>
          <p class="why">{{ why }}</p>
        </div>
        <Button label="Try again" severity="secondary" outlined @click="jobs.tryParked(change.id)" />
        <Button label="Drop it" severity="secondary" text @click="jobs.dropParked(change.id)" />
      </li>
      <li v-for="{ id, title, about, why, store } in refused" :key="id">
        <div class="grow">
          <strong>{{ title }}</strong>
          <span class="soft said">{{ about }}</span>
          <p class="why">{{ why }}</p>
        </div>
        <Button label="Try again" severity="secondary" outlined @click="store.tryAside(id)" />
        <Button label="Drop it" severity="secondary" text @click="store.dropAside(id)" />
      </li>
      <li v-for="{ jobId, count, why, isGone } in others" :key="jobId">
        <div class="grow">
          <strong>{{ nameOf(jobId) }}</strong>
          <span class="soft said">{{ count === 1 ? '1 thing' : `${count} things` }} changed, ticked or written down</span>
          <p class="why">{{ why }}</p>
        </div>
        <RouterLink v-if="!isGone" :to="{ name: 'job', params: { jobId } }" @click="emit('close')">Open it</RouterLink>
        <Button v-if="!isGone" label="Try again" severity="secondary" outlined @click="tryAll" />
        <Button label="Drop it" severity="secondary" text @click="letGo(jobId)" />
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
