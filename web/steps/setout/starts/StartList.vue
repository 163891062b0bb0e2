<script setup lang="ts">
import Button from 'primevue/button';
import { computed, defineAsyncComponent, ref } from 'vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import { startTitle } from '@azulejo/core/messages/en/reasons';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { thingNamesOf } from '@azulejo/core/messages/thingNames';
import { startName } from '@azulejo/core/setout/tell/startName';
import { facesOf } from '../../../board/faces.ts';
import { useTape } from '../../../fields/useTape.ts';
import type { Comparison } from '../../../workers/useComparison.ts';
import type { SetoutMoves } from '../useSetoutMoves.ts';
import CompareDialog from './CompareDialog.vue';
import { besides, isBehind, isInForce, MOST_BESIDE } from '../model.ts';
import StartCard from './StartCard.vue';
import { startTitles } from './startWords.ts';

const TradeChart = defineAsyncComponent(() => import('./TradeChart.vue'));

/** The starts that were found, the best first; one press lays one. */
const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan; comparison: Comparison; moves: SetoutMoves }>();
const faces = computed(() => facesOf(props.job, props.surface));
const shown = computed(() => props.comparison.shown.value);
const tape = useTape();
const titles = computed(() => startTitles(shown.value, tape.value));
const behind = computed(() => isBehind(shown.value, props.surface, props.plan));
const compared = ref<readonly number[]>([]);
const comparing = ref(false);

const choose = (k: number): void => {
  const start = shown.value[k];
  if (start) props.moves.take(start.change);
};
const compare = (k: number, on: boolean): void => {
  compared.value = besides(compared.value, k, on);
};
const beside = computed(() =>
  compared.value.flatMap((k) => (shown.value[k] ? [{ rank: k + 1, title: titles.value[k], start: shown.value[k] }] : [])),
);
const names = computed(() => thingNamesOf(props.plan.traced));
const best = computed(() => props.comparison.progress.value?.best ?? null);
</script>

<template>
  <section class="stack">
    <h2>Starts to compare</h2>
    <div v-if="comparison.running.value" class="looking" role="status">
      <label class="grow"
        >Laying loose tiles: {{ comparison.progress.value?.trials.toLocaleString('en') ?? 0 }} starts tried
        <progress max="1" :value="comparison.progress.value?.share ?? 0" />
        <span v-if="best" class="small soft">Best so far: {{ startTitle(startName(best), names) }}</span></label
      >
      <Button size="small" severity="secondary" outlined @click="comparison.stop">Stop</Button>
    </div>
    <p v-else-if="comparison.failed.value" class="why" role="alert">
      The starts could not be compared. Change a size or undo the last change; what is laid stays.
    </p>
    <div v-else-if="comparison.stopped.value" class="looking" role="status">
      <span class="grow">Stopped before all starts were tried.</span>
      <Button size="small" @click="comparison.again">Go on</Button>
    </div>
    <p v-if="behind" class="small" role="status">Start 1 came out a little better than what is laid. Press it to lay it.</p>
    <ol v-if="shown.length > 0" class="cards">
      <StartCard
        v-for="(start, k) in shown"
        :key="k"
        :start="start"
        :title="titles[k]"
        :surface="surface"
        :faces="faces"
        :rank="k + 1"
        :in-force="isInForce(start, surface, plan)"
        :compared="compared.includes(k)"
        :may-compare="shown.length > 1 && compared.length < MOST_BESIDE"
        @choose="choose(k)"
        @compare="compare(k, $event)"
      />
    </ol>
    <Button v-if="beside.length > 1" :label="`Lay ${beside.length} side by side`" severity="secondary" outlined @click="comparing = true" />
    <template v-if="shown.length > 1">
      <h3>Left over against the narrowest piece</h3>
      <TradeChart :starts="shown" @choose="choose" />
    </template>
    <CompareDialog
      v-if="comparing"
      :surface="surface"
      :faces="faces"
      :starts="beside"
      @choose="choose($event - 1)"
      @close="comparing = false"
    />
  </section>
</template>

<style scoped>
.cards {
  display: grid;
  gap: 0.5rem;
  list-style: none;
  padding: 0;
  margin: 0;
}
.looking {
  display: flex;
  gap: 0.8rem;
  align-items: center;
  background: var(--paper);
  border-radius: 4px;
  padding: 0.5rem 0.7rem;
  font-size: 0.9rem;
}
.looking label {
  display: grid;
  gap: 0.25rem;
}
progress {
  width: 100%;
  height: 6px;
  accent-color: var(--cobalt);
}
</style>
