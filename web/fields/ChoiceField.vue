<script setup lang="ts" generic="Value extends string | number">
import Select from 'primevue/select';
import { useId } from 'vue';
import FieldFrame from './FieldFrame.vue';

defineProps<{ label: string; value: Value; options: readonly { readonly value: Value; readonly label: string }[]; hideLabel?: boolean }>();
const emit = defineEmits<{ choose: [value: Value] }>();
const id = useId();
</script>

<template>
  <FieldFrame :id="id" :label="label" :hide-label="hideLabel">
    <Select
      :model-value="value"
      :options="[...options]"
      option-value="value"
      option-label="label"
      :aria-labelledby="`${id}-label`"
      fluid
      @update:model-value="emit('choose', $event)"
    />
  </FieldFrame>
</template>
