<script setup lang="ts">
import type { Job, Surface } from '@azulejo/core/job';
import type { SurfacePlan } from '@azulejo/core/plan';
import type { Product } from '@azulejo/core/tile/product';
import { IMPERIAL_TAPE, METRIC_TAPE, type Tape } from '@azulejo/core/units/tape';
import SwitchField from '../../fields/SwitchField.vue';
import { MEASURE_PARTS, useBoardStore } from '../../stores/boardStore.ts';
import { useEditSurface } from '../useEditSurface.ts';
import AgainList from './AgainList.vue';
import AroundPanel from './around/AroundPanel.vue';
import DoorwayList from './DoorwayList.vue';
import EdgePanel from './EdgePanel.vue';
import FixtureList from './FixtureList.vue';
import LevelsPanel from './levels/LevelsPanel.vue';
import MeterBar from './meter/MeterBar.vue';
import ShapePanel from './shape/ShapePanel.vue';
import SurfaceBasics from './SurfaceBasics.vue';

const props = defineProps<{ job: Job; surface: Surface; product: Product; tape: Tape; plan: SurfacePlan | null }>();
const board = useBoardStore();
const edit = useEditSurface(() => props.surface.id);

const setSystem = (system: string): void => {
  edit('Tape', (surface) => {
    surface.tape = system === 'metric' ? METRIC_TAPE : system === 'imperial' ? IMPERIAL_TAPE : null;
  });
};
</script>

<template>
  <nav class="parts" aria-label="Parts of the measurement">
    <button
      v-for="part in MEASURE_PARTS"
      :key="part.name"
      type="button"
      :aria-pressed="board.measurePart === part.name"
      @click="board.measurePart = part.name"
    >
      {{ part.label }}
    </button>
  </nav>
  <MeterBar :surface="surface" :tape="tape" />
  <AgainList :surface="surface" :tape="tape" />
  <ShapePanel v-if="board.measurePart === 'shape'" :surface="surface" :tape="tape" />
  <EdgePanel v-else-if="board.measurePart === 'edges'" :surface="surface" :tape="tape" :plan="plan" />
  <template v-else-if="board.measurePart === 'fixtures'">
    <FixtureList :surface="surface" :tape="tape" :plan="plan" />
    <DoorwayList :surface="surface" :tape="tape" />
  </template>
  <LevelsPanel v-else-if="board.measurePart === 'levels'" :surface="surface" :product="product" :tape="tape" :plan="plan" />
  <template v-else>
    <AroundPanel :job="job" :surface="surface" :tape="tape" />
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

<style scoped>
.parts {
  display: grid;
  grid-template-columns: repeat(5, auto);
  gap: 2px;
  border-bottom: 2px solid var(--line);
}
.parts button {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  text-align: center;
  padding: 0.55rem 0.2rem;
  font-weight: 600;
  font-size: 0.95rem;
  color: var(--ink-soft);
  margin-bottom: -2px;
  border-bottom: 3px solid transparent;
}
.parts button[aria-pressed='true'] {
  color: var(--ink);
  border-bottom-color: var(--chalk);
}
.parts button:focus-visible {
  outline: 3px solid var(--cobalt);
}
@media (pointer: coarse) {
  .parts button {
    min-height: 44px;
  }
}
</style>
