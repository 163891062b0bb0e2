<script setup lang="ts">
import SwitchField from './SwitchField.vue';

/** Which tape a job is measured with. */
defineProps<{ value: 'metric' | 'imperial' }>();
const emit = defineEmits<{ choose: [value: 'metric' | 'imperial'] }>();
const TAPES = [
  { value: 'metric', label: 'Millimetres' },
  { value: 'imperial', label: 'Feet and inches' },
] as const;
</script>

<template>
  <SwitchField label="Tape" :value="value" :options="TAPES" @choose="emit('choose', $event)" />
</template>
