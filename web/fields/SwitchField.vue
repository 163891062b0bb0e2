<script setup lang="ts" generic="Value extends string | number">
import { useId } from 'vue';

defineProps<{ label: string; value: Value; options: readonly { readonly value: Value; readonly label: string }[] }>();
const emit = defineEmits<{ choose: [value: Value] }>();
const id = useId();
</script>

<template>
  <fieldset class="switch">
    <legend>{{ label }}</legend>
    <div class="choices">
      <label v-for="option in options" :key="option.value" :class="{ on: option.value === value }">
        <input type="radio" :name="id" :value="option.value" :checked="option.value === value" @change="emit('choose', option.value)" />{{
          option.label
        }}
      </label>
    </div>
  </fieldset>
</template>

<style scoped>
.switch {
  border: 0;
  margin: 0;
  padding: 0;
  min-width: 0;
}
legend {
  font-size: 0.875rem;
  color: var(--ink-soft);
  padding: 0;
  margin-bottom: 0.2rem;
}
.choices {
  display: flex;
  gap: 3px;
  background: var(--line);
  padding: 3px;
  border-radius: 4px;
}
.choices label {
  position: relative;
  flex: 1;
  text-align: center;
  padding: 0.4rem 0.25rem;
  border-radius: 3px;
  cursor: pointer;
  font-weight: 600;
  font-size: 0.92rem;
  line-height: 1.3;
  white-space: nowrap;
  color: var(--ink);
}
.choices label.on {
  background: var(--panel);
  box-shadow: inset 0 -3px 0 var(--cobalt);
}
.choices input {
  position: absolute;
  opacity: 0;
  width: 1px;
  height: 1px;
}
.choices label:focus-within {
  outline: 3px solid var(--cobalt);
  outline-offset: 1px;
}
@media (pointer: coarse) {
  .choices label {
    min-height: 44px;
    display: grid;
    place-content: center;
  }
}
</style>
