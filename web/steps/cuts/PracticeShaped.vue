<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { CORE_BITS_MM } from '@azulejo/core/cuts/cutKind';
import { judgeShaped, type ShapedExercise, type ShapedMark, type ShapedVerdict } from '@azulejo/core/cuts/practiceShaped';
import type { Job } from '@azulejo/core/job/job';
import { describeMark } from '@azulejo/core/messages/en/marks';
import { describeShaped, describeShapedVerdict } from '@azulejo/core/messages/en/practice';
import ChoiceField from '../../fields/ChoiceField.vue';
import LengthField from '../../fields/LengthField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { useTape } from '../../fields/useTape.ts';
import { tapeStep } from '../tapeStep.ts';
import MarkedShape from './MarkedShape.vue';

/** A notch or a hole to be marked. */
const props = defineProps<{ exercise: ShapedExercise; job: Job }>();
const emit = defineEmits<{ judged: [right: boolean]; changed: [] }>();
const tape = useTape();

const isHole = computed(() => props.exercise.answer.type === 'circle');
const x = ref<number | null>(null);
const y = ref<number | null>(null);
const sideX = ref<'left' | 'right'>('left');
const sideY = ref<'bottom' | 'top'>('bottom');
const coreMm = ref<number | null>(null);
const verdict = ref<ShapedVerdict | null>(null);

/** What no bit is large enough for is ground to its line. */
const GROUND = 'ground';
const bits = computed(() => [
  ...(props.job.consumption.coreBitsMm ?? CORE_BITS_MM).map((mm) => ({ value: String(mm), label: `${mm} mm` })),
  { value: GROUND, label: 'None: ground to the line' },
]);
const given = computed((): ShapedMark | null => {
  const { answer } = props.exercise;
  if (x.value === null || y.value === null) return null;
  return answer.type === 'circle'
    ? { ...answer, xMm: x.value, yMm: y.value, coreMm: coreMm.value }
    : { ...answer, xMm: x.value, yMm: y.value, sideX: sideX.value, sideY: sideY.value };
});

function judge(): void {
  if (!given.value) return;
  verdict.value = judgeShaped(props.exercise, given.value, tapeStep(tape.value));
  emit('judged', verdict.value.kind === 'right');
}
function changed(): never[] {
  verdict.value = null;
  emit('changed');
  return [];
}
const setX = (mm: number): never[] => ((x.value = mm), changed());
const setY = (mm: number): never[] => ((y.value = mm), changed());
const LEFT_RIGHT = [
  { value: 'left', label: 'Left' },
  { value: 'right', label: 'Right' },
] as const;
const UP_DOWN = [
  { value: 'bottom', label: 'Bottom' },
  { value: 'top', label: 'Top' },
] as const;
</script>

<template>
  <p class="asked">{{ describeShaped(exercise, tape) }}</p>
  <MarkedShape
    :tile="exercise.tileMm"
    :mark="given"
    :right="verdict && verdict.kind === 'slip' ? exercise.answer : null"
    :has-way-up="exercise.piece.hasWayUp"
  />
  <div v-if="!isHole" class="figures">
    <SwitchField label="Notched out at the" :value="sideX" :options="LEFT_RIGHT" @choose="((sideX = $event), changed())" />
    <SwitchField label="and at the" :value="sideY" :options="UP_DOWN" @choose="((sideY = $event), changed())" />
  </div>
  <div class="figures">
    <LengthField :label="isHole ? 'From the left' : `In from the ${sideX}`" :mm="x" positive :commit="setX" />
    <LengthField :label="isHole ? 'From the bottom' : `From the ${sideY}`" :mm="y" positive :commit="setY" />
  </div>
  <ChoiceField
    v-if="isHole"
    label="Core bit"
    :value="coreMm === null ? GROUND : String(coreMm)"
    :options="bits"
    @choose="((coreMm = $event === GROUND ? null : Number($event)), changed())"
  />
  <p v-if="verdict" :class="verdict.kind === 'right' ? 'fine' : 'caution'" role="status">
    {{ describeShapedVerdict(verdict)
    }}<template v-if="verdict.kind === 'slip'"> Right is {{ describeMark(exercise.answer, tape) }}.</template>
  </p>
  <Button v-else :disabled="!given" @click="judge">Cut it</Button>
</template>

<style scoped src="./practice.css"></style>
