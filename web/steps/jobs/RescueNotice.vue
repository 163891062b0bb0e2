<script setup lang="ts">
import Button from 'primevue/button';
import { onMounted, ref } from 'vue';
import type { Rescue } from '@azulejo/core/formats/apiTypes';
import { api } from '../../api/client.ts';

/** What came of data that could not be read; shown until somebody has read it. */
const rescue = ref<Rescue | null>(null);
onMounted(() => {
  api
    .findRescue()
    .then((found) => {
      rescue.value = found;
    })
    .catch(() => undefined);
});
async function read(): Promise<void> {
  await api.forgetRescue().catch(() => undefined);
  rescue.value = null;
}
</script>

<template>
  <section v-if="rescue" class="rescue" role="status">
    <h2>The data was put together anew</h2>
    <p v-if="rescue.fromData.length > 0">Read from it as they were: {{ rescue.fromData.join(', ') }}.</p>
    <p v-for="{ name, day } in rescue.fromCopies" :key="name">
      <b>{{ name }}</b> comes from the copy of {{ day }}; what was changed after that has to be done again.
    </p>
    <p v-for="{ name, parts } in rescue.lost" :key="name">
      Of <b>{{ name }}</b> {{ parts === 1 ? 'one surface or tile is' : `${parts} surfaces or tiles are` }} neither there nor in a copy.
    </p>
    <p class="soft small">What was there before is kept in {{ rescue.setAside }}. Changes made before can't be undone any more.</p>
    <Button label="I have read it" severity="secondary" outlined @click="read" />
  </section>
</template>

<style scoped>
.rescue {
  max-width: 62rem;
  padding: 1rem 1.1rem;
  margin-bottom: 1.2rem;
  background: var(--panel);
  border-left: 4px solid var(--bad);
  display: grid;
  gap: 0.4rem;
  justify-items: start;
}
h2,
p {
  margin: 0;
}
</style>
