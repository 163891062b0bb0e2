<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core';
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import type { Plan } from '@azulejo/core/plan';
import { learnFrom, type Lessons } from '@azulejo/core/site/lessons';
import { useLogStore } from '../../stores/logStore.ts';
import { useTickStore } from '../../stores/tickStore.ts';
import { useHabits } from '../order/useHabits.ts';
import { learntModel } from './model.ts';

/** What a job taught of paces, use and breakage: offered to the next ones, never slipped in. */
const props = defineProps<{ job: Job; plan: Plan }>();
const log = useLogStore();
const ticks = useTickStore();
const { habits } = useHabits();
const model = computed(() =>
  learntModel(props.job, props.plan, log.entries, (surfaceId, label) => ticks.stateOf(surfaceId, label) !== 'open'),
);
const paces = useLocalStorage<Lessons['paces']>('azulejo-paces', {});
const ratios = useLocalStorage<Lessons['ratios']>('azulejo-use', {});
/** What was kept before, for taking it back. */
const before = ref<string | null>(null);
function learn(): void {
  before.value = JSON.stringify([habits.value, paces.value, ratios.value]);
  const learnt = learnFrom({ paces: paces.value, ratios: ratios.value }, habits.value, model.value.lessons);
  [habits.value, paces.value, ratios.value] = [learnt.habits as typeof habits.value, learnt.lessons.paces, learnt.lessons.ratios];
}
function forget(): void {
  if (before.value === null) return;
  [habits.value, paces.value, ratios.value] = JSON.parse(before.value) as [typeof habits.value, Lessons['paces'], Lessons['ratios']];
  before.value = null;
}
</script>

<template>
  <section v-if="model.taught.length + model.doubtful.length > 0" class="learnt stack">
    <h2>What this job taught</h2>
    <p v-for="words in [...model.taught, ...model.doubtful]" :key="words">{{ words }}</p>
    <div v-if="model.taught.length > 0" class="row">
      <Button severity="secondary" outlined label="Reckon with these in my next jobs" @click="learn" />
      <span v-if="before !== null" class="small soft" role="status"
        >Kept. New jobs begin with them and say so; of several jobs, with the middle.</span
      >
      <Button v-if="before !== null" text severity="secondary" label="Take that back" @click="forget" />
    </div>
  </section>
</template>

<style scoped>
.learnt {
  background: var(--cobalt-soft);
  border-radius: 4px;
  padding: 0.9rem 1.1rem;
}
</style>
