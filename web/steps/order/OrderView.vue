<script setup lang="ts">
import Button from 'primevue/button';
import { ref, toRef } from 'vue';
import { PhFileCsv, PhFilePdf, PhFileXls } from '@phosphor-icons/vue';
import { exportUrl } from '../../api/client.ts';
import { useJobPlan } from '../../workers/useJobPlan.ts';
import JobPage from '../JobPage.vue';
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
</script>

<template>
  <JobPage :job-id="jobId" :job="jobs.job" :trouble="trouble" current="order" title="Order">
    <template v-if="part === 'buy'" #papers>
      <Button as="a" class="no-print" :href="exportUrl(jobId, 'orderPaper')" severity="secondary" outlined
        ><PhFilePdf :size="19" />Order as PDF</Button
      >
      <Button as="a" class="no-print" :href="exportUrl(jobId, 'orderSheet')" severity="secondary" outlined
        ><PhFileXls :size="19" />XLSX</Button
      >
      <Button as="a" class="no-print" :href="exportUrl(jobId, 'order')" severity="secondary" outlined><PhFileCsv :size="19" />CSV</Button>
    </template>
    <template #default="{ job }">
      <p v-if="!plan" class="soft" role="status">Counting</p>
      <template v-else>
        <PartTabs v-model="part" class="parts no-print" :parts="PARTS" label="Parts of the order" />
        <ToBuy v-if="part === 'buy'" :job="job" :plan="plan" />
        <MixList v-else-if="part === 'mixes'" :job="job" :plan="plan" />
        <MoneyPage v-else-if="part === 'money'" :job="job" :plan="plan" />
        <VariantsPage v-else :job="job" />
      </template>
    </template>
  </JobPage>
</template>

<style scoped>
.parts {
  justify-content: start;
  column-gap: 1.6rem;
}
</style>
