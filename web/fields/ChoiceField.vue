<script setup lang="ts" generic="Value extends string | number">
import Select from 'primevue/select';
import { useId } from 'vue';

defineProps<{ label: string; value: Value; options: readonly { readonly value: Value; readonly label: string }[]; hideLabel?: boolean }>();
const emit = defineEmits<{ choose: [value: Value] }>();
const id = useId();
</script>

<template>
  <div class="field">
    <label :id="id" :class="{ hidden: hideLabel }">{{ label }}</label>
    <Select
      :model-value="value"
      :options="[...options]"
      option-value="value"
      option-label="label"
      :aria-labelledby="id"
      fluid
      @update:model-value="emit('choose', $event)"
    />
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
label.hidden {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
</style>
