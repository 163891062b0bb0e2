<script setup lang="ts">
import Button from 'primevue/button';
import { computed, toRef } from 'vue';
import { PhFileCsv } from '@phosphor-icons/vue';
import { exportUrl } from '../../api/client.ts';
import StepTape from '../../shell/StepTape.vue';
import { useJobPlan } from '../../workers/useJobPlan.ts';
import LoadingState from '../LoadingState.vue';
import { useOpenJob } from '../useOpenJob.ts';
import ToBuy from './buy/ToBuy.vue';

const props = defineProps<{ jobId: string }>();
const { jobs, trouble } = useOpenJob(toRef(props, 'jobId'));
const { plan } = useJobPlan();
const firstSurface = computed(() => jobs.job?.surfaces[0]?.id);
</script>

<template>
  <LoadingState v-if="!jobs.job" :trouble="trouble" />
  <div v-else class="order">
    <StepTape v-if="firstSurface" :job-id="jobId" :surface-id="firstSurface" current="order" />
    <main class="sheet">
      <header class="head">
        <h1 class="grow">Order</h1>
        <Button as="a" :href="exportUrl(jobId, 'order')" severity="secondary" outlined><PhFileCsv :size="19" />Order as CSV</Button>
      </header>
      <p v-if="jobs.job.surfaces.length === 0">
        There is no surface to order for yet. <RouterLink :to="{ name: 'job', params: { jobId } }">Measure one</RouterLink>
      </p>
      <p v-else-if="!plan" class="soft" role="status">Counting</p>
      <ToBuy v-else :job="jobs.job" :plan="plan" />
    </main>
  </div>
</template>

<style scoped>
.order {
  display: flex;
  flex-direction: column;
}
.sheet {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  display: grid;
  gap: 1.1rem;
  align-content: start;
  padding: 1.4rem clamp(1rem, 4vw, 3.5rem) 3rem;
}
.head {
  display: flex;
  align-items: center;
  gap: 0.7rem;
}
</style>
