<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { layWithoutCut } from '@azulejo/core/job/layWithoutCut';
import type { Job, Surface } from '@azulejo/core/job/job';
import { productName } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { findCoursing, type Coursing, type Courses } from '@azulejo/core/setout/coursing/findCoursing';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import TroubleNote from '../../fields/TroubleNote.vue';
import { useTape } from '../../fields/useTape.ts';
import { useAttempt } from '../useAttempt.ts';
import { useEditSurface } from '../useEditSurface.ts';

/** The tiles of the job that fill the surface without a cut, or how far each is from that. */
const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan }>();
const tape = useTape();
const edit = useEditSurface(() => props.surface.id);
const { trouble, attempt } = useAttempt(() => tape.value);
/** A border, a band or a rug takes its part of the courses. */
const isPlain = computed(() => {
  const { measured, border, bands, insets } = props.surface;
  return measured.shape.kind === 'rectangle' && props.plan.traced.edges.length === 4 && !border && bands.length + insets.length === 0;
});
const jointMm = ref<[number, number]>([2, 5]);
const gapMm = ref<[number, number]>([3, 6]);
const open = ref(false);
const size = computed(() => {
  const { minX, minY, maxX, maxY } = props.plan.traced.body;
  return { widthMm: maxX - minX, heightMm: maxY - minY };
});
const SHOWN = 8;
const rows = computed(() =>
  open.value ? findCoursing(size.value, props.job.products, { jointMm: jointMm.value, gapMm: gapMm.value }).slice(0, SHOWN) : [],
);

function set(range: 'joint' | 'gap', k: 0 | 1, mm: number): [] {
  const target = range === 'joint' ? jointMm : gapMm;
  const next: [number, number] = [...target.value];
  next[k] = mm;
  if (next[0] > next[1]) next[k === 0 ? 1 : 0] = mm;
  target.value = next;
  return [];
}
const length = (mm: number): string => formatLengthWithUnit(mm, tape.value);
function told({ count, jointsMm, overMm, underMm, fittingMm }: Courses): string {
  const pieces = `${count} ${count === 1 ? 'piece' : 'pieces'}`;
  if (jointsMm) return pieces;
  return `${pieces} ${overMm > 0 ? `run over by ${length(overMm)}` : `leave ${length(underMm)} bare`}; a tile of ${length(fittingMm)} would fit`;
}
function lay(coursing: Coursing): void {
  if (coursing.fit) attempt(edit('layWithoutACut', (target, job) => layWithoutCut(target, job, coursing)));
}
</script>

<template>
  <section v-if="isPlain" class="stack">
    <h2>Without a cut</h2>
    <Button v-if="!open" label="Look through the tiles of the job" severity="secondary" outlined @click="open = true" />
    <template v-else>
      <FieldGrid>
        <LengthField label="Joint from" :mm="jointMm[0]" :commit="(mm) => set('joint', 0, mm)" />
        <LengthField label="Joint to" :mm="jointMm[1]" :commit="(mm) => set('joint', 1, mm)" />
        <LengthField label="Gap at the ends from" :mm="gapMm[0]" :commit="(mm) => set('gap', 0, mm)" />
        <LengthField label="Gap at the ends to" :mm="gapMm[1]" :commit="(mm) => set('gap', 1, mm)" />
      </FieldGrid>
      <TroubleNote :why="trouble" />
      <ul class="rows">
        <li v-for="row in rows" :key="`${row.productId} ${row.turned}`">
          <span class="grow">
            <b>{{ productName(job, row.productId) }}{{ row.turned ? ', turned' : '' }}</b>
            <span v-if="row.fit" class="small"
              >{{ row.across.count }} by {{ row.up.count }} pieces, joint {{ length(row.fit.jointMm) }}, gaps
              {{ length(row.fit.sideGapMm) }} and {{ length(row.fit.endGapMm) }}</span
            >
            <span v-else class="small soft">Left to right: {{ told(row.across) }}. Bottom to top: {{ told(row.up) }}.</span>
          </span>
          <Button
            v-if="row.fit"
            size="small"
            label="Lay it"
            :aria-label="`Lay ${productName(job, row.productId)} without a cut`"
            @click="lay(row)"
          />
        </li>
      </ul>
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
</style>
