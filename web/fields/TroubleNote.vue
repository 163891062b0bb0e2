<script setup lang="ts">
/** Why something could not be done, beside what caused it; nothing where there is no trouble. */
defineProps<{ why: string | null }>();
</script>

<template>
  <p v-if="why" class="why" role="alert">{{ why }}</p>
</template>
