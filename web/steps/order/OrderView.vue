<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, toRef } from 'vue';
import { PhCaretDown, PhCaretRight, PhFileCsv } from '@phosphor-icons/vue';
import { describePacks, describeQuantity, explainMaterial, materialName } from '@azulejo/core/messages/en/materials';
import { SAFETY } from '@azulejo/core/messages/en/safety';
import { exportUrl } from '../../api/client.ts';
import StepTape from '../../shell/StepTape.vue';
import { useJobPlan } from '../../workers/useJobPlan.ts';
import LoadingState from '../LoadingState.vue';
import { useOpenJob } from '../useOpenJob.ts';
import ConsumptionForm from './ConsumptionForm.vue';

const props = defineProps<{ jobId: string }>();
const { jobs, trouble } = useOpenJob(toRef(props, 'jobId'));
const { plan } = useJobPlan();
const open = ref<ReadonlySet<string>>(new Set());

const lines = computed(() => {
  const { job } = jobs;
  if (!job || !plan.value) return [];
  return plan.value.materials.map((material) => ({
    key: (material.productId ?? material.item) + (material.hand ? `-${material.hand}` : ''),
    name: materialName(job, material),
    quantity: describeQuantity(material),
    packs: describePacks(material),
    cost: material.cost.toFixed(2),
    how: explainMaterial(job, material),
  }));
});
const total = computed(() => plan.value?.money.total.toFixed(2));
const firstSurface = computed(() => jobs.job?.surfaces[0]?.id);

function toggle(key: string): void {
  const next = new Set(open.value);
  if (!next.delete(key)) next.add(key);
  open.value = next;
}
</script>

<template>
  <LoadingState v-if="!jobs.job" :trouble="trouble" />
  <div v-else class="order">
    <StepTape v-if="firstSurface" :job-id="jobId" :surface-id="firstSurface" current="order" />
    <main class="sheet">
      <section class="stack">
        <header class="head">
          <h1 class="grow">Order</h1>
          <Button as="a" :href="exportUrl(jobId, 'order')" severity="secondary" outlined><PhFileCsv :size="19" />Order as CSV</Button>
        </header>
        <p v-if="jobs.job.surfaces.length === 0">
          There is no surface to order for yet. <RouterLink :to="{ name: 'job', params: { jobId } }">Measure one</RouterLink>
        </p>
        <p v-else-if="lines.length === 0" class="soft" role="status">Counting</p>
        <template v-else>
          <table>
            <thead>
              <tr>
                <th scope="col">What</th>
                <th scope="col" class="num">Needed</th>
                <th scope="col" class="num">To buy</th>
                <th scope="col" class="num">{{ jobs.job.currency }}</th>
              </tr>
            </thead>
            <tbody v-for="line in lines" :key="line.key">
              <tr>
                <th scope="row">
                  <button
                    class="plain"
                    type="button"
                    :aria-expanded="open.has(line.key)"
                    :aria-label="`${line.name}: how it was computed`"
                    @click="toggle(line.key)"
                  >
                    <PhCaretDown v-if="open.has(line.key)" :size="16" /><PhCaretRight v-else :size="16" />{{ line.name }}
                  </button>
                </th>
                <td class="num figure" :data-testid="`need-${line.key}`">{{ line.quantity }}</td>
                <td class="num">{{ line.packs }}</td>
                <td class="num figure">{{ line.cost }}</td>
              </tr>
              <tr v-if="open.has(line.key)" class="how">
                <td colspan="4">
                  <p v-for="step in line.how" :key="step">{{ step }}</p>
                </td>
              </tr>
            </tbody>
            <tfoot>
              <tr>
                <th scope="row">Together, before tax</th>
                <td />
                <td />
                <td class="num figure total" data-testid="order-total">{{ total }}</td>
              </tr>
            </tfoot>
          </table>
          <p class="caution">{{ SAFETY.mixing }}</p>
        </template>
      </section>
      <ConsumptionForm :job="jobs.job" />
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
  grid-template-columns: minmax(0, 1fr) 400px;
  align-items: start;
}
.sheet > section {
  padding: 1.6rem clamp(1rem, 3vw, 2.5rem) 3rem;
}
.head {
  display: flex;
  align-items: center;
  gap: 0.7rem;
}
table {
  width: 100%;
  border-collapse: collapse;
  background: var(--panel);
  border-radius: 4px;
}
th,
td {
  text-align: left;
  padding: 0.7rem 0.9rem;
  vertical-align: baseline;
}
thead th {
  font-size: 0.875rem;
  font-weight: 400;
  color: var(--ink-soft);
  padding-bottom: 0.2rem;
}
tbody {
  border-top: 1px solid var(--line);
}
.num {
  text-align: right;
  white-space: nowrap;
}
td.figure {
  font-size: 1.25rem;
}
tbody th {
  font-weight: 600;
  padding-left: 0.4rem;
}
tbody button {
  display: flex;
  gap: 0.45rem;
  align-items: center;
  padding: 0.2rem 0.5rem;
  border-radius: 3px;
}
.how td {
  padding: 0 0.9rem 0.9rem 2.4rem;
  color: var(--ink-soft);
  font-size: 0.93rem;
}
.how p + p {
  margin-top: 0.2rem;
}
tfoot {
  border-top: 3px solid var(--ink);
}
tfoot .total {
  font-size: 1.9rem;
  line-height: 1;
}
@media (max-width: 860px) {
  .sheet {
    grid-template-columns: minmax(0, 1fr);
  }
  th,
  td {
    padding: 0.6rem 0.4rem;
  }
  td:nth-child(3) {
    white-space: normal;
  }
}
</style>
