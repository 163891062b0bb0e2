<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import type { Job, Surface } from '@azulejo/core/job/job';
import { openedUnit } from '@azulejo/core/messages/en/offCuts';
import { formatArea } from '@azulejo/core/units/formatArea';
import { tapeOf } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import ChoiceField from '../fields/ChoiceField.vue';

const props = defineProps<{ job: Job; surface: Surface; step: string; plan: SurfacePlan | null }>();
const router = useRouter();
/** Sheets where mosaics alone are laid. */
const unit = computed(() => (props.plan ? openedUnit(props.plan.figures, 2) : 'tiles'));
/** Other surfaces may take from its tiles: what it opens beside them stands under its cuts. */
const opened = computed(() => (unit.value === 'tiles' && props.job.surfaces.length > 1 ? 'tiles if alone' : `${unit.value} opened`));
/** The figure and its unit. */
const area = computed(() => formatArea(props.plan?.extent.areaMm2 ?? 0, tapeOf(props.job, props.surface)).split(' '));
const options = computed(() => props.job.surfaces.map(({ id, name }) => ({ value: id, label: name })));
const go = (surfaceId: string): void => {
  void router.push({ name: 'surface', params: { jobId: props.job.id, surfaceId, step: props.step } });
};
</script>

<template>
  <header class="head">
    <h1 class="title">
      <ChoiceField v-if="options.length > 1" label="Surface" :value="surface.id" :options="options" hide-label @choose="go" />
      <template v-else>{{ surface.name }}</template>
    </h1>
    <dl v-if="plan" class="figures">
      <div>
        <dt>{{ unit === 'sheets' ? 'chips whole' : 'whole' }}</dt>
        <dd>{{ plan.totals.whole }}</dd>
      </div>
      <div>
        <dt>{{ unit === 'sheets' ? 'chips cut' : 'cut' }}</dt>
        <dd>{{ plan.totals.cut }}</dd>
      </div>
      <div>
        <dt>{{ opened }}</dt>
        <dd>{{ plan.totals.opened }}</dd>
      </div>
      <div>
        <dt>area</dt>
        <dd>
          {{ area[0] }}<small>{{ area[1] }}</small>
        </dd>
      </div>
    </dl>
  </header>
</template>

<style scoped>
.head {
  display: grid;
  gap: 0.8rem;
}
.title :deep(.p-select) {
  border-color: transparent;
  background: var(--paper);
}
.title :deep(.p-select-label) {
  font: 600 1.3rem/1.2 'Barlow';
}
.figures {
  display: grid;
  grid-template-columns: repeat(4, auto);
  justify-content: space-between;
  gap: 0.5rem;
  margin: 0;
}
.figures div {
  display: grid;
}
dt {
  font-size: 0.82rem;
  color: var(--ink-soft);
}
dd {
  margin: 0;
  font: 600 1.55rem/1.05 var(--figure);
  order: -1;
  white-space: nowrap;
}
dd small {
  margin-left: 0.2rem;
  font: 400 0.8rem 'Barlow';
  color: var(--ink-soft);
}
</style>
