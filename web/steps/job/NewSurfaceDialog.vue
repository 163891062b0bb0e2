<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { Job, Surface } from '@azulejo/core/job';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { startSurface } from '@azulejo/core/startJob';
import { SURFACE_KINDS } from '@azulejo/core/surface/surface';
import { useFieldTroubles } from '../../fields/fieldTroubles.ts';
import LengthField from '../../fields/LengthField.vue';
import TextField from '../../fields/TextField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { useJobStore } from '../../stores/jobStore.ts';
import { newId } from '../newId.ts';
import { KIND_LABELS } from './surfaceKinds.ts';

const props = defineProps<{ job: Job }>();
const emit = defineEmits<{ close: [] }>();
const jobs = useJobStore();
const router = useRouter();
const name = ref('');
const kind = ref<Surface['kind']>('floor');
const widthMm = ref<number | null>(null);
const heightMm = ref<number | null>(null);
const trouble = ref<string | null>(null);
const hasTroubles = useFieldTroubles();
const suggested = computed(
  () => `${KIND_LABELS[kind.value]} ${props.job.surfaces.filter((surface) => surface.kind === kind.value).length + 1}`,
);

const setWidth = (mm: number): [] => {
  widthMm.value = mm;
  return [];
};
const setHeight = (mm: number): [] => {
  heightMm.value = mm;
  return [];
};

/** Enter in a field moves on only when everything is there. */
function addWhenReady(): void {
  if (!hasTroubles.value && widthMm.value !== null && heightMm.value !== null) add();
}

function add(): void {
  if (hasTroubles.value) {
    trouble.value = "A field above holds something that can't be read; mend it first.";
    return;
  }
  if (widthMm.value === null || heightMm.value === null) {
    trouble.value = 'Two lengths are needed: left to right, and bottom to top.';
    return;
  }
  const surface = startSurface(
    props.job,
    newId('surface', props.job.surfaces),
    name.value.trim() || suggested.value,
    kind.value,
    widthMm.value,
    heightMm.value,
  );
  const [first] = jobs.change(`Add ${surface.name}`, (draft) => {
    draft.surfaces.push(surface);
  });
  if (first) trouble.value = describeIssue(first, props.job.tape);
  else void router.push({ name: 'surface', params: { jobId: props.job.id, surfaceId: surface.id, step: 'setout' } });
}
</script>

<template>
  <Dialog visible modal header="New surface" @update:visible="emit('close')">
    <form class="form" @submit.prevent="addWhenReady">
      <SwitchField
        label="It is a"
        :value="kind"
        :options="SURFACE_KINDS.map((value) => ({ value, label: KIND_LABELS[value] }))"
        @choose="kind = $event"
      />
      <div class="two">
        <LengthField label="Left to right" :mm="widthMm" :tape="job.tape" :commit="setWidth" positive large />
        <LengthField label="Bottom to top" :mm="heightMm" :tape="job.tape" :commit="setHeight" positive large />
      </div>
      <TextField label="Name" :value="name" :longest="80" :placeholder="suggested" :commit="(text) => ((name = text), null)" />
      <p v-if="trouble" class="why" role="alert">{{ trouble }}</p>
      <button type="submit" class="unseen" tabindex="-1" aria-hidden="true">Set it out</button>
    </form>
    <template #footer>
      <Button label="Not now" severity="secondary" text @click="emit('close')" />
      <Button label="Set it out" @click="add" />
    </template>
  </Dialog>
</template>

<style scoped>
.form {
  display: grid;
  gap: 1rem;
  width: min(26rem, 82vw);
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.8rem;
  align-items: start;
}
.why {
  color: var(--bad);
}
.unseen {
  display: none;
}
</style>
