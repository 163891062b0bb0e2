<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { ref } from 'vue';
import type { JobEntry } from '@azulejo/core/formats/apiTypes';
import { lastSeen } from '../../saving/lastSeen.ts';
import { api, exportUrl, ServerError } from '../../api/client.ts';
import { useJobStore } from '../../stores/jobStore.ts';
import TroubleNote from '../../fields/TroubleNote.vue';

const props = defineProps<{ job: JobEntry }>();
const emit = defineEmits<{ close: [] }>();
const jobs = useJobStore();
const trouble = ref<string | null>(null);

async function remove(): Promise<void> {
  try {
    await api.deleteJob(props.job.id, props.job.version);
    jobs.announceDeleted(props.job.id);
    void lastSeen.forgetJob(props.job.id);
    emit('close');
  } catch (error) {
    trouble.value = error instanceof ServerError ? error.words : 'The job could not be deleted.';
  }
}
</script>

<template>
  <Dialog visible modal :header="`Delete ${job.name}?`" @update:visible="emit('close')">
    <p class="words">
      Its surfaces, cuts and history go with it. The daily copies keep it as it was at the last copy, for two weeks.
      <a :href="exportUrl(job.id, 'job')">Save its job file first</a> to be able to read it back.
    </p>
    <TroubleNote :why="trouble" />
    <template #footer>
      <Button label="Keep it" severity="secondary" text @click="emit('close')" />
      <Button label="Delete" severity="danger" @click="remove" />
    </template>
  </Dialog>
</template>

<style scoped>
.words {
  max-width: 26rem;
}
.why {
  color: var(--bad);
  margin-top: 0.7rem;
}
</style>
