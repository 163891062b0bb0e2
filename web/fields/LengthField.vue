<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, ref, useId, watch } from 'vue';
import FieldFrame from './FieldFrame.vue';
import FigureInput from './FigureInput.vue';
import { reportTrouble } from './fieldTroubles.ts';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import type { Issue } from '@azulejo/core/result';
import { formatTypedLength } from '@azulejo/core/units/formatLength';
import { parseLength } from '@azulejo/core/units/parseLength';
import { MM_PER_INCH, type Tape } from '@azulejo/core/units/tape';

const props = defineProps<{
  label: string;
  mm: number | null;
  tape: Tape;
  /** Takes the length, or says why not; then the text stays with the reason beside it. */
  commit: (mm: number) => readonly Issue[];
  hideLabel?: boolean;
  positive?: boolean;
  large?: boolean;
  /** Lengths to either side are told by their sign. */
  signed?: boolean;
  /** What is measured here, for a distance meter: a key of the measured part. */
  measures?: string;
}>();

const id = useId();
const text = ref('');
const trouble = ref<string | null>(null);
reportTrouble(id, trouble);
const unit = computed(() => (props.tape.system === 'metric' ? 'mm' : 'in'));
const shown = (): string => (props.mm === null ? '' : (props.mm < 0 ? '−' : '') + formatTypedLength(Math.abs(props.mm), props.tape));

watch(
  [() => props.mm, () => props.tape],
  () => {
    if (trouble.value === null) text.value = shown();
  },
  { immediate: true },
);

function take(): void {
  if (text.value === shown()) {
    trouble.value = null;
    return;
  }
  const read = readText();
  if (!read.ok) trouble.value = describeIssue(read.issues[0], props.tape);
  else if (props.positive && read.value <= 0) trouble.value = describeIssue({ code: 'length/too-small', figures: {} });
  else commitLength(read.value);
}

// What was typed and not entered is taken when the field goes; what can't be read goes with it.
onBeforeUnmount(() => {
  if (text.value !== shown() && readText().ok) take();
});

function readText() {
  const [, sign, rest] = /^\s*([-−]?)(.*)$/s.exec(text.value) ?? ['', '', text.value];
  const read = parseLength(props.signed ? rest : text.value, props.tape);
  return read.ok && props.signed && sign ? { ...read, value: -read.value } : read;
}

function commitLength(mm: number): void {
  const [first] = props.commit(mm);
  trouble.value = first ? describeIssue(first, props.tape) : null;
  // What is in force now, which the form may have settled otherwise.
  if (!first) void nextTick(() => (text.value = shown()));
}

/** Up and down step by what the tape shows, ten times as far with Shift. */
function stepBy(direction: 1 | -1, event: KeyboardEvent): void {
  if (props.mm === null) return;
  event.preventDefault();
  const step = props.tape.system === 'metric' ? 1 : MM_PER_INCH / props.tape.fraction;
  const next = props.mm + direction * step * (event.shiftKey ? 10 : 1);
  if (next > 0 || (!props.positive && next >= 0)) commitLength(next);
}
</script>

<template>
  <FieldFrame :id="id" :label="label" :trouble="trouble" :hide-label="hideLabel">
    <FigureInput
      :id="id"
      v-model="text"
      :unit="unit"
      :troubled="trouble !== null"
      :large="large"
      inputmode="text"
      :measures="measures"
      @take="take"
      @step="stepBy"
    />
  </FieldFrame>
</template>
