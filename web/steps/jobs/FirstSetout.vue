<script setup lang="ts">
import { newUuid } from '../../saving/newUuid.ts';
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import type { Surface } from '@azulejo/core/job/job';
import { startJob, startSurfaceOf } from '@azulejo/core/job/startJob';
import { SURFACE_KINDS } from '@azulejo/core/surface/surface';
import { IMPERIAL_TAPE, METRIC_TAPE } from '@azulejo/core/units/tape';
import { api, ServerError } from '../../api/client.ts';
import { useFieldTroubles } from '../../fields/fieldTroubles.ts';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import TapeField from '../../fields/TapeField.vue';
import { provideTape } from '../../fields/useTape.ts';
import { KIND_LABELS } from '../job/surfaceKinds.ts';
import { newId } from '../newId.ts';
import TroubleNote from '../../fields/TroubleNote.vue';
import { useHabits } from '../order/useHabits.ts';

const { habits } = useHabits();

/** The list without jobs: two lengths make the first one, with its setout on screen. */
const emit = defineEmits<{ showDemo: [] }>();
const router = useRouter();
const system = ref<'metric' | 'imperial'>('metric');
const kind = ref<Surface['kind']>('floor');
const widthMm = ref<number | null>(null);
const heightMm = ref<number | null>(null);
const trouble = ref<string | null>(null);
const starting = ref(false);
const hasTroubles = useFieldTroubles();
const tape = computed(() => (system.value === 'metric' ? METRIC_TAPE : IMPERIAL_TAPE));
provideTape(() => tape.value);
/** Named here, so that a second press starts the same job. */
const jobId = newUuid();

async function setOut(): Promise<void> {
  if (hasTroubles.value || starting.value) return;
  if (widthMm.value === null || heightMm.value === null) {
    trouble.value = 'Expected both lengths: left to right and bottom to top.';
    return;
  }
  starting.value = true;
  try {
    const job = { ...startJob(jobId, 'First job', tape.value), habits: habits.value };
    const shape = { kind: 'rectangle' as const, widthMm: widthMm.value, heightMm: heightMm.value };
    const surface = startSurfaceOf(job, newId('surface'), `${KIND_LABELS[kind.value]} 1`, kind.value, shape);
    const { id } = await api.importJob(writeJobFile({ ...job, surfaces: [surface] }));
    await router.push({ name: 'surface', params: { jobId: id, surfaceId: surface.id, step: 'setout' } });
  } catch (error) {
    trouble.value = error instanceof ServerError ? error.words : 'The job could not be started.';
    starting.value = false;
  }
}
</script>

<template>
  <section class="empty">
    <h2>Start with two lengths</h2>
    <p class="soft">
      Measure a wall or a floor and type both lengths as they stand on the tape. The setout is on screen at once: where to start, what the
      end cuts are, what to order.
    </p>
    <form class="stack" @submit.prevent="setOut">
      <SwitchField
        label="It is a"
        :value="kind"
        :options="SURFACE_KINDS.map((value) => ({ value, label: KIND_LABELS[value] }))"
        @choose="kind = $event"
      />
      <TapeField :value="system" @choose="system = $event" />
      <FieldGrid>
        <LengthField label="Left to right" :mm="widthMm" :commit="(mm) => ((widthMm = mm), [])" positive large />
        <LengthField label="Bottom to top" :mm="heightMm" :commit="(mm) => ((heightMm = mm), [])" positive large />
      </FieldGrid>
      <TroubleNote :why="trouble" />
      <div class="row">
        <Button label="Set it out" type="submit" /><Button
          label="Bring three jobs to look at"
          severity="secondary"
          outlined
          @click="emit('showDemo')"
        />
      </div>
    </form>
  </section>
</template>

<style scoped>
.empty {
  max-width: 34rem;
  margin: 5vh auto 0;
  display: grid;
  gap: 1rem;
  background: var(--panel);
  border-radius: 4px;
  padding: 1.6rem 1.8rem 1.8rem;
}
.row {
  margin-top: 0.4rem;
}
</style>
