<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { PhTrash } from '@phosphor-icons/vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import { edgeName } from '@azulejo/core/messages/en/names';
import { usualMeeting } from '@azulejo/core/job/setCornerRun';
import { MEETINGS, type Link } from '@azulejo/core/surface/link';
import { formatLength } from '@azulejo/core/units/formatLength';
import ChoiceField from '../../../fields/ChoiceField.vue';
import FieldGrid from '../../../fields/FieldGrid.vue';
import { useJobStore } from '../../../stores/jobStore.ts';
import { newId } from '../../newId.ts';
import { useAttempt } from '../../useAttempt.ts';
import { edgesToMeet, joinedTo } from '../model.ts';
import CornerField from './CornerField.vue';
import UnfoldedView from './UnfoldedView.vue';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

const props = defineProps<{ job: Job; surface: Surface }>();
const tape = useTape();
const jobs = useJobStore();
const { trouble, attempt } = useAttempt(() => tape.value);
const MEETING_NAMES: Readonly<Record<Link['meets'], string>> = {
  inside: 'Inside corner',
  outside: 'Outside corner',
  flat: 'In one plane',
  inLine: 'In line, a step between',
};
const meetings = MEETINGS.map((value) => ({ value, label: MEETING_NAMES[value] }));

const nameOf = (id: string): string => props.job.surfaces.find((other) => other.id === id)?.name ?? id;
const measuredOf = (id: string) => props.job.surfaces.find((other) => other.id === id)?.measured;
const edgesOf = (id: string) => {
  const measured = measuredOf(id);
  return (measured ? edgesToMeet(measured) : []).map((edge) => ({ ...edge, value: edge.id, label: edge.name }));
};
const edgeLabel = (surfaceId: string, edge: string): string => edgesOf(surfaceId).find(({ id }) => id === edge)?.name ?? edgeName(edge);
const lengthOf = ({ surface, edge }: Link['a']): string =>
  formatLength(edgesOf(surface).find(({ id }) => id === edge)?.lengthMm ?? 0, tape.value);
const here = computed(() => joinedTo(props.job, props.surface.id));
const others = computed(() =>
  props.job.surfaces.filter(({ id }) => id !== props.surface.id).map(({ id, name }) => ({ value: id, label: name })),
);
const myEdge = ref<string | null>(null);
const other = ref<string | null>(null);
const theirEdge = ref<string | null>(null);
const meets = ref<Link['meets']>('inside');
const chosen = computed(() => {
  const surface = other.value ?? others.value[0]?.value ?? '';
  return {
    mine: myEdge.value ?? edgesOf(props.surface.id)[0]?.value ?? '',
    surface,
    theirs: theirEdge.value ?? edgesOf(surface)[0]?.value ?? '',
  };
});

function add(): void {
  const { mine, surface, theirs } = chosen.value;
  const issues = jobs.change('surfacesMeet', (draft) => {
    const ends = { a: { surface: props.surface.id, edge: mine }, b: { surface, edge: theirs } };
    draft.links.push(usualMeeting(props.job, { id: newId('join'), ...ends, meets: meets.value }));
  });
  attempt(issues);
}
function remove(id: string): void {
  jobs.change('surfacesPart', (draft) => {
    draft.links = draft.links.filter((link) => link.id !== id);
  });
}
function setMeeting(id: string, value: Link['meets']): void {
  jobs.change('howSurfacesMeet', (draft) => {
    const link = draft.links.find((one) => one.id === id);
    if (link) link.meets = value;
  });
}
</script>

<template>
  <section class="stack">
    <h3>What it meets</h3>
    <UnfoldedView v-if="here.length > 0" :job="job" :surface="surface" />
    <p v-else class="soft small">Nothing yet. Tell which surface goes on from which edge, and courses can be carried round the corner.</p>
    <div v-for="{ link, mine, theirs } in here" :key="link.id" class="link">
      <p>
        <b>{{ edgeLabel(mine.surface, mine.edge) }}</b> <span class="figure">{{ lengthOf(mine) }}</span>
        {{ link.meets === 'inLine' ? 'is in line with' : 'meets' }}
        <RouterLink :to="{ name: 'surface', params: { jobId: job.id, surfaceId: theirs.surface, step: 'measure' } }">{{
          nameOf(theirs.surface)
        }}</RouterLink>, {{ edgeLabel(theirs.surface, theirs.edge) }} <span class="figure">{{ lengthOf(theirs) }}</span>
      </p>
      <Button text severity="secondary" :aria-label="`Part from ${nameOf(theirs.surface)}`" @click="remove(link.id)"
        ><PhTrash :size="18"
      /></Button>
      <ChoiceField
        class="wide"
        :label="`How ${mine.edge} meets`"
        :value="link.meets"
        :options="meetings"
        hide-label
        @choose="setMeeting(link.id, $event)"
      />
      <CornerField class="wide" :job="job" :link="link" />
    </div>
    <template v-if="others.length > 0">
      <FieldGrid>
        <ChoiceField label="This edge" :value="chosen.mine" :options="edgesOf(surface.id)" @choose="myEdge = $event" />
        <ChoiceField label="meets the surface" :value="chosen.surface" :options="others" @choose="((other = $event), (theirEdge = null))" />
        <ChoiceField label="at its edge" :value="chosen.theirs" :options="edgesOf(chosen.surface)" @choose="theirEdge = $event" />
        <ChoiceField label="as an" :value="meets" :options="meetings" @choose="meets = $event" />
      </FieldGrid>
      <TroubleNote :why="trouble" />
      <div><Button severity="secondary" outlined @click="add">They meet</Button></div>
    </template>
  </section>
</template>

<style scoped>
.link {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 2.6rem;
  gap: 0.5rem;
  align-items: center;
  border-top: 1px solid var(--line);
  padding-top: 0.4rem;
  font-size: 0.95rem;
}
.wide {
  grid-column: 1 / -1;
}
.link b::first-letter {
  text-transform: uppercase;
}
</style>
