<script setup lang="ts">
import SwitchField from './SwitchField.vue';

defineProps<{ label: string; value: boolean }>();
const emit = defineEmits<{ choose: [value: boolean] }>();
const OPTIONS = [
  { value: 'no', label: 'No' },
  { value: 'yes', label: 'Yes' },
] as const;
</script>

<template>
  <SwitchField :label="label" :value="value ? 'yes' : 'no'" :options="OPTIONS" @choose="emit('choose', $event === 'yes')" />
</template>
