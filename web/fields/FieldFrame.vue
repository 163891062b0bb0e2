<script setup lang="ts">
defineProps<{ label: string; id: string; trouble?: string | null; hideLabel?: boolean }>();
</script>

<template>
  <div class="field">
    <label :id="`${id}-label`" :for="id" :class="{ hidden: hideLabel }">{{ label }}</label>
    <slot />
    <p v-if="trouble" :id="`${id}-why`" class="why" role="alert">{{ trouble }}</p>
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
.why {
  color: var(--bad);
  font-size: 0.85rem;
  line-height: 1.3;
}
</style>
