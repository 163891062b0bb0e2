<script setup lang="ts">
/** Fields in two columns; three where they are short. */
defineProps<{ three?: boolean }>();
</script>

<template>
  <div class="grid" :class="{ three }"><slot /></div>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.8rem;
  align-items: start;
}
.three {
  grid-template-columns: repeat(3, 1fr);
}
</style>
