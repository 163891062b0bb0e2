<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import { productOf } from '@azulejo/core/job/job';
import { describeLedger, describeLines, rodName } from '@azulejo/core/messages/en/lines';
import { thingNamesOf } from '@azulejo/core/messages/thingNames';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { gaugeRod } from '@azulejo/core/setout/lines/gaugeRod';
import { formatLength } from '@azulejo/core/units/formatLength';
import { SAFETY } from '@azulejo/core/messages/en/safety';
import { useTape } from '../../fields/useTape.ts';

const DriftChart = defineAsyncComponent(() => import('./DriftChart.vue'));

/** The lines to strike, each as its tape measures; the ledger, the gauge rod, and how far courses run off. */
const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan }>();
const tape = useTape();
const lines = computed(() => describeLines(props.plan.struck, thingNamesOf(props.plan.traced), tape.value));
const ledger = computed(() => (props.plan.ledger ? describeLedger(props.plan.ledger, tape.value) : []));
const rods = computed(() =>
  (['x', 'y'] as const).map((axis) => {
    const marks = gaugeRod(props.plan.fields, axis);
    return {
      name: rodName(axis, props.plan.layout.repeat),
      ends: marks.map(({ toMm }) => formatLength(toMm, tape.value)).join(', '),
    };
  }),
);
const product = computed(() => productOf(props.job, props.surface));
</script>

<template>
  <section class="stack">
    <h2>Lines to strike</h2>
    <ul class="lines">
      <li v-for="line in lines" :key="line">{{ line }}</li>
      <li v-for="line in ledger" :key="line" class="ledger">{{ line }}</li>
    </ul>
    <p v-if="ledger.length > 0" class="caution">{{ SAFETY.drilling }}</p>
  </section>
  <section class="stack">
    <h2>Gauge rod</h2>
    <p class="small soft">Where each course ends, from where the first one within the field begins. The paper prints it full size.</p>
    <div v-for="rod in rods" :key="rod.name">
      <h3>{{ rod.name }}</h3>
      <p class="figure rod">{{ rod.ends || 'none: no course lies within the field, or pieces begin too close to each other' }}</p>
    </div>
  </section>
  <DriftChart :product="product" :layout="plan.layout" />
</template>

<style scoped>
.lines {
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 0.45rem;
}
.lines li {
  padding-left: 1.6rem;
  position: relative;
}
.lines li::before {
  content: '';
  position: absolute;
  left: 0;
  top: 0.7em;
  width: 1.1rem;
  border-top: 2.5px dashed var(--chalk);
}
.lines li.ledger::before {
  border-top-style: solid;
  border-color: var(--line-strong);
}
.rod {
  font-size: 1.1rem;
  line-height: 1.5;
}
</style>
