<script setup lang="ts">
import Button from 'primevue/button';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { PhClockCounterClockwise, PhFolderOpen, PhPlus } from '@phosphor-icons/vue';
import { siteRecordsSchema } from '@azulejo/core/site/siteRecords';
import type { JobEntry } from '@azulejo/core/formats/apiTypes';
import { api, isUnreachable, ServerError } from '../../api/client.ts';
import { lastSeen } from '../../saving/lastSeen.ts';
import { readText } from '../readText.ts';
import CopiesDialog from './CopiesDialog.vue';
import DeleteJobDialog from './DeleteJobDialog.vue';
import FirstSetout from './FirstSetout.vue';
import { groupJobs } from './model.ts';
import JobRow from './JobRow.vue';
import NewJobDialog from './NewJobDialog.vue';
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
    .catch(async (error: unknown) => {
      const seen = isUnreachable(error) ? await lastSeen.find<readonly JobEntry[]>('jobs') : null;
      if (seen) list.value = seen;
      explain(error);
    });
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
  if (chosen) await bring(await readText(chosen));
  input.value = '';
}

/** Brings the jobs of the demo into the list. */
async function openDemo(): Promise<void> {
  trouble.value = [];
  try {
    for (const { job, site } of await demoFiles()) {
      const { id } = await api.importJob(job);
      const { ticks, entries } = siteRecordsSchema.parse(site);
      if (ticks.length > 0) await api.addTicks(id, ticks);
      for (const entry of entries) await api.addEntries(id, [entry]);
    }
    await load();
  } catch (error) {
    explain(error);
  }
}
/** The last to be brought stands first in the list. */
async function demoFiles(): Promise<{ readonly job: string; readonly site: unknown }[]> {
  const [boards, kiosk, kioskSite, bakehouse, bakehouseSite] = await Promise.all([
    import('../../../demo/sample-boards.json?raw'),
    import('../../../demo/ferry-kiosk.json?raw'),
    import('../../../demo/ferry-kiosk.site.json?raw'),
    import('../../../demo/tidewater-bakehouse.json?raw'),
    import('../../../demo/tidewater-bakehouse.site.json?raw'),
  ]);
  return [
    { job: boards.default, site: { ticks: [], entries: [] } },
    { job: kiosk.default, site: JSON.parse(kioskSite.default) as unknown },
    { job: bakehouse.default, site: JSON.parse(bakehouseSite.default) as unknown },
  ];
}

const groups = computed(() => groupJobs(list.value ?? []));
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
    <FirstSetout v-else-if="list?.length === 0" @show-demo="openDemo" />
    <section v-for="group in groups" v-else :key="group.name" class="group">
      <h2 v-if="groups.length > 1">{{ group.name }}</h2>
      <ul class="list">
        <JobRow v-for="job in group.jobs" :key="job.id" :job="job" @remove="deleting = job" />
      </ul>
    </section>
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
  max-width: 84rem;
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
  max-width: 84rem;
}
.group {
  max-width: 84rem;
}
.group + .group {
  margin-top: 1.6rem;
}
.group h2 {
  margin-bottom: 0.6rem;
}
.list {
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 0.7rem;
}
</style>
