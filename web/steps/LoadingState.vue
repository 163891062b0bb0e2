<script setup lang="ts">
import Button from 'primevue/button';

defineProps<{ trouble: string | null }>();
</script>

<template>
  <main class="state">
    <template v-if="trouble">
      <h1>This job can't be opened</h1>
      <p>{{ trouble }}</p>
      <Button as="router-link" to="/" label="All jobs" />
    </template>
    <p v-else class="soft" role="status">Opening the job</p>
  </main>
</template>

<style scoped>
.state {
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 1rem;
  text-align: center;
  padding: 1rem;
}
</style>
