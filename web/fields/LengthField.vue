<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { computed, ref, useId, watch } from 'vue';
import { reportTrouble } from './fieldTroubles.ts';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import type { Issue } from '@azulejo/core/result';
import { formatLength } from '@azulejo/core/units/formatLength';
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
}>();

const id = useId();
const text = ref('');
const trouble = ref<string | null>(null);
reportTrouble(id, trouble);
const unit = computed(() => (props.tape.system === 'metric' ? 'mm' : 'in'));
const shown = (): string => (props.mm === null ? '' : formatLength(props.mm, props.tape));

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
  const read = parseLength(text.value, props.tape);
  if (!read.ok) trouble.value = describeIssue(read.issues[0], props.tape);
  else if (props.positive && read.value <= 0) trouble.value = describeIssue({ code: 'length/too-small', figures: {} });
  else commitLength(read.value);
}

function commitLength(mm: number): void {
  const [first] = props.commit(mm);
  trouble.value = first ? describeIssue(first, props.tape) : null;
  if (!first) text.value = formatLength(mm, props.tape);
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
  <div class="field" :class="{ large }">
    <label :for="id" :class="{ hidden: hideLabel }">{{ label }}</label>
    <span class="box">
      <InputText
        :id="id"
        v-model="text"
        :invalid="trouble !== null"
        :aria-describedby="trouble ? `${id}-why` : undefined"
        autocomplete="off"
        inputmode="text"
        fluid
        @change="take"
        @keydown.enter="take"
        @keydown.up="stepBy(1, $event)"
        @keydown.down="stepBy(-1, $event)"
      />
      <span class="unit" aria-hidden="true">{{ unit }}</span>
    </span>
    <p v-if="trouble" :id="`${id}-why`" class="why" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.field {
  display: grid;
  gap: 0.2rem;
  min-width: 0;
}
label {
  font-size: 0.875rem;
  color: var(--ink-soft);
}
label.hidden {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.box {
  position: relative;
  display: block;
}
.box :deep(input) {
  font-family: var(--figure);
  font-weight: 600;
  font-size: 1.1rem;
  padding-right: 2.3rem;
  line-height: 1.2;
}
.large .box :deep(input) {
  font-size: 1.55rem;
}
.unit {
  position: absolute;
  right: 0.65rem;
  top: 50%;
  translate: 0 -50%;
  color: var(--ink-soft);
  font-size: 0.8rem;
  pointer-events: none;
}
.why {
  color: var(--bad);
  font-size: 0.85rem;
  line-height: 1.3;
}
</style>
