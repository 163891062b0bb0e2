<script setup lang="ts">
import type { Issue } from '@azulejo/core/result';
import { parseAngle } from '@azulejo/core/units/parseAmount';
import FieldFrame from './FieldFrame.vue';
import FigureInput from './FigureInput.vue';
import { useFigure } from './useFigure.ts';

/** An angle in degrees, either way. */
const props = defineProps<{ label: string; value: number; commit: (deg: number) => readonly Issue[] }>();
const { id, text, trouble, take } = useFigure({
  shown: () => String(Math.round(props.value * 100) / 100),
  read: parseAngle,
  commit: (deg) => props.commit(deg),
});
</script>

<template>
  <FieldFrame :id="id" :label="label" :trouble="trouble">
    <FigureInput :id="id" v-model="text" unit="°" :troubled="trouble !== null" inputmode="text" @take="take" />
  </FieldFrame>
</template>
