<script setup lang="ts">
import { computed } from 'vue';
import Button from 'primevue/button';
import type { Job, Surface } from '@azulejo/core/job/job';
import { careName, careHint } from '@azulejo/core/messages/en/cares';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { ONLY_THE_START, type Allowed } from '@azulejo/core/setout/choice/allowed';
import { CARES, weightsOf, type Care, type WayChoice } from '@azulejo/core/setout/choice/ways';
import ChoiceField from '../../../fields/ChoiceField.vue';
import FieldGrid from '../../../fields/FieldGrid.vue';
import LengthField from '../../../fields/LengthField.vue';
import TextField from '../../../fields/TextField.vue';
import YesNoField from '../../../fields/YesNoField.vue';
import { useEditSurface } from '../../useEditSurface.ts';
import { edgeTitle } from '../../edgeTitle.ts';
import { useOwnWays } from './useOwnWays.ts';

/** What setouts are weighed by: the way of working, what a search may change, and how much each edge is looked at. */
const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan }>();
const edit = useEditSurface(() => props.surface.id);
const { ways, remember } = useOwnWays();

const weights = computed(() => weightsOf(props.job.way));
const isOwn = computed(() => typeof props.job.way !== 'string');
const names = computed(() => [
  { value: 'carefulEye', label: 'The careful eye' },
  { value: 'quickJob', label: 'The quick job' },
  ...ways.value.map(({ name }) => ({ value: `own:${name}`, label: name })),
  ...(typeof props.job.way !== 'string' && !ways.value.some(({ name }) => typeof props.job.way !== 'string' && name === props.job.way.name)
    ? [{ value: `own:${props.job.way.name}`, label: props.job.way.name }]
    : []),
]);
const current = computed(() => (typeof props.job.way === 'string' ? props.job.way : `own:${props.job.way.name}`));
const setWay = (way: WayChoice): void => {
  edit('wayOfWorking', (_, job) => {
    job.way = JSON.parse(JSON.stringify(way)) as WayChoice;
  });
};
function chooseWay(key: string): void {
  const own = ways.value.find(({ name }) => `own:${name}` === key);
  if (own) setWay(own);
  else if (key === 'carefulEye' || key === 'quickJob') setWay(key);
}
function setWeight(care: Care, weight: number): void {
  const name = typeof props.job.way === 'string' ? 'My way of working' : props.job.way.name;
  setWay({ name, weights: { ...weights.value, [care]: weight } });
}
function rename(name: string): string | null {
  if (name === '') return 'Expected a name for the way of working.';
  setWay({ name, weights: weights.value });
  return null;
}
const keep = (): void => {
  if (typeof props.job.way !== 'string') remember(props.job.way);
};
const STEPS = [
  { value: 0, label: 'no' },
  { value: 0.5, label: 'less' },
  { value: 1, label: 'as usual' },
  { value: 2, label: 'more' },
  { value: 4, label: 'much' },
];
const nearestStep = (weight: number): number =>
  STEPS.reduce((a, b) => (Math.abs(b.value - weight) < Math.abs(a.value - weight) ? b : a)).value;

const allowed = computed<Allowed>(() => props.surface.allowed ?? ONLY_THE_START);
const allow = (change: Partial<Allowed>): [] => {
  edit('whatASearchMayChange', (target) => {
    target.allowed = JSON.parse(JSON.stringify({ ...allowed.value, ...change })) as Allowed;
  });
  return [];
};
const joints = computed(() => allowed.value.jointMm ?? [props.surface.jointMm, props.surface.jointMm]);
const setJoint = (k: 0 | 1, mm: number) =>
  edit('rangeOfTheJoint', (target) => {
    const next: [number, number] = k === 0 ? [mm, joints.value[1]] : [joints.value[0], mm];
    target.allowed = { ...JSON.parse(JSON.stringify(allowed.value)), jointMm: next };
  });
const toggleShare = (share: number, on: boolean): [] =>
  allow({ shares: on ? [...allowed.value.shares, share] : allowed.value.shares.filter((other) => Math.abs(other - share) > 1e-6) });
const hasShare = (share: number): boolean => allowed.value.shares.some((other) => Math.abs(other - share) < 1e-6);
const SHARES = [
  { share: 1 / 2, label: 'a half' },
  { share: 1 / 3, label: 'a third' },
  { share: 1 / 4, label: 'a quarter' },
];

