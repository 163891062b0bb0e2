<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { ref, useId, watch } from 'vue';
import FieldFrame from './FieldFrame.vue';

const props = defineProps<{
  label: string;
  value: string;
  longest: number;
  placeholder?: string;
  autofocus?: boolean;
  commit: (text: string) => string | null;
}>();
const id = useId();
const text = ref('');
const trouble = ref<string | null>(null);
watch(
  () => props.value,
  (now) => {
    if (trouble.value === null) text.value = now;
  },
  { immediate: true },
);

/** Takes the text, or shows why not and keeps it. */
function take(): void {
  trouble.value = props.commit(text.value.trim());
}
</script>

<template>
  <FieldFrame :id="id" :label="label" :trouble="trouble">
    <InputText
      :id="id"
      v-model="text"
      :invalid="trouble !== null"
      :aria-describedby="trouble ? `${id}-why` : undefined"
      :placeholder="placeholder"
      :maxlength="longest"
      :autofocus="autofocus"
      autocomplete="off"
      fluid
      @input="trouble = null"
      @change="take"
      @keydown.enter="take"
    />
  </FieldFrame>
</template>
