<script setup lang="ts">
import type { Issue } from '@azulejo/core/result';
import { parseClock, writeClock } from '@azulejo/core/units/clock';
import FieldFrame from './FieldFrame.vue';
import FigureInput from './FigureInput.vue';
import { useFigure } from './useFigure.ts';

/** A time of day. */
const props = defineProps<{ label: string; value: number; commit: (hours: number) => readonly Issue[] }>();
const { id, text, trouble, take } = useFigure({
  shown: () => writeClock(props.value),
  read: parseClock,
  commit: (value) => (value === props.value ? [] : props.commit(value)),
});
</script>

<template>
  <FieldFrame :id="id" :label="label" :trouble="trouble">
    <FigureInput :id="id" v-model="text" :troubled="trouble !== null" inputmode="text" @take="take" />
  </FieldFrame>
</template>
