<script setup lang="ts">
import { newUuid } from '../../saving/newUuid.ts';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { api, ServerError } from '../../api/client.ts';
import TextField from '../../fields/TextField.vue';
import TapeField from '../../fields/TapeField.vue';
import TroubleNote from '../../fields/TroubleNote.vue';
import { useDraft } from '../useDraft.ts';
import { useHabits } from '../order/useHabits.ts';

const { habits } = useHabits();
const emit = defineEmits<{ close: [] }>();
const router = useRouter();
const name = ref('');
const client = ref('');
const system = ref<'metric' | 'imperial'>('metric');
const trouble = ref<string | null>(null);
const { leave, warning } = useDraft(
  () => JSON.stringify([name.value, client.value, system.value]),
  () => emit('close'),
);
/** Named here, so that a second press starts the same job. */
const jobId = newUuid();

async function start(): Promise<void> {
  if (name.value.trim() === '') {
    trouble.value = 'Expected a name for the job.';
    return;
  }
  try {
    await api.startJob({ id: jobId, name: name.value, client: client.value, system: system.value, habits: habits.value });
    await router.push({ name: 'job', params: { jobId } });
  } catch (error) {
    trouble.value = error instanceof ServerError ? error.words : 'The job could not be started.';
  }
}
</script>

<template>
  <Dialog visible modal header="New job" @update:visible="leave">
    <form class="form" @submit.prevent="start">
      <TextField label="Name" :value="name" :longest="80" autofocus :commit="(text) => ((name = text), null)" />
      <TextField label="Client" :value="client" :longest="120" :commit="(text) => ((client = text), null)" />
      <TapeField :value="system" @choose="system = $event" />
      <TroubleNote :why="trouble ?? warning" />
      <button type="submit" class="unseen" tabindex="-1" aria-hidden="true">Start</button>
    </form>
    <template #footer>
      <Button label="Not now" severity="secondary" text @click="emit('close')" />
      <Button label="Start" @click="start" />
    </template>
  </Dialog>
</template>

<style scoped>
.form {
  display: grid;
  gap: 1rem;
  width: min(26rem, 82vw);
}
.unseen {
  display: none;
}
</style>
