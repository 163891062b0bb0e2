<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { ref, useId, watch } from 'vue';
import { reportTrouble } from './fieldTroubles.ts';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import type { Issue } from '@azulejo/core/result';

const props = defineProps<{
  label: string;
  value: number;
  unit?: string;
  decimals?: number;
  commit: (value: number) => readonly Issue[];
}>();

const id = useId();
const text = ref('');
const trouble = ref<string | null>(null);
reportTrouble(id, trouble);
watch(
  () => props.value,
  (value) => {
    if (trouble.value === null) text.value = props.decimals === undefined ? String(value) : value.toFixed(props.decimals);
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
  <div class="field">
    <label :for="id">{{ label }}</label>
    <span class="box">
      <InputText
        :id="id"
        v-model="text"
        :invalid="trouble !== null"
        :aria-describedby="trouble ? `${id}-why` : undefined"
        autocomplete="off"
        inputmode="decimal"
        fluid
        @change="take"
        @keydown.enter="take"
      />
      <span v-if="unit" class="unit" aria-hidden="true">{{ unit }}</span>
    </span>
    <p v-if="trouble" :id="`${id}-why`" class="why" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.field {
  display: grid;
  gap: 0.2rem;
  min-width: 0;
  align-content: start;
}
label {
  font-size: 0.875rem;
  color: var(--ink-soft);
}
.box {
  position: relative;
  display: block;
}
.box :deep(input) {
  font-family: var(--figure);
  font-weight: 600;
  font-size: 1.05rem;
  padding-right: 2.6rem;
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
