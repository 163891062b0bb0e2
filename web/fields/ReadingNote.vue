<script setup lang="ts">
import Button from 'primevue/button';

/** That a file is being read, and a way to stop it. */
defineProps<{ shown: boolean }>();
const emit = defineEmits<{ stop: [] }>();
</script>

<template>
  <p v-if="shown" class="row" role="status">
    <span class="grow">Reading the file</span>
    <Button size="small" severity="secondary" outlined @click="emit('stop')">Stop</Button>
  </p>
</template>
