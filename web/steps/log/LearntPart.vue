<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core';
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import { TASKS, type TaskId } from '@azulejo/core/labour/tasks';
import { describeBreakage, describeDoubtful, describeFigure, describeLearnt } from '@azulejo/core/messages/en/log';
import type { Plan } from '@azulejo/core/plan';
import { medianOf } from '@azulejo/core/site/believed';
import { learntPaces } from '@azulejo/core/site/learnt';
import { breakageFacts, learntUse, type UseFact } from '@azulejo/core/site/learntUse';
import { ownSpread } from '@azulejo/core/site/ownSpread';
import { MATERIALS } from '@azulejo/core/takeoff/registry';
import { useLogStore } from '../../stores/logStore.ts';
import { useTickStore } from '../../stores/tickStore.ts';
import { useHabits } from '../order/useHabits.ts';

/** What a job taught of paces, use and breakage: offered to the next ones, never slipped in. */
const props = defineProps<{ job: Job; plan: Plan; uses: readonly UseFact[]; isLaid: boolean }>();
const log = useLogStore();
const ticks = useTickStore();
const habits = useHabits();
const kept = ref(false);
const paceOf = (task: TaskId): number => props.job.labour?.paces?.[task] ?? props.job.habits?.['pace']?.[task] ?? TASKS[task].pace;
const laid = computed(() => new Set(props.job.surfaces.filter((surface) => surface.laid).map(({ id }) => id)));
const hours = computed(() => learntPaces(props.plan.money.work, log.entries, laid.value, paceOf));
const learnt = computed(() => hours.value.paces);
const nameOf = (id: string): string => props.job.surfaces.find((surface) => surface.id === id)?.name ?? '';
const doubtful = computed(() => hours.value.doubtful.map((one) => describeDoubtful(one, nameOf(one.surfaceId))));
const figures = computed(() => learntUse(props.uses, props.job, props.isLaid));
/** What broke, by kind of cut; told once it differs from what was reckoned with. */
const breakages = computed(() => {
  const cuts = props.plan.surfaces.flatMap(({ surfaceId, cuts: own }) =>
    own.map((piece) => ({ surfaceId, piece, isCut: laid.value.has(surfaceId) || ticks.stateOf(surfaceId, piece.label) !== 'open' })),
  );
  return breakageFacts(cuts, log.entries, props.job.consumption.breakagePercent).filter(
    ({ percent, before, broken: seen, cuts: made }) => percent !== before && (seen > 0 || made >= 20),
  );
});
const taught = computed(() => [
  ...learnt.value.map(describeLearnt),
  ...figures.value.map(describeFigure),
  ...(log.entries.length > 0 ? breakages.value.map(describeBreakage) : []),
]);
/** Used over planned of every job that was closed, by material: how far one's own use strays. */
const ratios = useLocalStorage<Record<string, Record<string, number>>>('azulejo-use', {});
function keepRatios(): void {
  for (const { item, planned, used } of props.uses) {
    ratios.value = { ...ratios.value, [item]: { ...ratios.value[item], [props.job.id]: used / planned } };
    const own = Object.values(ratios.value[item]).filter((ratio) => Number.isFinite(ratio) && ratio > 0);
    if (own.length > 1) habits.keep(item, { spread: ownSpread(own, MATERIALS[item].spread) });
  }
}
/** Paces of every job that was learnt from, by task: the middle of them is what the next one begins with. */
const paces = useLocalStorage<Record<string, Record<string, number>>>('azulejo-paces', {});
function middlePace({ task, pace }: (typeof learnt.value)[number]): readonly [string, number] {
  paces.value = { ...paces.value, [task]: { ...paces.value[task], [props.job.id]: pace } };
  return [task, Math.round(100 * medianOf(Object.values(paces.value[task]))) / 100];
}
/** What was kept before, for taking it back. */
const before = ref<string | null>(null);
function forget(): void {
  if (before.value === null) return;
  const was = JSON.parse(before.value) as { habits: typeof habits.habits.value; paces: typeof paces.value; ratios: typeof ratios.value };
  [habits.habits.value, paces.value, ratios.value] = [was.habits, was.paces, was.ratios];
  [before.value, kept.value] = [null, false];
}
function learn(): void {
  before.value = JSON.stringify({ habits: habits.habits.value, paces: paces.value, ratios: ratios.value });
  if (learnt.value.length > 0) habits.keep('pace', Object.fromEntries(learnt.value.map(middlePace)));
  for (const { item, figure, value } of figures.value) habits.keep(item, { [figure]: value });
  if (props.isLaid) keepRatios();
  if (breakages.value.length > 0) habits.keep('breakage', Object.fromEntries(breakages.value.map(({ kind, percent }) => [kind, percent])));
  kept.value = true;
}
</script>

<template>
  <section v-if="taught.length + doubtful.length > 0" class="learnt stack">
    <h2>What this job taught</h2>
    <p v-for="words in [...taught, ...doubtful]" :key="words">{{ words }}</p>
    <div v-if="taught.length > 0" class="row">
      <Button severity="secondary" outlined label="Reckon with these in my next jobs" @click="learn" />
      <span v-if="kept" class="small soft" role="status">Kept. New jobs begin with them and say so; of several jobs, with the middle.</span>
      <Button v-if="kept" text severity="secondary" label="Take that back" @click="forget" />
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
