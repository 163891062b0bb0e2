<script setup lang="ts">
import InputText from 'primevue/inputtext';

/** The box of a figure with its unit; the field round it reads and checks what is typed. */
defineProps<{ id: string; unit?: string; troubled: boolean; large?: boolean; inputmode: 'text' | 'decimal'; measures?: string }>();
const text = defineModel<string>({ required: true });
const emit = defineEmits<{ take: []; step: [direction: 1 | -1, event: KeyboardEvent] }>();
</script>

<template>
  <span class="box" :class="{ large }">
    <InputText
      :id="id"
      v-model="text"
      :invalid="troubled"
      :aria-describedby="troubled ? `${id}-why` : undefined"
      autocomplete="off"
      :inputmode="inputmode"
      :data-measures="measures"
      fluid
      @change="emit('take')"
      @keydown.enter="emit('take')"
      @keydown.up="emit('step', 1, $event)"
      @keydown.down="emit('step', -1, $event)"
    />
    <span v-if="unit" class="unit" aria-hidden="true">{{ unit }}</span>
  </span>
</template>

<style scoped>
.box {
  position: relative;
  display: block;
}
.box :deep(input) {
  font-family: var(--figure);
  font-weight: 600;
  font-size: 1.1rem;
  padding-right: 2.6rem;
  line-height: 1.2;
}
.large :deep(input) {
  font-size: 1.55rem;
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
</style>
