<script setup lang="ts">
import Button from 'primevue/button';
import { onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { PhFolderOpen, PhPlus, PhTrash } from '@phosphor-icons/vue';
import { api, ServerError, type JobEntry } from '../../api/client.ts';
import DeleteJobDialog from './DeleteJobDialog.vue';
import NewJobDialog from './NewJobDialog.vue';

const router = useRouter();
const list = ref<readonly JobEntry[] | null>(null);
const trouble = ref<readonly string[]>([]);
const starting = ref(false);
const deleting = ref<JobEntry | null>(null);
const file = ref<HTMLInputElement | null>(null);

const explain = (error: unknown): void => {
  const failure = error instanceof ServerError ? error : new ServerError('server/failed', 'That did not work.');
  trouble.value = [failure.message, ...failure.issues.map(({ message }) => message)];
};
const load = (): Promise<void> =>
  api
    .listJobs()
    .then((jobs) => {
      list.value = jobs;
    })
    .catch(explain);
onMounted(load);

async function bring(text: string): Promise<void> {
  trouble.value = [];
  try {
    const { id } = await api.importJob(text);
    await router.push({ name: 'job', params: { jobId: id } });
  } catch (error) {
    explain(error);
  }
}

async function readFile(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const chosen = input.files?.[0];
  if (chosen) await bring(await chosen.text());
  input.value = '';
}

async function openDemo(): Promise<void> {
  const { default: text } = await import('../../../demo/tidewater-bakehouse.json?raw');
  await bring(text);
}

const when = (iso: string): string => new Date(iso).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
</script>

<template>
  <main class="jobs">
    <header class="head">
      <h1 class="grow">Jobs</h1>
      <input ref="file" type="file" accept=".json,application/json" class="unseen" aria-label="Job file" @change="readFile" />
      <Button severity="secondary" outlined @click="file?.click()"><PhFolderOpen :size="19" />Read a job file</Button>
      <Button @click="starting = true"><PhPlus :size="19" weight="bold" />New job</Button>
    </header>
    <div v-if="trouble.length > 0" class="trouble" role="alert">
      <p v-for="line in trouble.slice(0, 6)" :key="line">{{ line }}</p>
    </div>
    <p v-if="list === null && trouble.length === 0" class="soft" role="status">Looking for jobs</p>
    <section v-else-if="list?.length === 0" class="empty">
      <span class="tiles" aria-hidden="true"><i v-for="k in 10" :key="k" /></span>
      <h2>Start with two lengths</h2>
      <p class="soft">
        Measure a wall or a floor, type both lengths as they stand on the tape, and the setout is on screen: where to start, what the end
        cuts are, what to order.
      </p>
      <div class="row">
        <Button label="New job" @click="starting = true" /><Button
          label="Look at the Tidewater Bakehouse"
          severity="secondary"
          outlined
          @click="openDemo"
        />
      </div>
    </section>
    <ul v-else-if="list" class="list">
      <li v-for="job in list" :key="job.id">
        <RouterLink :to="{ name: 'job', params: { jobId: job.id } }" class="entry">
          <span class="name">{{ job.name }}</span>
          <span class="soft">{{ job.client }}</span>
          <span class="figure count"
            >{{ job.surfaceCount }}<small> {{ job.surfaceCount === 1 ? 'surface' : 'surfaces' }}</small></span
          >
          <span class="soft small when">{{ when(job.updatedAt) }}</span>
        </RouterLink>
        <Button text severity="secondary" :aria-label="`Delete ${job.name}`" @click="deleting = job"><PhTrash :size="18" /></Button>
      </li>
    </ul>
    <NewJobDialog v-if="starting" @close="starting = false" />
    <DeleteJobDialog
      v-if="deleting"
      :job="deleting"
      @close="
        deleting = null;
        load();
      "
    />
  </main>
</template>

<style scoped>
.jobs {
  overflow-y: auto;
  padding: 1.6rem clamp(1rem, 4vw, 3rem) 3rem;
}
.head {
  display: flex;
  gap: 0.7rem;
  align-items: center;
  flex-wrap: wrap;
  margin-bottom: 1.25rem;
  max-width: 62rem;
}
.unseen {
  display: none;
}
.trouble {
  background: var(--bad-soft);
  color: var(--bad);
  padding: 0.7rem 1rem;
  border-radius: 4px;
  margin-bottom: 1rem;
  max-width: 62rem;
}
.list {
  margin: 0;
  padding: 0;
  list-style: none;
  max-width: 62rem;
  background: var(--panel);
  border-radius: 4px;
}
.list li {
  display: flex;
  align-items: center;
  padding-right: 0.5rem;
}
.list li + li {
  border-top: 1px solid var(--line);
}
.entry {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 2fr) auto 11rem;
  gap: 1rem;
  align-items: baseline;
  padding: 1rem 1.1rem;
  color: inherit;
  text-decoration: none;
}
.entry:hover {
  background: var(--cobalt-soft);
}
.entry:focus-visible {
  outline: 3px solid var(--cobalt);
  outline-offset: -3px;
}
.name {
  font: 600 1.15rem/1.3 'Barlow';
}
.count {
  font-size: 1.3rem;
}
.count small {
  font: 400 0.85rem 'Barlow';
  color: var(--ink-soft);
}
.when {
  text-align: right;
}
.empty {
  max-width: 34rem;
  margin: 9vh auto 0;
  display: grid;
  gap: 1rem;
}
.tiles {
  display: grid;
  grid-template-columns: repeat(5, 4rem);
  gap: 4px;
}
.tiles i {
  height: 2rem;
  background: var(--cobalt);
  opacity: 0.9;
}
.tiles i:nth-child(n + 6) {
  translate: -2rem;
}
.tiles i:nth-child(7) {
  background: var(--tape);
}
.tiles i:nth-child(6) {
  clip-path: inset(0 0 0 50%);
}
@media (max-width: 640px) {
  .entry {
    grid-template-columns: 1fr auto;
    gap: 0.2rem 1rem;
  }
  .when {
    text-align: left;
    grid-column: 1 / -1;
  }
}
</style>
