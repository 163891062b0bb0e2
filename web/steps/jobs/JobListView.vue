<script setup lang="ts">
import Button from 'primevue/button';
import { onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { PhClockCounterClockwise, PhFolderOpen, PhPlus, PhTrash, PhWarning } from '@phosphor-icons/vue';
import { api, ServerError, type JobEntry } from '../../api/client.ts';
import CopiesDialog from './CopiesDialog.vue';
import DeleteJobDialog from './DeleteJobDialog.vue';
import NewJobDialog from './NewJobDialog.vue';
import OutlineSketch from './OutlineSketch.vue';
import RescueNotice from './RescueNotice.vue';

const router = useRouter();
const list = ref<readonly JobEntry[] | null>(null);
const trouble = ref<readonly string[]>([]);
const starting = ref(false);
const copying = ref(false);
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

/** Brings the jobs of the demo into the list. */
async function openDemo(): Promise<void> {
  trouble.value = [];
  try {
    for (const text of await demoFiles()) await api.importJob(text);
    await load();
  } catch (error) {
    explain(error);
  }
}
/** The last to be brought stands first in the list. */
const demoFiles = async (): Promise<string[]> => {
  const files = await Promise.all([
    import('../../../demo/sample-boards.json?raw'),
    import('../../../demo/ferry-kiosk.json?raw'),
    import('../../../demo/tidewater-bakehouse.json?raw'),
  ]);
  return files.map(({ default: text }) => text);
};

/** The surface that changed last, where the work was left. */
const goOn = (job: JobEntry) => ({ name: 'surface', params: { jobId: job.id, surfaceId: job.latest[0].id, step: 'setout' } });
const when = (iso: string): string => new Date(iso).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
</script>

<template>
  <main class="jobs">
    <header class="head">
      <h1 class="grow">Jobs</h1>
      <input ref="file" type="file" accept=".json,application/json" class="unseen" aria-label="Job file" @change="readFile" />
      <Button severity="secondary" outlined @click="file?.click()"><PhFolderOpen :size="19" />Read a job file</Button>
      <Button severity="secondary" text @click="copying = true"><PhClockCounterClockwise :size="19" />Daily copies</Button>
      <Button @click="starting = true"><PhPlus :size="19" weight="bold" />New job</Button>
    </header>
    <RescueNotice />
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
          label="Bring three jobs to look at"
          severity="secondary"
          outlined
          @click="openDemo"
        />
      </div>
    </section>
    <ul v-else-if="list" class="list">
      <li v-for="job in list" :key="job.id">
        <RouterLink :to="{ name: 'job', params: { jobId: job.id } }" class="entry">
          <span class="who"
            ><span class="name">{{ job.name }}</span
            ><span class="soft">{{ job.client }}</span></span
          >
          <span class="sketches"><OutlineSketch v-for="surface in job.latest" :key="surface.id" :shape="surface.shape" /></span>
          <span class="figure count"
            >{{ job.surfaceCount }}<small> {{ job.surfaceCount === 1 ? 'surface' : 'surfaces' }}</small></span
          >
        </RouterLink>
        <p class="next small">
          <span v-if="job.toMeasureAgain > 0" class="again"
            ><PhWarning :size="16" weight="bold" />{{ job.toMeasureAgain }} {{ job.toMeasureAgain === 1 ? 'length' : 'lengths' }} to measure
            again</span
          >
          <RouterLink v-if="job.latest[0]" :to="goOn(job)">Go on with {{ job.latest[0].name }}</RouterLink>
          <RouterLink v-else :to="{ name: 'new-surface', params: { jobId: job.id } }">Measure the first surface</RouterLink>
          <span class="soft">{{ when(job.updatedAt) }}</span>
        </p>
        <Button text severity="secondary" :aria-label="`Delete ${job.name}`" @click="deleting = job"><PhTrash :size="18" /></Button>
      </li>
    </ul>
    <CopiesDialog v-if="copying" @close="copying = false" />
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
  max-width: 76rem;
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
  max-width: 76rem;
}
.list {
  margin: 0;
  padding: 0;
  list-style: none;
  max-width: 76rem;
  background: var(--panel);
  border-radius: 4px;
}
.list {
  display: grid;
  grid-template-columns: minmax(12rem, 1fr) auto auto minmax(15rem, auto) auto;
}
.list li {
  display: grid;
  grid-template-columns: subgrid;
  grid-column: 1 / -1;
  align-items: center;
  padding-right: 0.5rem;
}
.list li + li {
  border-top: 1px solid var(--line);
}
.entry {
  display: grid;
  grid-template-columns: subgrid;
  grid-column: 1 / 4;
  gap: 1.6rem;
  align-items: center;
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
.who {
  display: grid;
  min-width: 0;
}
.name {
  font: 600 1.15rem/1.3 'Barlow';
}
.sketches {
  display: flex;
  gap: 0.7rem;
}
.count {
  font-size: 1.3rem;
  white-space: nowrap;
}
.count small {
  margin-left: 0.25rem;
  font: 400 0.85rem 'Barlow';
  color: var(--ink-soft);
}
.next {
  display: grid;
  gap: 0.15rem;
  justify-items: start;
  padding: 0.8rem 0.6rem;
}
.next a {
  color: var(--cobalt);
}
.again {
  display: inline-flex;
  gap: 0.35rem;
  align-items: center;
  color: var(--warn);
  font-weight: 600;
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
@media (max-width: 860px) {
  .list {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .entry {
    grid-template-columns: minmax(0, 1fr) auto;
    grid-column: 1 / -1;
    gap: 0.4rem 1rem;
  }
  .sketches {
    grid-column: 1 / -1;
    grid-row: 2;
  }
  .next {
    padding: 0 1.1rem 0.9rem;
  }
}
</style>
