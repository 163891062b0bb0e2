<script setup lang="ts">
import type { Issue } from '@azulejo/core/result';
import { parseAmount } from '@azulejo/core/units/parseAmount';
import FieldFrame from './FieldFrame.vue';
import FigureInput from './FigureInput.vue';
import { useFigure } from './useFigure.ts';

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
const { id, text, trouble, take } = useFigure({
  shown: () => inFull(props.value),
  read: parseAmount,
  commit: (value) => (value === props.value ? [] : props.commit(value)),
});
</script>

<template>
  <FieldFrame :id="id" :label="label" :trouble="trouble">
    <FigureInput :id="id" v-model="text" :unit="unit" :troubled="trouble !== null" inputmode="decimal" @take="take" />
  </FieldFrame>
</template>
