<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, watch } from 'vue';
import type { Side } from '@azulejo/core/cuts/cutKind';
import { exercisesOf, judgeMark, type Verdict } from '@azulejo/core/cuts/practice';
import { boxOf } from '@azulejo/core/geometry/ring';
import { seededNumbers } from '@azulejo/core/geometry/seededNumbers';
import type { Job } from '@azulejo/core/job/job';
import { describeMark } from '@azulejo/core/messages/en/marks';
import { describeExercise, describeVerdict } from '@azulejo/core/messages/en/practice';
import type { SurfacePlan } from '@azulejo/core/planning/planned';

import LengthField from '../../fields/LengthField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { useTape } from '../../fields/useTape.ts';
import { useBoardStore } from '../../stores/boardStore.ts';
import { tapeStep } from '../tapeStep.ts';
import MarkingTile from './MarkingTile.vue';
import { SEEN_SIDES, useSeenSide } from './useSeenSide.ts';

/** A helper marks pieces of this very plan, and is told what a slip would have cost. */
const props = defineProps<{ job: Job; plan: SurfacePlan }>();
const tape = useTape();
const board = useBoardStore();
const { side } = useSeenSide();

const SIDES = [
  { value: 'left', label: 'Left' },
  { value: 'right', label: 'Right' },
  { value: 'bottom', label: 'Bottom' },
  { value: 'top', label: 'Top' },
] as const;

const exercises = computed(() => exercisesOf(props.plan, side.value));
const turn = ref(0);
/** Pieces in a mixed order, so that no two alike follow each other all the time. */
const order = computed(() => {
  const next = seededNumbers(exercises.value.length + 1);
  return exercises.value.map((one) => ({ one, by: next() })).sort((a, b) => a.by - b.by);
});
const exercise = computed(() => (order.value.length === 0 ? null : order.value[turn.value % order.value.length].one));
const from = ref<Side>('left');
const first = ref<number | null>(null);
const last = ref<number | null>(null);
const verdict = ref<Verdict | null>(null);
const score = ref({ asked: 0, right: 0 });

const isTaper = computed(() => {
  const mm = exercise.value?.answer.mm;
  return mm !== undefined && Math.abs(mm[0] - mm[1]) >= tapeStep(tape.value) / 2;
});
const mm = computed(() => {
  const end = isTaper.value ? last.value : first.value;
  return first.value === null || end === null ? null : ([first.value, end] as const);
});
const tile = computed(() => {
  const { minX, minY, maxX, maxY } = boxOf(exercise.value?.piece.tile ?? [[0, 0]]);
  return { widthMm: maxX - minX, heightMm: maxY - minY };
});
const ends = computed(() =>
  from.value === 'left' || from.value === 'right' ? ['at the bottom', 'at the top'] : ['at the left', 'at the right'],
);

function clear(): void {
  [first.value, last.value, verdict.value] = [null, null, null];
}
watch(
  exercise,
  (now) => {
    clear();
    board.chosenLabel = now?.piece.label ?? null;
  },
  { immediate: true },
);
function judge(): void {
  if (!exercise.value || !mm.value) return;
  verdict.value = judgeMark(exercise.value, { from: from.value, mm: mm.value }, tapeStep(tape.value));
  score.value = { asked: score.value.asked + 1, right: score.value.right + (verdict.value.kind === 'right' ? 1 : 0) };
}
const set = (which: 'first' | 'last') => (value: number) => {
  (which === 'first' ? first : last).value = value;
  verdict.value = null;
  return [];
};
function choose(edge: Side): void {
  from.value = edge;
  verdict.value = null;
}
</script>

<template>
  <p v-if="!exercise" class="soft">No piece here is cut straight across and goes up to something: there is nothing to practise.</p>
  <template v-else>
    <p class="soft">Pieces of this surface, to be marked as if for the saw. Nothing here changes the plan.</p>
    <SwitchField label="Tiles are marked" :value="side" :options="SEEN_SIDES" @choose="side = $event" />
    <p class="asked">{{ describeExercise(exercise, tape) }}</p>
    <MarkingTile
      v-bind="tile"
      :from="from"
      :mm="mm"
      :right="verdict && verdict.kind === 'slip' ? exercise.answer : null"
      :has-way-up="exercise.piece.hasWayUp"
      @choose="choose"
    />
    <SwitchField label="Mark from the edge" :value="from" :options="SIDES" @choose="choose" />
    <div class="figures">
      <LengthField :key="`a${turn}`" :label="isTaper ? `Mark ${ends[0]}` : 'Mark at'" :mm="first" positive :commit="set('first')" />
      <LengthField v-if="isTaper" :key="`b${turn}`" :label="`Mark ${ends[1]}`" :mm="last" positive :commit="set('last')" />
    </div>
    <p v-if="verdict" :class="verdict.kind === 'right' ? 'fine' : 'caution'" role="status">
      {{ describeVerdict(verdict, tape)
      }}<template v-if="verdict.kind === 'slip'">
        Right is {{ describeMark({ type: 'line', ...exercise.answer, beforeCuts: false }, tape) }}.</template
      >
    </p>
    <div class="row">
      <Button v-if="!verdict" :disabled="!mm" @click="judge">Cut it</Button>
      <Button v-else autofocus @click="turn++">The next piece</Button>
      <span v-if="score.asked > 0" class="small soft">{{ score.right }} of {{ score.asked }} right</span>
    </div>
  </template>
</template>

<style scoped>
.figures {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.8rem;
}
.asked {
  font-weight: 600;
}
.fine {
  color: var(--done);
  font-weight: 600;
}
</style>
