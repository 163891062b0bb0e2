<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { layWithoutCut } from '@azulejo/core/job/layWithoutCut';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { COURSING_ENDS, type Coursing, type CoursingEnd, type CoursingRange } from '@azulejo/core/setout/coursing/findCoursing';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import TroubleNote from '../../fields/TroubleNote.vue';
import { useTape } from '../../fields/useTape.ts';
import { useAttempt } from '../useAttempt.ts';
import { useEditSurface } from '../useEditSurface.ts';
import { noCutModel, ranged, startRange } from './noCutModel.ts';

/** The tiles of the job that fill the surface without a cut, or how far each is from that, why, and what would make it fit. */
const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan }>();
const tape = useTape();
const edit = useEditSurface(() => props.surface.id);
const { trouble, attempt } = useAttempt(() => tape.value);
/** A border, a band or a rug takes its part of the courses. */
const isPlain = computed(() => {
  const { measured, border, bands, insets } = props.surface;
  return measured.shape.kind === 'rectangle' && props.plan.traced.edges.length === 4 && !border && bands.length + insets.length === 0;
});
/** What it is looked for by; nothing before somebody asks. */
const range = ref<CoursingRange | null>(null);
const ends = computed(() => COURSING_ENDS.filter((end) => !range.value?.coursesOnly || end === 'bottom' || end === 'top'));
const WHOLE = [
  { value: 'both', label: 'Both ways' },
  { value: 'up', label: 'In height only, cut at the sides' },
] as const;
/** So many tiles of the list are told of at first. */
const FIRST = 12;
const shown = ref(FIRST);
const groups = computed(() => {
  if (!range.value) return [];
  const { laid, others } = noCutModel(props.job, props.plan.traced, range.value, tape.value);
  return [
    { title: 'Tiles of this job', rows: laid, more: 0 },
    { title: 'Others on its list', rows: others.slice(0, shown.value), more: Math.max(0, others.length - shown.value) },
  ].filter(({ rows }) => rows.length > 0);
});

function setJoint(k: 0 | 1, mm: number): [] {
  if (range.value) range.value = { ...range.value, jointMm: ranged(range.value.jointMm, k, mm) };
  return [];
}
function setGap(end: CoursingEnd, k: 0 | 1, mm: number): [] {
  if (range.value) {
    const { gapsMm } = range.value;
    range.value = { ...range.value, gapsMm: { ...gapsMm, [end]: ranged(gapsMm[end], k, mm) } };
  }
  return [];
}
function setCoursesOnly(coursesOnly: boolean): void {
  if (range.value) range.value = { ...range.value, coursesOnly };
}
function lay(coursing: Coursing): void {
  if (coursing.fit) attempt(edit('layWithoutACut', (target, job) => layWithoutCut(target, job, coursing)));
}
</script>

<template>
  <section v-if="isPlain" class="stack">
    <h2>Without a cut</h2>
    <Button
      v-if="!range"
      label="Look through the tiles of the job"
      severity="secondary"
      outlined
      @click="range = startRange(plan.traced)"
    />
    <template v-else>
      <FieldGrid>
        <LengthField label="Joint from" :mm="range.jointMm[0]" :commit="(mm) => setJoint(0, mm)" />
        <LengthField label="Joint to" :mm="range.jointMm[1]" :commit="(mm) => setJoint(1, mm)" />
        <template v-for="end in ends" :key="end">
          <LengthField :label="`Gap ${end} from`" :mm="range.gapsMm[end][0]" :commit="(mm) => setGap(end, 0, mm)" />
          <LengthField :label="`Gap ${end} to`" :mm="range.gapsMm[end][1]" :commit="(mm) => setGap(end, 1, mm)" />
        </template>
      </FieldGrid>
      <SwitchField
        label="Whole pieces"
        :value="range.coursesOnly ? 'up' : 'both'"
        :options="WHOLE"
        @choose="setCoursesOnly($event === 'up')"
      />
      <TroubleNote :why="trouble" />
      <template v-for="group in groups" :key="group.title">
        <h3>{{ group.title }}</h3>
        <ul class="rows">
          <li v-for="row in group.rows" :key="row.key">
            <span class="grow">
              <b>{{ row.name }}</b>
              <span class="small">{{ row.words }}</span>
              <span v-for="why in row.why" :key="why" class="small soft">{{ why }}</span>
            </span>
            <Button
              v-if="row.found.fit"
              class="lay"
              size="small"
              label="Lay it"
              :aria-label="`Lay ${row.name} without a cut`"
              @click="lay(row.found)"
            />
          </li>
        </ul>
        <Button v-if="group.more > 0" severity="secondary" outlined :label="`${group.more} more`" @click="shown += 10 * FIRST" />
      </template>
    </template>
  </section>
</template>

<style scoped>
.rows {
  list-style: none;
  margin: 0;
  padding: 0;
}
.rows li {
  display: flex;
  gap: 0.8rem;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 0.5rem 0;
}
.rows span {
  display: grid;
}
.lay {
  flex: none;
}
</style>
