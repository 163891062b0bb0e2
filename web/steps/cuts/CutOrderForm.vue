<script setup lang="ts">
import { computed } from 'vue';
import type { CutOrder, Cutting } from '@azulejo/core/cuts/cutOrder';
import type { Job } from '@azulejo/core/job/job';
import NumberField from '../../fields/NumberField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { useJobStore } from '../../stores/jobStore.ts';

/** What is cut first, and how much is carried to the saw at a time. */
const props = defineProps<{ job: Job; order: CutOrder }>();
const jobs = useJobStore();
const perTrip = computed(() => props.job.cutting?.perTrip ?? null);

const ORDERS = [
  { value: 'hardestLast', label: 'Last' },
  { value: 'hardestFirst', label: 'First' },
] as const;
const SAWS = [
  { value: 'near', label: 'At hand' },
  { value: 'far', label: 'Far away' },
] as const;
const PARTS = [
  { value: 'all', label: 'All at once' },
  { value: 'zones', label: 'Zone by zone' },
] as const;
/** What one carries at a time, unless told otherwise. */
const USUAL_LOAD = 10;

const set = (label: string, part: Partial<Cutting>) =>
  jobs.change(label, (draft) => {
    draft.cutting = { order: null, perTrip: null, ...draft.cutting, ...part };
  });
</script>

<template>
  <div class="form">
    <SwitchField label="Hard cuts come" :value="order" :options="ORDERS" @choose="set('Order of cuts', { order: $event })" />
    <SwitchField
      label="The saw is"
      :value="perTrip === null ? 'near' : 'far'"
      :options="SAWS"
      @choose="set('Where the saw stands', { perTrip: $event === 'far' ? USUAL_LOAD : null })"
    />
    <SwitchField
      label="Cut"
      :value="job.cutting?.byZone ? 'zones' : 'all'"
      :options="PARTS"
      @choose="set('Cuts by zone', { byZone: $event === 'zones' })"
    />
    <NumberField
      v-if="perTrip !== null"
      label="Pieces a trip"
      :value="perTrip"
      :commit="(count) => set('Pieces a trip', { perTrip: count })"
    />
  </div>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.8rem;
}
</style>
