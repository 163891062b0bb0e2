<script setup lang="ts">
import { ref, useId, watch } from 'vue';
import type { Issue } from '@azulejo/core/result';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import FieldFrame from './FieldFrame.vue';
import FigureInput from './FigureInput.vue';
import { reportTrouble } from './fieldTroubles.ts';

/** An angle in degrees, either way. */
const props = defineProps<{ label: string; value: number; commit: (deg: number) => readonly Issue[] }>();
const id = useId();
const text = ref('');
const trouble = ref<string | null>(null);
reportTrouble(id, trouble);
const shown = (): string => String(Math.round(props.value * 100) / 100);
watch(
  () => props.value,
  () => {
    if (trouble.value === null) text.value = shown();
  },
  { immediate: true },
);

function take(): void {
  if (text.value === shown()) return void (trouble.value = null);
  const plain = text.value.trim().replace(',', '.').replace('°', '').replace('−', '-');
  if (!/^[-+]?\d+(\.\d+)?$/.test(plain) || Math.abs(Number(plain)) > 180) {
    trouble.value = `"${text.value}" can't be read as an angle. Write it as 90 or -88.5.`;
    return;
  }
  const [first] = props.commit(Number(plain));
  trouble.value = first ? describeIssue(first) : null;
}
</script>

<template>
  <FieldFrame :id="id" :label="label" :trouble="trouble">
    <FigureInput :id="id" v-model="text" unit="°" :troubled="trouble !== null" inputmode="text" @take="take" />
  </FieldFrame>
</template>
