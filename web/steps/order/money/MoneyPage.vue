<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhFilePdf } from '@phosphor-icons/vue';
import type { Job } from '@azulejo/core/job/job';
import { quoteRows } from '@azulejo/core/job/quoteRows';
import { hoursWords, quoteRowName } from '@azulejo/core/messages/en/money';
import { rateInForce } from '@azulejo/core/money/planMoney';
import type { Plan } from '@azulejo/core/plan';
import { formatCoins } from '@azulejo/core/units/currency';
import { exportUrl } from '../../../api/client.ts';
import NumberField from '../../../fields/NumberField.vue';
import TextField from '../../../fields/TextField.vue';
import { moneyModel } from '../model.ts';
import PaceForm from './PaceForm.vue';
import RatesForm from './RatesForm.vue';
import SplitChart from './SplitChart.vue';
import ToolList from './ToolList.vue';
import { useCharging } from './useCharging.ts';

/** What the job costs and what it is quoted at: one set of rates beside the others. */
const props = defineProps<{ job: Job; plan: Plan }>();
const { set } = useCharging(() => props.job);
const quote = computed(() => props.plan.money.quote);
const rates = computed(() => rateInForce(props.job));
const model = computed(() => moneyModel(props.job, props.plan));
const choose = (id: string) => set('ratesInForce', (charging) => (charging.rateSetId = id));
const says = (key: 'includes' | 'excludes') => (text: string) => {
  set(key === 'includes' ? 'whatIsIncluded' : 'whatIsNotIncluded', (charging) => {
    if (text === '') Reflect.deleteProperty(charging, key);
    else charging[key] = text;
  });
  return null;
};
</script>

<template>
  <div class="sets" role="group" aria-label="Sets of rates">
    <button v-for="one in model.sets" :key="one.id" type="button" class="set" :aria-pressed="one.id === rates.id" @click="choose(one.id)">
      <span>{{ one.name }}</span>
      <strong class="figure">{{ formatCoins(one.totalCents, job.currency) }}</strong>
      <span class="small">{{ job.currency }}, tax included</span>
    </button>
  </div>
  <div class="sides">
    <section class="stack">
      <header class="row">
        <h2 class="grow">The quote</h2>
        <Button as="a" :href="exportUrl(job.id, 'quote')" severity="secondary" outlined><PhFilePdf :size="19" />Quote as PDF</Button>
      </header>
      <table>
        <tbody>
          <tr v-for="row in quoteRows(job, quote)" :key="quoteRowName(row)">
            <th scope="row">{{ quoteRowName(row) }}</th>
            <td class="figure">{{ formatCoins(row.cents, job.currency) }}</td>
          </tr>
          <tr v-if="quote.discountCents > 0">
            <th scope="row">Discount, {{ rates.discountPercent }} %</th>
            <td class="figure">-{{ formatCoins(quote.discountCents, job.currency) }}</td>
          </tr>
          <tr v-for="tax in quote.taxes" :key="tax.percent">
            <th scope="row">Tax, {{ tax.percent }} % of {{ formatCoins(tax.baseCents, job.currency) }}</th>
            <td class="figure">{{ formatCoins(tax.taxCents, job.currency) }}</td>
          </tr>
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">To pay</th>
            <td class="figure total" data-testid="quote-total">{{ formatCoins(quote.totalCents, job.currency) }}</td>
          </tr>
        </tfoot>
      </table>
      <TextField label="Also included" :value="job.charging?.includes ?? ''" :longest="2000" :commit="says('includes')" />
      <TextField label="Not included" :value="job.charging?.excludes ?? ''" :longest="2000" :commit="says('excludes')" />
      <NumberField
        label="The quote stands for"
        unit="days"
        :value="job.charging?.validDays ?? 30"
        :commit="(days) => set('howLongTheQuoteStands', (charging) => (charging.validDays = days))"
      />
    </section>
    <section class="stack">
      <h2>Where the money goes</h2>
      <SplitChart :parts="model.split" :unit="job.currency" />
      <h2>Where the time goes</h2>
      <p>
        <strong class="figure">{{ hoursWords(plan.money.hours) }}</strong> of work, {{ plan.money.days }}
        {{ plan.money.days === 1 ? 'day' : 'days' }}; waiting comes on top.
      </p>
      <SplitChart :parts="model.hours" unit="h" />
    </section>
    <RatesForm :job="job" />
    <ToolList :job="job" :tools="plan.money.tools" />
  </div>
  <PaceForm :job="job" :money="plan.money" />
</template>

<style scoped>
.sets {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 13rem), 1fr));
  gap: 0.8rem;
}
.set {
  font: inherit;
  color: inherit;
  text-align: left;
  display: grid;
  gap: 0.1rem;
  background: var(--panel);
  border: 0;
  border-radius: 4px;
  padding: 0.8rem 1rem;
  cursor: pointer;
}
.set[aria-pressed='true'] {
  box-shadow: inset 0 -4px 0 var(--cobalt);
}
.set strong {
  font-size: 1.9rem;
  line-height: 1.1;
}
.sides {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 26rem), 1fr));
  gap: 1.6rem 2.4rem;
  align-items: start;
}
table {
  border-collapse: collapse;
  background: var(--panel);
  border-radius: 4px;
}
th {
  text-align: left;
  font-weight: 400;
}
th,
td {
  padding: 0.35rem 0.8rem;
}
td {
  text-align: right;
  font-size: 1.1rem;
  white-space: nowrap;
}
tbody tr + tr {
  border-top: 1px solid var(--line);
}
tfoot {
  border-top: 3px solid var(--ink);
}
tfoot th {
  font-weight: 600;
}
.total {
  font-size: 1.9rem;
  line-height: 1.2;
}
</style>
