<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, toRef } from 'vue';
import { PhFileCsv, PhFilePdf, PhFileXls } from '@phosphor-icons/vue';
import { exportUrl } from '../../api/client.ts';
import StepTape from '../../shell/StepTape.vue';
import { useJobPlan } from '../../workers/useJobPlan.ts';
import LoadingState from '../LoadingState.vue';
import { useOpenJob } from '../useOpenJob.ts';
import PartTabs from '../../fields/PartTabs.vue';
import ToBuy from './buy/ToBuy.vue';
import MixList from './mixes/MixList.vue';
import MoneyPage from './money/MoneyPage.vue';
import VariantsPage from './variants/VariantsPage.vue';

const props = defineProps<{ jobId: string }>();
const { jobs, trouble } = useOpenJob(toRef(props, 'jobId'));
const { plan } = useJobPlan();
const PARTS = [
  { name: 'buy', label: 'To buy' },
  { name: 'mixes', label: 'Mixes' },
  { name: 'money', label: 'Quote' },
  { name: 'variants', label: 'Variants' },
] as const;
const part = ref<(typeof PARTS)[number]['name']>('buy');
const firstSurface = computed(() => jobs.job?.surfaces[0]?.id);
</script>

<template>
  <LoadingState v-if="!jobs.job" :trouble="trouble" />
  <div v-else class="order">
    <StepTape v-if="firstSurface" :job-id="jobId" :surface-id="firstSurface" current="order" />
    <main class="sheet">
      <header class="head">
        <h1 class="grow">Order</h1>
        <template v-if="part === 'buy'">
          <Button as="a" :href="exportUrl(jobId, 'orderPaper')" severity="secondary" outlined><PhFilePdf :size="19" />Order as PDF</Button>
          <Button as="a" :href="exportUrl(jobId, 'orderSheet')" severity="secondary" outlined><PhFileXls :size="19" />XLSX</Button>
          <Button as="a" :href="exportUrl(jobId, 'order')" severity="secondary" outlined><PhFileCsv :size="19" />CSV</Button>
        </template>
      </header>
      <p v-if="jobs.job.surfaces.length === 0">
        There is no surface to order for yet. <RouterLink :to="{ name: 'job', params: { jobId } }">Measure one</RouterLink>
      </p>
      <p v-else-if="!plan" class="soft" role="status">Counting</p>
      <template v-else>
        <PartTabs v-model="part" class="parts" :parts="PARTS" label="Parts of the order" />
        <ToBuy v-if="part === 'buy'" :job="jobs.job" :plan="plan" />
        <MixList v-else-if="part === 'mixes'" :job="jobs.job" :plan="plan" />
        <MoneyPage v-else-if="part === 'money'" :job="jobs.job" :plan="plan" />
        <VariantsPage v-else :job="jobs.job" />
      </template>
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
  flex-wrap: wrap;
}
.parts {
  justify-content: start;
  column-gap: 1.6rem;
}
</style>
