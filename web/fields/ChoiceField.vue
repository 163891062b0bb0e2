<script setup lang="ts" generic="Value extends string | number">
import Select from 'primevue/select';
import { computed, useId } from 'vue';
import FieldFrame from './FieldFrame.vue';

const props = defineProps<{
  label: string;
  value: Value;
  options: readonly { readonly value: Value; readonly label: string }[];
  hideLabel?: boolean;
}>();
const emit = defineEmits<{ choose: [value: Value] }>();
const id = useId();
/** By their places: a value that is an empty text is one like any other, and would be shown as no choice. */
const places = computed(() => props.options.map(({ label }, place) => ({ place, label })));
const chosen = computed(() => {
  const place = props.options.findIndex(({ value }) => value === props.value);
  return place === -1 ? null : place;
});
function choose(place: number): void {
  const option = props.options[place];
  if (option) emit('choose', option.value);
}
</script>

<template>
  <FieldFrame :id="id" :label="label" :hide-label="hideLabel">
    <Select
      :model-value="chosen"
      :options="places"
      option-value="place"
      option-label="label"
      :aria-labelledby="`${id}-label`"
      fluid
      @update:model-value="choose"
    />
  </FieldFrame>
</template>
