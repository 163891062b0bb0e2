<script setup lang="ts" generic="Name extends string">
/** The parts of a step side by side; one is open. */
defineProps<{ parts: readonly { readonly name: Name; readonly label: string }[]; label: string }>();
const open = defineModel<Name>({ required: true });
</script>

<template>
  <nav class="parts" :aria-label="label" :style="{ gridTemplateColumns: `repeat(${parts.length}, auto)` }">
    <button v-for="part in parts" :key="part.name" class="plain" type="button" :aria-pressed="open === part.name" @click="open = part.name">
      {{ part.label }}
    </button>
  </nav>
</template>

<style scoped>
.parts {
  display: grid;
  gap: 2px;
  border-bottom: 2px solid var(--line);
}
.parts button {
  text-align: center;
  padding: 0.55rem 0.2rem;
  font-weight: 600;
  font-size: 0.95rem;
  color: var(--ink-soft);
  margin-bottom: -2px;
  border-bottom: 3px solid transparent;
}
.parts button[aria-pressed='true'] {
  color: var(--ink);
  border-bottom-color: var(--chalk);
}
@media (pointer: coarse) {
  .parts button {
    min-height: 44px;
  }
}
</style>
