<script setup lang="ts">
import { computed } from 'vue';
import { accepted, issue, refused, type Issue, type Result } from '@azulejo/core/result';
import { formatTypedLength } from '@azulejo/core/units/formatLength';
import { parseLength } from '@azulejo/core/units/parseLength';
import { MM_PER_INCH } from '@azulejo/core/units/tape';
import FieldFrame from './FieldFrame.vue';
import FigureInput from './FigureInput.vue';
import { useFigure } from './useFigure.ts';
import { useTape } from './useTape.ts';

const props = defineProps<{
  label: string;
  mm: number | null;
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
const tape = useTape();

const { id, text, trouble, take, commitValue } = useFigure({
  shown: () => (props.mm === null ? '' : (props.mm < 0 ? '−' : '') + formatTypedLength(Math.abs(props.mm), tape.value)),
  read: readText,
  commit: (mm) => props.commit(mm),
  tape: () => tape.value,
});

/** What a figure without a unit is in. */
const unit = computed(() => (/mm/.test(text.value) ? undefined : tape.value.system === 'metric' ? 'mm' : 'in'));

function readText(typed: string): Result<number> {
  const [, sign, rest] = /^\s*([-−]?)(.*)$/s.exec(typed) ?? ['', '', typed];
  const read = parseLength(props.signed ? rest : typed, tape.value);
  if (!read.ok) return read;
  if (props.positive && read.value <= 0) return refused(issue('length/too-small'));
  if (isMetres(typed, read.value)) return refused(issue('length/mm-or-m', [], { text: typed.trim() }));
  return props.signed && sign ? accepted(-read.value) : read;
}

/** A few with decimals, in the place of a length of a wall: metres were meant as likely as millimetres. */
const isMetres = (typed: string, mm: number): boolean =>
  tape.value.system === 'metric' && (props.mm ?? 0) >= 300 && mm < 50 && /^\s*\d{1,2}[.,]\d+\s*$/.test(typed);

/** Up and down step by what the tape shows, ten times as far with Shift. */
function stepBy(direction: 1 | -1, event: KeyboardEvent): void {
  if (props.mm === null) return;
  event.preventDefault();
  const step = tape.value.system === 'metric' ? 1 : MM_PER_INCH / tape.value.fraction;
  const next = props.mm + direction * step * (event.shiftKey ? 10 : 1);
  if (next > 0 || (!props.positive && next >= 0)) commitValue(next);
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
