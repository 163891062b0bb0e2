<script setup lang="ts">
import type { Job, Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import type { Product } from '@azulejo/core/tile/product';
import { IMPERIAL_TAPE, METRIC_TAPE } from '@azulejo/core/units/tape';
import PartTabs from '../../fields/PartTabs.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { MEASURE_PARTS, useBoardStore } from '../../stores/boardStore.ts';
import { useEditSurface } from '../useEditSurface.ts';
import AgainList from './AgainList.vue';
import AroundPanel from './around/AroundPanel.vue';
import CarriedList from './CarriedList.vue';
import DoorwayList from './DoorwayList.vue';
import EdgePanel from './EdgePanel.vue';
import FixtureList from './FixtureList.vue';
import LevelsPanel from './levels/LevelsPanel.vue';
import MeterBar from './meter/MeterBar.vue';
import ShapePanel from './shape/ShapePanel.vue';
import SurfaceBasics from './SurfaceBasics.vue';

const props = defineProps<{ job: Job; surface: Surface; product: Product; plan: SurfacePlan | null }>();
const board = useBoardStore();
const edit = useEditSurface(() => props.surface.id);

const setSystem = (system: string): void => {
  edit('tape', (surface) => {
    surface.tape = system === 'metric' ? METRIC_TAPE : system === 'imperial' ? IMPERIAL_TAPE : null;
  });
};
</script>

<template>
  <PartTabs v-model="board.measurePart" :parts="MEASURE_PARTS" label="Parts of the measurement" />
  <MeterBar :surface="surface" />
  <AgainList :surface="surface" />
  <ShapePanel v-if="board.measurePart === 'shape'" :surface="surface" />
  <EdgePanel v-else-if="board.measurePart === 'edges'" :surface="surface" :plan="plan" />
  <template v-else-if="board.measurePart === 'fixtures'">
    <FixtureList :surface="surface" :plan="plan" />
    <DoorwayList :surface="surface" />
    <CarriedList :surface="surface" />
  </template>
  <LevelsPanel v-else-if="board.measurePart === 'levels'" :surface="surface" :product="product" :plan="plan" />
  <template v-else>
    <AroundPanel :job="job" :surface="surface" />
    <SurfaceBasics :job="job" :surface="surface" />
    <SwitchField
      label="Tape"
      :value="surface.tape?.system ?? 'job'"
      :options="[
        { value: 'job', label: 'As the job' },
        { value: 'metric', label: 'Millimetres' },
        { value: 'imperial', label: 'Feet, inches' },
      ]"
      @choose="setSystem"
    />
  </template>
</template>
