<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import { SAFETY } from '@azulejo/core/messages/en/safety';
import type { Plan } from '@azulejo/core/plan';
import { formatMoney } from '@azulejo/core/units/currency';
import SwitchField from '../../../fields/SwitchField.vue';
import { useJobStore } from '../../../stores/jobStore.ts';
import { buyModel } from '../model.ts';
import OrderLine from './OrderLine.vue';
import OrderPlacing from './OrderPlacing.vue';

/** What to buy, what it costs, whether it will run out; every line opens to its figures. */
const props = defineProps<{ job: Job; plan: Plan }>();
const jobs = useJobStore();
const open = ref<ReadonlySet<string>>(new Set());

const model = computed(() => buyModel(props.job, props.plan));

const ODDS = [
  { value: 0, label: 'As it comes' },
  { value: 10, label: '1 in 10' },
  { value: 5, label: '1 in 20' },
  { value: 1, label: '1 in 100' },
] as const;
const setOdds = (percent: number) =>
  jobs.change('howMuchMoreIsBought', (draft) => {
    if (percent === 0) delete draft.buying;
    else draft.buying = { mostRunOutPercent: percent };
  });

function toggle(key: string): void {
  const next = new Set(open.value);
  if (!next.delete(key)) next.add(key);
  open.value = next;
}
</script>

<template>
  <dl class="answers">
    <div>
      <dt>To buy</dt>
      <dd>
        <strong class="figure">{{ model.packs }}</strong> packs, boxes and bars in {{ plan.materials.length }} lines
      </dd>
    </div>
    <div>
      <dt>Before tax</dt>
      <dd>
        <strong class="figure" data-testid="order-total">{{ formatMoney(plan.money.total, job.currency) }}</strong> {{ job.currency }}
      </dd>
    </div>
    <div>
      <dt>Will it run out?</dt>
      <dd v-if="model.short.length === 0"><strong class="figure calm">Hardly</strong> any line is likely to</dd>
      <dd v-else>
        <strong class="figure risky">{{ model.short.length }} {{ model.short.length === 1 ? 'line' : 'lines' }}</strong> may:
        {{ model.short.slice(0, 3).join('; ') }}{{ model.short.length > 3 ? ` and ${model.short.length - 3} more` : '' }}
      </dd>
    </div>
  </dl>
  <SwitchField
    class="no-print odds"
    label="Buy for a chance of running out of"
    :value="job.buying?.mostRunOutPercent ?? 0"
    :options="ODDS"
    @choose="setOdds"
  />
  <OrderPlacing :job="job" :plan="plan" />
  <section v-for="group in model.groups" :key="group.title" class="group">
    <header class="row">
      <h2 class="grow">{{ group.title }}</h2>
      <span class="figure soft">{{ group.cost }}</span>
    </header>
    <table>
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col">Needed</th>
          <th scope="col">To buy</th>
          <th scope="col">Will it do?</th>
          <th scope="col">{{ job.currency }}</th>
        </tr>
      </thead>
      <OrderLine
        v-for="{ key, line } in group.lines"
        :key="key"
        :job="job"
        :line="line"
        :line-key="key"
        :open="open.has(key)"
        @toggle="toggle(key)"
      />
    </table>
  </section>
  <p class="caution">{{ SAFETY.mixing }}</p>
</template>

<style scoped>
.answers {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 1rem;
  margin: 0;
}
.answers > div {
  background: var(--panel);
  border-radius: 4px;
  padding: 0.8rem 1rem;
}
dt {
  color: var(--ink-soft);
  font-size: 0.875rem;
}
dd {
  margin: 0;
  line-height: 1.35;
}
dd strong {
  font-size: 1.9rem;
  line-height: 1.1;
}
.calm {
  color: var(--done);
}
.risky {
  color: var(--warn);
}
.odds {
  max-width: 34rem;
}
.group {
  display: grid;
  gap: 0.3rem;
}
.group header {
  padding: 0 0.7rem 0 0;
}
table {
  width: 100%;
  border-collapse: collapse;
  background: var(--panel);
  border-radius: 4px;
}
thead {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
@media (max-width: 860px) {
  .answers {
    grid-template-columns: minmax(0, 1fr);
    gap: 0.5rem;
  }
  table,
  table :deep(tbody) {
    display: block;
  }
}
</style>
