<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhCheckCircle, PhCircle, PhCopy, PhTrash, PhWarning } from '@phosphor-icons/vue';
import { worstFirst } from '@azulejo/core/advice/worstFirst';
import type { Finding } from '@azulejo/core/advice/finding';
import { productOf, tapeOf, type Job, type Surface } from '@azulejo/core/job/job';
import { describeFinding } from '@azulejo/core/messages/en/advice';
import { openedUnit } from '@azulejo/core/messages/en/offCuts';
import { describePattern } from '@azulejo/core/messages/en/patterns';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { facesOf } from '../../board/faces.ts';
import SetoutPicture from '../../board/SetoutPicture.vue';
import { fieldSought, stepOfFinding } from '../stepOfFinding.ts';
import { sizeOf } from './model.ts';
import { KIND_LABELS } from './surfaceKinds.ts';

const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan | null; findings: readonly Finding[]; small?: boolean }>();
const emit = defineEmits<{ remove: []; repeat: []; laid: [laid: boolean] }>();
const product = computed(() => productOf(props.job, props.surface));
const tape = computed(() => tapeOf(props.job, props.surface));
const to = computed(() => ({ name: 'surface', params: { jobId: props.job.id, surfaceId: props.surface.id, step: 'setout' } }));
/** The worst of all, and where it is mended. */
const worst = computed(() => worstFirst(props.findings).at(0));
const toWorst = computed(() =>
  worst.value
    ? {
        name: 'surface',
        params: { jobId: props.job.id, surfaceId: props.surface.id, step: stepOfFinding(worst.value).name },
        query: { at: fieldSought(worst.value) },
      }
    : to.value,
);
const warnings = computed(() => props.findings.filter(({ severity }) => severity === 'warning').length);
const size = computed(() => sizeOf(props.job, props.surface));
</script>

<template>
  <li class="card" :class="{ small }">
    <RouterLink :to="to" class="drawing" :aria-label="`${surface.name}: open the setout`"
      ><SetoutPicture :plan="plan" :faces="facesOf(job, surface)" :label="`${surface.name}, drawn to scale`"
    /></RouterLink>
    <div class="text">
      <div class="title">
        <h2 class="grow">
          <RouterLink :to="to">{{ surface.name }}</RouterLink>
        </h2>
        <Button title="Repeat it in another place" text severity="secondary" :aria-label="`Repeat ${surface.name}`" @click="emit('repeat')"
          ><PhCopy :size="18"
        /></Button>
        <Button title="Delete; undo brings it back" text severity="secondary" :aria-label="`Delete ${surface.name}`" @click="emit('remove')"
          ><PhTrash :size="18"
        /></Button>
      </div>
      <p class="soft small">{{ KIND_LABELS[surface.kind] }}, {{ size }}</p>
      <p v-if="!small" class="small">{{ product.name }}. {{ describePattern(surface.pattern) }}</p>
      <button type="button" class="plain laid" :aria-pressed="surface.laid" @click="emit('laid', !surface.laid)">
        <component :is="surface.laid ? PhCheckCircle : PhCircle" :size="20" :weight="surface.laid ? 'fill' : 'regular'" />Laid
      </button>
      <p v-if="plan" class="count">
        <b class="figure">{{ plan.totals.whole }}</b> whole <b class="figure">{{ plan.totals.cut }}</b> cut
        <template v-if="plan.totals.opened > 0">
          <b class="figure">{{ plan.totals.opened }}</b> {{ openedUnit(plan.figures, plan.totals.opened) }}
        </template>
        <template v-else>from tiles opened elsewhere</template>
      </p>
      <p v-if="small && !surface.laid && warnings > 0" class="finding">
        <PhWarning :size="18" weight="bold" /><RouterLink :to="toWorst">{{ warnings }} to see to</RouterLink>
      </p>
      <p v-if="!small && !surface.laid && worst" class="finding">
        <PhWarning :size="18" weight="bold" /><RouterLink :to="toWorst">{{ describeFinding(worst, tape) }}</RouterLink>
      </p>
    </div>
  </li>
</template>

<style scoped>
.title :deep(.p-button) {
  flex: none;
}
.card {
  background: var(--panel);
  border-radius: 4px;
  overflow: hidden;
  display: grid;
  grid-template-rows: 13rem auto;
}
li.card.small {
  grid-template-rows: 8rem auto;
}
.small .count b {
  font-size: 1.2rem;
}
.small h2 {
  font-size: 1rem;
}
.drawing {
  background: var(--paper);
  display: block;
  border: 1px solid var(--panel);
}
.drawing:focus-visible {
  outline: 3px solid var(--cobalt);
  outline-offset: -3px;
}
.text {
  padding: 0.8rem 1rem 1.1rem;
  display: grid;
  gap: 0.3rem;
  align-content: start;
}
.title {
  display: flex;
  align-items: center;
}
.title a {
  color: var(--ink);
  text-decoration: none;
}
.title a:hover {
  text-decoration: underline;
}
.laid {
  display: inline-flex;
  gap: 0.4rem;
  align-items: center;
  justify-self: start;
  min-height: 2rem;
  font-size: 0.9rem;
  color: var(--ink-soft);
}
.laid[aria-pressed='true'] {
  color: var(--cobalt);
  font-weight: 600;
}
.count {
  color: var(--ink-soft);
}
.count b {
  font-size: 1.5rem;
  color: var(--ink);
  margin-left: 0.5rem;
}
.count b:first-child {
  margin-left: 0;
}
.finding {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0.5rem;
  font-size: 0.9rem;
  background: var(--warn-soft);
  border-radius: 4px;
  padding: 0.5rem 0.65rem;
}
.finding svg {
  color: var(--warn);
}
</style>
