<script setup lang="ts">
import { ref, useId, watch } from 'vue';
import FieldFrame from './FieldFrame.vue';
import FigureInput from './FigureInput.vue';
import { reportTrouble } from './fieldTroubles.ts';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import type { Issue } from '@azulejo/core/result';

const props = defineProps<{
  label: string;
  value: number;
  unit?: string;
  /** Decimals shown at the least; more where the value has them. */
  decimals?: number;
  commit: (value: number) => readonly Issue[];
}>();

const inFull = (value: number): string => {
  const padded = value.toFixed(props.decimals ?? 0);
  return Number(padded) === value ? padded : String(value);
};
const id = useId();
const text = ref('');
const trouble = ref<string | null>(null);
reportTrouble(id, trouble);
watch(
  () => props.value,
  (value) => {
    if (trouble.value === null) text.value = inFull(value);
  },
  { immediate: true },
);

function take(): void {
  const plain = text.value.trim().replace(',', '.');
  if (!/^\d+(\.\d+)?$/.test(plain)) {
    trouble.value = `"${text.value}" can't be read as a number. Write it as 20 or 18.5.`;
    return;
  }
  const [first] = Number(plain) === props.value ? [] : props.commit(Number(plain));
  trouble.value = first ? describeIssue(first) : null;
}
</script>

<template>
  <FieldFrame :id="id" :label="label" :trouble="trouble">
    <FigureInput :id="id" v-model="text" :unit="unit" :troubled="trouble !== null" inputmode="decimal" @take="take" />
  </FieldFrame>
</template>
