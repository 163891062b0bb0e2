<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { PhStorefront, PhTruck } from '@phosphor-icons/vue';
import type { Job } from '@azulejo/core/job/job';
import { materialName } from '@azulejo/core/messages/en/materials';
import { UNIT_NAMES } from '@azulejo/core/messages/en/materialNames';
import type { Plan } from '@azulejo/core/plan';
import { entriesOf } from '@azulejo/core/site/entry';
import { formatMoney, roundMoney } from '@azulejo/core/units/currency';
import TroubleNote from '../../../fields/TroubleNote.vue';
import { useLogStore } from '../../../stores/logStore.ts';
import { simulatedSupplier } from '../../../supplier/simulatedSupplier.ts';
import type { LineAnswer } from '../../../supplier/supplier.ts';
import { changedSince } from './orderedSince.ts';

/** What the supplier answers, orders that were placed with their lines as they were, and what the plan wants otherwise since. */
const props = defineProps<{ job: Job; plan: Plan }>();
const log = useLogStore();
const answers = ref<readonly LineAnswer[] | null>(null);
const trouble = ref<string | null>(null);

const lines = computed(() =>
  props.plan.materials
    .filter(({ packs }) => packs.length > 0)
    .map((line) => ({
      line,
      key: keyOf(line),
      name: materialName(props.job, line),
      packs: line.packs.reduce((sum, { count }) => sum + count, 0),
    })),
);
/** What a line is, whatever its tile is called by then. */
function keyOf({ item, productId, hand, variant }: Plan['materials'][number]): string {
  return [item, productId, hand, variant].filter((part) => part !== null && part !== undefined).join('/');
}
const orders = computed(() => entriesOf(log.entries, 'order'));
const changed = computed(() => (orders.value.length === 0 ? [] : changedSince(orders.value, lines.value)));

async function ask(): Promise<void> {
  try {
    answers.value = await simulatedSupplier.askFor(lines.value.map(({ line, name }) => ({ key: name, name, packs: line.packs })));
    trouble.value = null;
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'The supplier does not answer.';
  }
}
const short = computed(() => (answers.value ?? []).filter(({ inStock, asked }) => inStock < asked));
const asked = computed(() => (answers.value ?? []).reduce((sum, { cost }) => sum + cost, 0));
const words = ({ key, inStock, asked: wanted, leadDays, instead }: LineAnswer): string =>
  leadDays === null
    ? `${key}: not carried; it offers ${instead ?? 'nothing instead'}.`
    : `${key}: ${inStock} of ${wanted} there, the rest in ${leadDays} days.`;
const longest = computed(() => Math.max(0, ...(answers.value ?? []).map(({ leadDays }) => leadDays ?? 0)));

/** Orders what is asked for now; it is kept as it was, whatever changes later. */
const place = () =>
  log.write({
    kind: 'order',
    supplier: simulatedSupplier.name,
    currency: props.job.currency,
    total: roundMoney(asked.value, props.job.currency),
    lines: lines.value.map(({ line, key, name }) => ({
      key,
      name,
      quantity: Math.round(line.quantity * 100) / 100,
      unit: UNIT_NAMES[line.unit],
      packs: line.packs.map(({ count, size, price }) => ({ count, size, price })),
      cost: answers.value?.find(({ key }) => key === name)?.cost ?? line.cost,
    })),
  });
async function placeIt(): Promise<void> {
  await place();
  answers.value = null;
}
const day = (at: string): string => new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
</script>

<template>
  <section class="stack">
    <div class="row no-print">
      <Button severity="secondary" outlined @click="ask"><PhStorefront :size="18" />Ask the supplier</Button>
      <span v-if="answers" class="small soft">From the {{ simulatedSupplier.name.toLowerCase() }}: prices and stock are made up.</span>
    </div>
    <div v-if="answers" class="answer stack">
      <p>
        <strong class="figure">{{ formatMoney(asked, job.currency) }}</strong> {{ job.currency }} for all of it, there within {{ longest }}
        {{ longest === 1 ? 'day' : 'days' }}.
        {{
          short.length === 0
            ? 'Everything is in stock, tiles from one lot each.'
            : `${short.length} ${short.length === 1 ? 'line is' : 'lines are'} short:`
        }}
      </p>
      <p v-for="one in short" :key="one.key" class="small">{{ words(one) }}</p>
      <div class="row">
        <Button @click="placeIt"><PhTruck :size="18" />Place this order</Button>
        <Button text severity="secondary" label="Not now" @click="answers = null" />
      </div>
    </div>
    <TroubleNote :why="trouble ?? log.trouble" />
    <details v-for="order in orders" :key="order.id" class="placed">
      <summary>
        Ordered on {{ day(order.at) }}: {{ order.data.lines.length }} lines,
        <span class="figure">{{ formatMoney(order.data.total, order.data.currency) }} {{ order.data.currency }}</span>
      </summary>
      <p v-for="line in order.data.lines" :key="line.name" class="small">
        {{ line.name }}: {{ line.packs.map(({ count, size }) => `${count} of ${size} ${line.unit}`).join(' and ') }},
        {{ formatMoney(line.cost, order.data.currency) }}
      </p>
      <Button text size="small" severity="secondary" label="This order was called off" @click="log.withdraw(order)" />
    </details>
    <p v-if="orders.length > 0 && changed.length === 0" class="small soft">The plan asks for just what was ordered.</p>
    <div v-else-if="changed.length > 0" class="small">
      <p>The plan asks for other packs than were ordered:</p>
      <p v-for="one in changed.slice(0, 8)" :key="one.name">{{ one.name }}: {{ one.ordered }} ordered, {{ one.now }} needed now.</p>
      <p v-if="changed.length > 8">And {{ changed.length - 8 }} more.</p>
    </div>
  </section>
</template>

<style scoped>
.answer,
.placed {
  background: var(--panel);
  border-radius: 4px;
  padding: 0.7rem 1rem;
}
.stack {
  gap: 0.5rem;
}
summary {
  cursor: pointer;
}
</style>
