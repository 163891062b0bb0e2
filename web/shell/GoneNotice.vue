<script setup lang="ts">
import Button from 'primevue/button';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import { api, ServerError } from '../api/client.ts';
import { useJobStore } from '../stores/jobStore.ts';
import { useLogStore } from '../stores/logStore.ts';
import { plain } from '../saving/plain.ts';
import { useTickStore } from '../stores/tickStore.ts';

const [jobs, ticks, log] = [useJobStore(), useTickStore(), useLogStore()];
const router = useRouter();
const trouble = ref<string | null>(null);

/** What is shown becomes a job again; the server gives it another id where its own is taken. */
async function keep(): Promise<void> {
  if (!jobs.job) return;
  try {
    const records = { ticks: [...ticks.known, ...ticks.waiting], entries: [...log.known, ...log.waiting] };
    const { id: jobId } = await api.importJob(writeJobFile(jobs.job, plain(records)));
    await forget();
    await jobs.open(jobId);
    await router.push({ name: 'job', params: { jobId } });
  } catch (error) {
    trouble.value = error instanceof ServerError ? error.words : 'The job could not be kept.';
  }
}

/** Nothing of the job that is gone waits any longer. */
async function forget(): Promise<void> {
  const { job } = jobs;
  if (!job) return;
  await Promise.all([ticks.letGo(job.id), log.letGo(job.id), jobs.letGo()]);
}

async function letGo(): Promise<void> {
  await forget();
  await router.push('/');
}
</script>

<template>
  <div class="gone" role="alert">
    <p class="grow">
      This job was deleted elsewhere. What you see, what you ticked and wrote down is all there is of it; it is not saved.
      <template v-if="trouble">{{ trouble }}</template>
    </p>
    <Button label="Keep it as a job" @click="keep" />
    <Button label="Let it go" severity="secondary" outlined @click="letGo" />
  </div>
</template>

<style scoped>
.gone {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.6rem;
  padding: 0.5rem 1rem;
  background: var(--bad-soft);
}
p {
  margin: 0;
  color: var(--bad);
  font-weight: 600;
}
</style>