const edges = computed(() => [
  ...new Map(props.plan.traced.edges.filter(({ isReveal }) => !isReveal).map((edge) => [edge.id, edge])).values(),
]);
const SEEN = [
  { value: 0, label: 'never' },
  { value: 0.2, label: 'hardly' },
  { value: 1, label: 'as any wall' },
  { value: 2, label: 'often' },
  { value: 3, label: 'first' },
];
const nearestSeen = (seen: number): number => SEEN.reduce((a, b) => (Math.abs(b.value - seen) < Math.abs(a.value - seen) ? b : a)).value;
const setSeen = (id: string, seen: number): void => {
  edit('howMuchAnEdgeIsSeen', (target) => {
    target.measured.seen[id] = seen;
  });
};
</script>

<template>
  <section class="stack">
    <h2>Way of working</h2>
    <ChoiceField label="Starts are weighed by" :value="current" :options="names" @choose="chooseWay" />
    <ul class="cares">
      <li v-for="care in CARES" :key="care">
        <span class="grow"
          ><b>{{ careName(care) }}</b
          ><small class="soft">{{ careHint(care) }}</small></span
        >
        <ChoiceField
          class="weight"
          :label="`${careName(care)} counts`"
          hide-label
          :value="nearestStep(weights[care])"
          :options="STEPS"
          @choose="setWeight(care, $event)"
        />
      </li>
    </ul>
    <template v-if="isOwn && typeof job.way !== 'string'">
      <TextField label="Name of this way" :value="job.way.name" :longest="40" :commit="rename" />
      <Button label="Keep it for other jobs" severity="secondary" outlined @click="keep" />
    </template>
  </section>
  <section class="stack">
    <h2>What a search may change</h2>
    <FieldGrid>
      <YesNoField
        v-if="'lay' in surface.pattern"
        label="Lying and upright"
        :value="allowed.otherWay"
        @choose="allow({ otherWay: $event })"
      />
      <YesNoField
        v-if="surface.kind !== 'wall'"
        label="At 45° to an edge"
        :value="allowed.diagonal"
        @choose="allow({ diagonal: $event })"
      />
      <LengthField label="Joint, no narrower than" :mm="joints[0]" :commit="(mm) => setJoint(0, mm)" />
      <LengthField label="Joint, no wider than" :mm="joints[1]" :commit="(mm) => setJoint(1, mm)" />
    </FieldGrid>
    <fieldset v-if="surface.pattern.kind === 'runningBond'" class="shares">
      <legend>Courses shifted by</legend>
      <label v-for="{ share, label } in SHARES" :key="label"
        ><input type="checkbox" :checked="hasShare(share)" @change="toggleShare(share, ($event.target as HTMLInputElement).checked)" />{{
          label
        }}</label
      >
    </fieldset>
  </section>
  <section class="stack">
    <h2>How much each edge is looked at</h2>
    <ul class="cares">
      <li v-for="edge in edges" :key="edge.id">
        <span class="grow">{{ edgeTitle(plan, edge.id) }}</span>
        <ChoiceField
          class="weight"
          :label="`${edgeTitle(plan, edge.id)} is looked at`"
          hide-label
          :value="nearestSeen(edge.seen)"
          :options="SEEN"
          @choose="setSeen(edge.id, $event)"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.cares {
  list-style: none;
  margin: 0;
  padding: 0;
}
.cares li {
  display: flex;
  gap: 0.8rem;
  align-items: center;
  padding: 0.35rem 0;
  border-top: 1px solid var(--line);
}
.cares span {
  display: grid;
  line-height: 1.3;
}
.weight {
  flex: 0 0 8.5rem;
}
.shares {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  gap: 1.2rem;
  flex-wrap: wrap;
}
.shares legend {
  font-size: 0.875rem;
  color: var(--ink-soft);
  padding: 0;
  margin-bottom: 0.3rem;
}
.shares label {
  display: flex;
  gap: 0.4rem;
  align-items: center;
  min-height: 32px;
}
.shares input {
  accent-color: var(--cobalt);
  width: 1.05rem;
  height: 1.05rem;
  margin: 0;
}
</style>
