<script setup lang="ts">
import { useId } from 'vue';
import FieldFrame from './FieldFrame.vue';

defineProps<{ label: string; value: string; swatches?: readonly { readonly value: string; readonly label: string }[] }>();
const emit = defineEmits<{ choose: [colour: string] }>();
const id = useId();
const valueOf = (event: Event): string => (event.target as HTMLInputElement).value;
</script>

<template>
  <FieldFrame :id="id" :label="label">
    <span class="colours">
      <input :id="id" type="color" :value="value" @change="emit('choose', valueOf($event))" />
      <button
        v-for="swatch in swatches"
        :key="swatch.value"
        class="plain"
        type="button"
        :aria-label="swatch.label"
        :title="swatch.label"
        :aria-pressed="swatch.value === value"
        :style="{ background: swatch.value }"
        @click="emit('choose', swatch.value)"
      />
    </span>
  </FieldFrame>
</template>

<style scoped>
.colours {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  align-items: center;
}
input {
  width: 3.2rem;
  height: 2.4rem;
  padding: 2px;
  border: 1px solid var(--line-strong);
  border-radius: 3px;
  background: none;
  cursor: pointer;
}
button {
  width: 2rem;
  height: 2rem;
  border-radius: 3px;
  box-shadow: inset 0 0 0 1px #0004;
}
button[aria-pressed='true'] {
  box-shadow:
    inset 0 0 0 2px var(--panel),
    0 0 0 3px var(--cobalt);
}
@media (pointer: coarse) {
  input,
  button {
    min-width: 44px;
    min-height: 44px;
  }
}
</style>
