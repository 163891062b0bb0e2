<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, toRef } from 'vue';
import { PhDownloadSimple, PhPlus, PhShoppingCartSimple, PhSlidersHorizontal } from '@phosphor-icons/vue';
import type { Job } from '@azulejo/core/job';
import type { Plan } from '@azulejo/core/plan';
import { exportUrl } from '../../api/client.ts';
import { planner } from '../../workers/planner.ts';
import { useLatest } from '../../workers/useLatest.ts';
import JobDetailsDialog from './JobDetailsDialog.vue';
import LoadingState from '../LoadingState.vue';
import { useOpenJob } from '../useOpenJob.ts';
import NewSurfaceDialog from './NewSurfaceDialog.vue';
import SurfaceCard from './SurfaceCard.vue';

const props = defineProps<{ jobId: string }>();
const { jobs, trouble } = useOpenJob(toRef(props, 'jobId'));
const adding = ref(false);
const showingDetails = ref(false);
const planned = useLatest<Job, Plan>(
  () => jobs.job,
  (job) => planner.plan(job),
);
const plan = planned.value;
const planOf = (id: string) => plan.value?.surfaces.find(({ surfaceId }) => surfaceId === id) ?? null;
const findingsOf = (k: number) => plan.value?.findings.filter(({ path }) => path[1] === k) ?? [];
const total = computed(() => plan.value?.money.total.toFixed(2));

function remove(id: string): void {
  jobs.change('Delete surface', (draft) => {
    draft.surfaces = draft.surfaces.filter((surface) => surface.id !== id);
  });
}
</script>

<template>
  <LoadingState v-if="!jobs.job" :trouble="trouble" />
  <main v-else class="job">
    <header class="head">
      <div class="grow">
        <h1>{{ jobs.job.name }}</h1>
        <p v-if="jobs.job.client" class="soft">{{ jobs.job.client }}</p>
      </div>
      <Button severity="secondary" outlined @click="showingDetails = true"><PhSlidersHorizontal :size="19" />Details</Button>
      <Button as="a" :href="exportUrl(jobId, 'job')" severity="secondary" outlined><PhDownloadSimple :size="19" />Job file</Button>
      <Button v-if="jobs.job.surfaces.length > 0" as="router-link" :to="{ name: 'order', params: { jobId } }" severity="secondary" outlined
        ><PhShoppingCartSimple :size="19" />Order<span v-if="total" class="figure">{{ total }} {{ jobs.job.currency }}</span></Button
      >
      <Button @click="adding = true"><PhPlus :size="19" weight="bold" />Surface</Button>
    </header>
    <section v-if="jobs.job.surfaces.length === 0" class="empty">
      <h2>No surface yet</h2>
      <p>Two lengths off the tape are enough for a first setout.</p>
      <Button label="Measure the first surface" @click="adding = true" />
    </section>
    <ul v-else class="cards">
      <SurfaceCard
        v-for="(surface, k) in jobs.job.surfaces"
        :key="surface.id"
        :job="jobs.job"
        :surface="surface"
        :plan="planOf(surface.id)"
        :findings="findingsOf(k)"
        @remove="remove(surface.id)"
      />
    </ul>
    <JobDetailsDialog v-if="showingDetails" :job="jobs.job" @close="showingDetails = false" />
    <NewSurfaceDialog v-if="adding" :job="jobs.job" @close="adding = false" />
  </main>
</template>

<style scoped>
.job {
  overflow-y: auto;
  padding: 1.6rem clamp(1rem, 4vw, 3rem) 3rem;
}
.head {
  display: flex;
  gap: 0.7rem;
  align-items: center;
  flex-wrap: wrap;
  margin-bottom: 1.5rem;
}
.cards {
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 1.25rem;
  grid-template-columns: repeat(auto-fill, minmax(min(20rem, 100%), 1fr));
}
.empty {
  display: grid;
  justify-items: center;
  gap: 0.9rem;
  padding: 5rem 1rem;
  text-align: center;
}
</style>
