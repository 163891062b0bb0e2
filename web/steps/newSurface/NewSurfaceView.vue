<script setup lang="ts">
import { changeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed, ref, shallowRef, toRef } from 'vue';
import { useRouter } from 'vue-router';
import type { Surface } from '@azulejo/core/job/job';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { startSurfaceOf } from '@azulejo/core/job/startJob';
import { startSet } from '@azulejo/core/job/startSet';
import type { Fixture } from '@azulejo/core/surface/fixture';
import type { Shape } from '@azulejo/core/surface/shapes/registry';
import { SETS, type SetForm } from '@azulejo/core/surface/sets/registry';
import { setFaceName } from '@azulejo/core/messages/en/sets';
import { SURFACE_KINDS } from '@azulejo/core/surface/surface';
import { METRIC_TAPE } from '@azulejo/core/units/tape';
import { useFieldTroubles } from '../../fields/fieldTroubles.ts';
import SwitchField from '../../fields/SwitchField.vue';
import TextField from '../../fields/TextField.vue';
import { provideTape } from '../../fields/useTape.ts';
import { KIND_LABELS } from '../job/surfaceKinds.ts';
import LoadingState from '../LoadingState.vue';
import { newId } from '../newId.ts';
import { useOpenJob } from '../useOpenJob.ts';
import DrawBoard from './DrawBoard.vue';
import OneSurfaceForm from './OneSurfaceForm.vue';
import OutlineImport from './OutlineImport.vue';
import { MISSING, ringsOf, suggestedName, type Entered, type EnteringWay } from './model.ts';
import OutlinePicture from './OutlinePicture.vue';
import SetFields from './SetFields.vue';
import type { SurfaceToBe } from './surfaceToBe.ts';
import SurfaceToBePicture from './SurfaceToBePicture.vue';
import type { Walked } from './walk.ts';
import TroubleNote from '../../fields/TroubleNote.vue';

const props = defineProps<{ jobId: string }>();
const { jobs, trouble: openTrouble } = useOpenJob(toRef(props, 'jobId'));
const router = useRouter();
const WAYS = [
  { value: 'one', label: 'One surface' },
  { value: 'set', label: 'Several' },
  { value: 'draw', label: 'Draw it' },
  { value: 'file', label: 'From a file' },
] as const;
const way = ref<EnteringWay>('one');
const kind = ref<Surface['kind']>('floor');
const name = ref('');
const shape = shallowRef<Shape | null>(null);
/** What a drawing holds within the outline. */
const cutOuts = shallowRef<readonly Fixture[]>([]);
const walked = shallowRef<Walked | null>(null);
const toBe = shallowRef<SurfaceToBe | null>(null);
const set = shallowRef<SetForm>(SETS.stairFlight.defaults);
const trouble = ref<string | null>(null);
/** Whether it was added already: a second press while the next view opens adds nothing. */
const added = ref(false);
const hasTroubles = useFieldTroubles();
const entered = computed<Entered>(() => ({
  way: way.value,
  kind: kind.value,
  shape: shape.value,
  cutOuts: cutOuts.value,
  walked: walked.value,
  set: set.value,
}));
const suggested = computed(() => suggestedName(entered.value, jobs.job ?? { surfaces: [] }));
const rings = computed(() => ringsOf(entered.value));
provideTape(() => jobs.job?.tape ?? METRIC_TAPE);

function choose(next: EnteringWay): void {
  way.value = next;
  [shape.value, cutOuts.value] = [null, []];
  trouble.value = null;
}

/** Enter in a field moves on where two lengths were all there was to enter. */
function addWhenReady(): void {
  if (!hasTroubles.value && way.value === 'one' && shape.value?.kind === 'rectangle') add();
}
function add(): void {
  if (added.value) return;
  trouble.value = hasTroubles.value
    ? "A field above holds something that can't be read; mend it first."
    : way.value === 'set'
      ? addSet()
      : addOne();
}
function addOne(): string | null {
  const { job } = jobs;
  if (!job) return null;
  if (!shape.value) return MISSING[way.value];
  const plain = startSurfaceOf(job, newId('surface'), name.value.trim() || suggested.value, kind.value, shape.value);
  const surface = { ...plain, measured: { ...plain.measured, fixtures: [...cutOuts.value] } };
  const [first] = jobs.change(changeLabel('addSurface', surface.name), (draft) => {
    draft.surfaces.push(surface);
  });
  if (first) return describeIssue(first, job.tape);
  added.value = true;
  void router.push({ name: 'surface', params: { jobId: job.id, surfaceId: surface.id, step: 'setout' } });
  return null;
}
function addSet(): string | null {
  const { job } = jobs;
  if (!job) return null;
  const started = startSet(job, newId(set.value.kind), name.value.trim() || suggested.value, set.value, setFaceName);
  const [first] = jobs.change(changeLabel('addRoom', started.room.name), (draft) => {
    draft.rooms.push(started.room);
    draft.surfaces.push(...started.surfaces);
    draft.links.push(...started.links);
  });
  if (first) return describeIssue(first, job.tape);
  added.value = true;
  void router.push({ name: 'job', params: { jobId: job.id } });
  return null;
}
</script>

<template>
  <LoadingState v-if="!jobs.job" :trouble="openTrouble" />
  <div v-else class="new">
    <div class="drawing">
      <DrawBoard v-if="way === 'draw'" @shape="shape = $event" />
      <SurfaceToBePicture v-else-if="rings.length === 0 && way === 'one'" :to-be="toBe" />
      <OutlinePicture v-else :rings="rings" />
    </div>
    <main class="panel">
      <h1>New surface</h1>
      <form class="stack" @submit.prevent="addWhenReady">
        <SwitchField label="Measure" :value="way" :options="WAYS" @choose="choose" />
        <SwitchField
          v-if="way !== 'set'"
          label="It is a"
          :value="kind"
          :options="SURFACE_KINDS.map((value) => ({ value, label: KIND_LABELS[value] }))"
          @choose="kind = $event"
        />
        <OneSurfaceForm v-if="way === 'one'" @shape="shape = $event" @walk="walked = $event" @to-be="toBe = $event" />
        <SetFields v-else-if="way === 'set'" v-model="set" />
        <p v-else-if="way === 'draw'" class="soft">Draw the corners on the squared paper; their real lengths are typed over in Measure.</p>
        <OutlineImport v-else @shape="(drawn, holes) => ((shape = drawn), (cutOuts = holes))" />
        <TextField label="Name" :value="name" :longest="60" :placeholder="suggested" :commit="(text) => ((name = text), null)" />
        <TroubleNote :why="trouble" />
        <div class="row ends">
          <Button as="router-link" :to="{ name: 'job', params: { jobId } }" label="Not now" severity="secondary" text />
          <Button :label="way === 'set' ? 'Add them all' : 'Set it out'" type="button" @click="add" />
        </div>
        <button type="submit" class="unseen" tabindex="-1" aria-hidden="true">Set it out</button>
      </form>
    </main>
  </div>
</template>

<style scoped>
.new {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 440px;
  min-height: 0;
}
.drawing {
  background: var(--paper);
  min-height: 0;
}
.panel {
  background: var(--panel);
  overflow-y: auto;
  padding: 1.4rem 1.4rem 2rem;
  display: grid;
  gap: 1.1rem;
  align-content: start;
}
.ends {
  justify-content: flex-end;
}
.unseen {
  display: none;
}
@media (max-width: 860px) {
  .new {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: 34% minmax(0, 1fr);
  }
  .panel {
    padding: 0.9rem 1rem 2rem;
  }
}
</style>
