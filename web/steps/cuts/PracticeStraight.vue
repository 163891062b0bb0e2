<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import type { Side } from '@azulejo/core/cuts/cutKind';
import { judgeMark, type Exercise, type Verdict } from '@azulejo/core/cuts/practice';
import { boxOf } from '@azulejo/core/geometry/ring';
import { describeMark } from '@azulejo/core/messages/en/marks';
import { describeExercise, describeVerdict } from '@azulejo/core/messages/en/practice';
import LengthField from '../../fields/LengthField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { useTape } from '../../fields/useTape.ts';
import { tapeStep } from '../tapeStep.ts';
import MarkingTile from './MarkingTile.vue';

/** A cut straight across, or aslant, to be marked. */
const props = defineProps<{ exercise: Exercise }>();
const emit = defineEmits<{ judged: [right: boolean]; changed: [] }>();
const tape = useTape();

const SIDES = [
  { value: 'left', label: 'Left' },
  { value: 'right', label: 'Right' },
  { value: 'bottom', label: 'Bottom' },
  { value: 'top', label: 'Top' },
] as const;

const from = ref<Side>('left');
const first = ref<number | null>(null);
const last = ref<number | null>(null);
const verdict = ref<Verdict | null>(null);

const isTaper = computed(() => {
  const [a, b] = props.exercise.answer.mm;
  return Math.abs(a - b) >= tapeStep(tape.value) / 2;
});
const mm = computed(() => {
  const end = isTaper.value ? last.value : first.value;
  return first.value === null || end === null ? null : ([first.value, end] as const);
});
const tile = computed(() => {
  const { minX, minY, maxX, maxY } = boxOf(props.exercise.piece.tile);
  return { widthMm: maxX - minX, heightMm: maxY - minY };
});
const ends = computed(() =>
  from.value === 'left' || from.value === 'right' ? ['at the bottom', 'at the top'] : ['at the left', 'at the right'],
);

function judge(): void {
  if (!mm.value) return;
  verdict.value = judgeMark(props.exercise, { from: from.value, mm: mm.value }, tapeStep(tape.value));
  emit('judged', verdict.value.kind === 'right');
}
function changed(): void {
  verdict.value = null;
  emit('changed');
}
const set = (which: 'first' | 'last') => (value: number) => {
  (which === 'first' ? first : last).value = value;
  changed();
  return [];
};
function choose(edge: Side): void {
  from.value = edge;
  changed();
}
</script>

<template>
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
    <LengthField :label="isTaper ? `Mark ${ends[0]}` : 'Mark at'" :mm="first" positive :commit="set('first')" />
    <LengthField v-if="isTaper" :label="`Mark ${ends[1]}`" :mm="last" positive :commit="set('last')" />
  </div>
  <p v-if="verdict" :class="verdict.kind === 'right' ? 'fine' : 'caution'" role="status">
    {{ describeVerdict(verdict, tape)
    }}<template v-if="verdict.kind === 'slip'"> Right is {{ describeMark({ type: 'line', ...exercise.answer }, tape) }}.</template>
  </p>
  <Button v-else :disabled="!mm" @click="judge">Cut it</Button>
</template>

<style scoped src="./practice.css"></style>
