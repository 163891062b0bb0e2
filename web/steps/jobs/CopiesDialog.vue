<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { Copy } from '@azulejo/core/formats/apiTypes';
import { api, ServerError } from '../../api/client.ts';
import TroubleNote from '../../fields/TroubleNote.vue';

/** The daily copies of all jobs, to bring one back from. */
const emit = defineEmits<{ close: [] }>();
const router = useRouter();
const copies = ref<readonly Copy[] | null>(null);
const trouble = ref<string | null>(null);

const explain = (error: unknown): void => {
  trouble.value = error instanceof ServerError ? error.words : 'The copies could not be read.';
};
onMounted(() => {
  api
    .listCopies()
    .then((found) => {
      copies.value = found;
    })
    .catch(explain);
});

async function bringBack(day: string, id: string): Promise<void> {
  try {
    const { id: jobId } = await api.bringBack(day, id);
    await router.push({ name: 'job', params: { jobId } });
  } catch (error) {
    explain(error);
  }
}

const dayName = (day: string): string =>
  new Date(`${day}T12:00`).toLocaleDateString([], { weekday: 'long', day: 'numeric', month: 'long' });
</script>

<template>
  <Dialog visible modal header="Daily copies" class="copies" @update:visible="emit('close')">
    <p class="lead soft">
      Every job is copied when the server starts and every hour it changed; two weeks are kept. Bringing one back never overwrites: where
      the job is still there, the copy becomes a job beside it.
    </p>
    <TroubleNote :why="trouble" />
    <p v-if="copies?.length === 0" class="soft">There are no copies yet.</p>
    <section v-for="copy in copies ?? []" :key="copy.day">
      <h3>{{ dayName(copy.day) }}</h3>
      <ul>
        <li v-for="job in copy.jobs" :key="job.id">
          <span class="grow"
            >{{ job.name }} <span class="soft small">{{ job.client }}</span></span
          >
          <span class="figure small">{{ job.surfaceCount }} {{ job.surfaceCount === 1 ? 'surface' : 'surfaces' }}</span>
          <Button
            label="Bring back"
            severity="secondary"
            outlined
            :aria-label="`Bring ${job.name} back from ${dayName(copy.day)}`"
            @click="bringBack(copy.day, job.id)"
          />
        </li>
      </ul>
    </section>
  </Dialog>
</template>

<style scoped>
.lead {
  max-width: 36rem;
  margin: 0 0 0.5rem;
}
h3 {
  margin: 1rem 0 0.3rem;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  width: min(38rem, 86vw);
}
li {
  display: flex;
  gap: 0.8rem;
  align-items: center;
  padding: 0.45rem 0;
  border-top: 1px solid var(--line);
}
.why {
  color: var(--bad);
}
</style>
