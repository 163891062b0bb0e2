<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { PhStorefront, PhTruck } from '@phosphor-icons/vue';
import type { Job } from '@azulejo/core/job/job';
import { unitName } from '@azulejo/core/messages/en/materialNames';
import type { Plan } from '@azulejo/core/plan';
import { formatMoney } from '@azulejo/core/units/currency';
import TroubleNote from '../../../fields/TroubleNote.vue';
import { useLogStore } from '../../../stores/logStore.ts';
import { simulatedSupplier } from '../../../supplier/simulatedSupplier.ts';
import type { LineAnswer } from '../../../supplier/supplier.ts';
import { answerModel, askedLines, orderOf, ordersModel } from '../model.ts';

/** What the supplier answers, orders that were placed with their lines as they were, and what the plan wants otherwise since. */
const props = defineProps<{ job: Job; plan: Plan }>();
const log = useLogStore();
const answers = ref<readonly LineAnswer[] | null>(null);
const trouble = ref<string | null>(null);

const model = computed(() => ordersModel(props.job, props.plan, log.entries));
const lines = computed(() => askedLines(props.job, props.plan));
const answered = computed(() => answers.value && answerModel(lines.value, answers.value));

async function ask(): Promise<void> {
  try {
    answers.value = await simulatedSupplier.askFor(lines.value);
    trouble.value = null;
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'The supplier does not answer.';
  }
}
/** Orders what is asked for now. */
async function placeIt(): Promise<void> {
  await log.write(orderOf(props.job, props.plan, simulatedSupplier.name, answers.value ?? []));
  answers.value = null;
}
const day = (at: string): string => new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
</script>

<template>
  <section class="stack">
    <div class="row no-print">
      <Button severity="secondary" outlined @click="ask"><PhStorefront :size="18" />Ask the supplier</Button>
      <span v-if="answered" class="small soft">From the {{ simulatedSupplier.name.toLowerCase() }}: prices and stock are made up.</span>
    </div>
    <div v-if="answered" class="answer stack">
      <p>
        <strong class="figure">{{ formatMoney(answered.total, job.currency) }}</strong> {{ job.currency }} for all of it, there within
        {{ answered.longestDays }} {{ answered.longestDays === 1 ? 'day' : 'days' }}.
        {{
          answered.short.length === 0
            ? 'Everything is in stock, tiles from one lot each.'
            : `${answered.short.length} ${answered.short.length === 1 ? 'line is' : 'lines are'} short:`
        }}
      </p>
      <p v-for="one in answered.short" :key="one.key" class="small">{{ one.words }}</p>
      <div class="row">
        <Button @click="placeIt"><PhTruck :size="18" />Place this order</Button>
        <Button text severity="secondary" label="Not now" @click="answers = null" />
      </div>
    </div>
    <TroubleNote :why="trouble ?? log.trouble" />
    <details v-for="order in model.orders" :key="order.id" class="placed">
      <summary>
        Ordered on {{ day(order.at) }}: {{ order.data.lines.length }} lines,
        <span class="figure">{{ formatMoney(order.data.total, order.data.currency) }} {{ order.data.currency }}</span>
      </summary>
      <p v-for="line in order.data.lines" :key="line.key ?? line.name" class="small">
        {{ line.name }}: {{ line.packs.map(({ count, size }) => `${count} of ${size} ${unitName(line.unit)}`).join(' and ') }},
        {{ formatMoney(line.cost, order.data.currency) }}
      </p>
      <Button text size="small" severity="secondary" label="This order was called off" @click="log.withdraw(order)" />
    </details>
    <p v-if="model.orders.length > 0 && model.otherwise.length === 0" class="small soft">The plan asks for just what was ordered.</p>
    <div v-else-if="model.otherwise.length > 0" class="small">
      <p>The plan asks for other packs than were ordered:</p>
      <p v-for="one in model.otherwise.slice(0, 8)" :key="one.name">{{ one.name }}: {{ one.ordered }} ordered, {{ one.now }} needed now.</p>
      <p v-if="model.otherwise.length > 8">And {{ model.otherwise.length - 8 }} more.</p>
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
