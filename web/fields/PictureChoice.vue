<script setup lang="ts" generic="Value extends string">
import { useId } from 'vue';

/** One of several, each with a picture of it: the slot draws it. */
defineProps<{
  label: string;
  value: Value;
  options: readonly { readonly value: Value; readonly label: string; readonly note?: string | null; readonly disabled?: boolean }[];
}>();
const emit = defineEmits<{ choose: [value: Value]; rest: [value: Value, event: PointerEvent]; leave: [] }>();
const id = useId();
</script>

<template>
  <div class="pictures" role="radiogroup" :aria-label="label">
    <label
      v-for="option in options"
      :key="option.value"
      :class="{ on: option.value === value, off: option.disabled }"
      @pointerenter="option.disabled || emit('rest', option.value, $event)"
      @pointerleave="emit('leave')"
    >
      <input
        type="radio"
        :name="id"
        :value="option.value"
        :checked="option.value === value"
        :disabled="option.disabled"
        @change="emit('choose', option.value)"
      />
      <slot :value="option.value" />
      <span
        >{{ option.label }}<small v-if="option.note" class="soft">{{ option.note }}</small></span
      >
    </label>
  </div>
</template>

<style scoped>
.pictures {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 0.25rem;
}
label {
  position: relative;
  cursor: pointer;
  display: grid;
  gap: 0.35rem;
  align-content: start;
  font-weight: 600;
  font-size: 0.84rem;
  line-height: 1.15;
  padding: 0.3rem;
  min-height: 44px;
  border-radius: 4px;
}
/* The whole picture is the button. */
input {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  margin: 0;
  opacity: 0;
  cursor: inherit;
}
label.off {
  cursor: default;
  font-weight: 400;
  color: var(--ink-soft);
}
label:hover:not(.off) {
  background: var(--paper);
}
label.on,
label.on:hover {
  box-shadow: inset 0 0 0 3px var(--cobalt);
  background: var(--cobalt-soft);
}
label:has(input:focus-visible) {
  outline: 3px solid var(--cobalt);
  outline-offset: 2px;
}
small {
  display: block;
  font-weight: 400;
  font-size: 0.76rem;
}
</style>
