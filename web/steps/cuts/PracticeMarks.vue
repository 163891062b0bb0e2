<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, watch } from 'vue';
import { exercisesOf, type Exercise } from '@azulejo/core/cuts/practice';
import { shapedExercisesOf, type ShapedExercise } from '@azulejo/core/cuts/practiceShaped';
import { seededNumbers } from '@azulejo/core/geometry/seededNumbers';
import type { Job } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import SwitchField from '../../fields/SwitchField.vue';
import { useBoardStore } from '../../stores/boardStore.ts';
import PracticeShaped from './PracticeShaped.vue';
import PracticeStraight from './PracticeStraight.vue';
import { seenSides, useSeenSide } from './useSeenSide.ts';

/** A helper marks pieces of this very plan, and is told what a slip would have cost. */
const props = defineProps<{ job: Job; plan: SurfacePlan }>();
const board = useBoardStore();
const { side } = useSeenSide();

const turn = ref(0);
/** Pieces in a mixed order, so that no two alike follow each other all the time. */
const order = computed(() => {
  const all: (Exercise | ShapedExercise)[] = [...exercisesOf(props.plan, side.value), ...shapedExercisesOf(props.plan, side.value)];
  const next = seededNumbers(all.length + 1);
  return all.map((one) => ({ one, by: next() })).sort((a, b) => a.by - b.by);
});
const exercise = computed(() => (order.value.length === 0 ? null : order.value[turn.value % order.value.length].one));
const straight = computed(() => (exercise.value && 'openingMm' in exercise.value ? exercise.value : null));
const shaped = computed(() => (exercise.value && 'openings' in exercise.value ? exercise.value : null));
/** Whether the mark that is set was judged. */
const judged = ref(false);
const score = ref({ asked: 0, right: 0 });

watch(
  exercise,
  (now) => {
    judged.value = false;
    board.chosenLabel = now?.piece.label ?? null;
  },
  { immediate: true },
);
function count(right: boolean): void {
  judged.value = true;
  score.value = { asked: score.value.asked + 1, right: score.value.right + (right ? 1 : 0) };
}
</script>

<template>
  <p v-if="!exercise" class="soft">
    No piece here is cut straight across and goes up to something, or has one notch or one hole: there is nothing to practise.
  </p>
  <template v-else>
    <p class="soft">Pieces of this surface, to be marked as if for the saw. Nothing here changes the plan.</p>
    <SwitchField label="Tiles are marked" :value="side" :options="seenSides" @choose="side = $event" />
    <PracticeStraight v-if="straight" :key="`${turn} ${side}`" :exercise="straight" @judged="count" @changed="judged = false" />
    <PracticeShaped v-else-if="shaped" :key="`${turn} ${side}`" :exercise="shaped" :job="job" @judged="count" @changed="judged = false" />
    <div class="row">
      <Button v-if="judged" autofocus @click="turn++">The next piece</Button>
      <Button v-else severity="secondary" text @click="turn++">Another piece</Button>
      <span v-if="score.asked > 0" class="small soft">{{ score.right }} of {{ score.asked }} right</span>
    </div>
  </template>
</template>
