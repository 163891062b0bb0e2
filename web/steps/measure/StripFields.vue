<script setup lang="ts">
import type { ChangeCode } from '@azulejo/core/job/edit/changeLabel';
import { computed } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { useJobStore } from '../../stores/jobStore.ts';

/** What strips of tile are cut to, and where their joints stand, on all surfaces of the job. */
defineProps<{ hasSkirting: boolean; hasNosing: boolean }>();
const jobs = useJobStore();
const use = computed(() => jobs.job?.consumption ?? null);
const set = (label: ChangeCode, part: Partial<Job['consumption']>) =>
  jobs.change(label, (draft) => {
    Object.assign(draft.consumption, part);
  });
const EDGES = [
  { value: 'dressed' as const, label: 'Dressed by hand' },
  { value: 'factory' as const, label: 'From the factory' },
];
const JOINTS = [
  { value: 'carryOn' as const, label: 'On those of the tiles' },
  { value: 'byHalf' as const, label: 'Half a tile off' },
  { value: 'longest' as const, label: 'As few as can be' },
];
</script>

<template>
  <section v-if="use" class="strips">
    <h3>Strips cut from the tile, on all surfaces of the job</h3>
    <FieldGrid>
      <LengthField
        v-if="hasSkirting"
        label="Skirting cut to"
        :mm="use.skirtingMm"
        :commit="(mm) => set('heightOfSkirting', { skirtingMm: mm })"
      />
      <LengthField
        v-if="hasNosing"
        label="Nosing strips cut to"
        :mm="use.nosingMm"
        :commit="(mm) => set('depthOfNosing', { nosingMm: mm })"
      />
    </FieldGrid>
    <SwitchField label="The edge that shows" :value="use.stripEdge" :options="EDGES" @choose="set('edgeOfStrips', { stripEdge: $event })" />
    <SwitchField
      label="Their joints stand"
      :value="use.stripJoints ?? 'carryOn'"
      :options="JOINTS"
      @choose="set('jointsOfStrips', { stripJoints: $event })"
    />
  </section>
</template>

<style scoped>
.strips {
  display: grid;
  gap: 0.8rem;
}
</style>
