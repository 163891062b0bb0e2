<script setup lang="ts">
import { computed } from 'vue';
import type { Surface } from '@azulejo/core/job';
import { edgeName, roleName } from '@azulejo/core/messages/en/names';
import type { SurfacePlan } from '@azulejo/core/plan';
import { EDGE_ROLES, isReveal, type EdgeRole } from '@azulejo/core/surface/edge';
import { IMPERIAL_TAPE, METRIC_TAPE, type Tape } from '@azulejo/core/units/tape';
import ChoiceField from '../../fields/ChoiceField.vue';
import LengthField from '../../fields/LengthField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { useBoardStore } from '../../stores/boardStore.ts';
import { useEditSurface } from '../useEditSurface.ts';
import DoorwayList from './DoorwayList.vue';
import FixtureList from './FixtureList.vue';
import SurfaceBasics from './SurfaceBasics.vue';

const props = defineProps<{ surface: Surface; tape: Tape; plan: SurfacePlan | null }>();
const board = useBoardStore();
const edit = useEditSurface(() => props.surface.id);

const edges = computed(() => {
  const ids = [...new Set(props.plan?.traced.edges.map(({ id }) => id) ?? [])].filter((id) => !isReveal({ id }));
  const doors = new Set(props.surface.measured.doorways.map(({ id }) => id));
  return ids
    .sort((a, b) => Number(doors.has(a)) - Number(doors.has(b)))
    .map((id) => ({ id, name: edgeName(id), role: props.plan?.edges.find((edge) => edge.id === id)?.role ?? 'wall' }));
});
const roles = EDGE_ROLES.map((value) => ({ value, label: roleName(value) }));
const usedRoles = computed(() => EDGE_ROLES.filter((role) => props.plan?.traced.edges.some((edge) => edge.role === role)));

const setSide = (side: 'widthMm' | 'heightMm', label: string) => (mm: number) =>
  edit(label, ({ measured }) => {
    measured.shape[side] = mm;
  });
const setRole = (id: string, role: EdgeRole): void => {
  edit(`Edge ${id}`, ({ measured }) => {
    measured.roles[id] = role;
  });
};
const setGap = (role: EdgeRole) => (mm: number) =>
  edit('Perimeter gap', ({ measured }) => {
    measured.gapsMm[role] = mm;
  });
const setSystem = (system: string): void => {
  edit('Tape', (surface) => {
    surface.tape = system === 'metric' ? METRIC_TAPE : system === 'imperial' ? IMPERIAL_TAPE : null;
  });
};
</script>

<template>
  <section class="sides">
    <LengthField
      label="Width, left to right"
      :mm="surface.measured.shape.widthMm"
      :tape="tape"
      :commit="setSide('widthMm', 'Width')"
      positive
      large
    />
    <LengthField
      :label="surface.kind === 'wall' ? 'Height' : 'Depth, bottom to top'"
      :mm="surface.measured.shape.heightMm"
      :tape="tape"
      :commit="setSide('heightMm', 'Height')"
      positive
      large
    />
  </section>
  <section class="stack">
    <h2>Edges</h2>
    <div class="edges">
      <div
        v-for="edge in edges"
        :key="edge.id"
        class="edge"
        :class="{ on: edge.id === board.chosenEdge }"
        @focusin="board.chosenEdge = edge.id"
        @pointerdown="board.chosenEdge = edge.id"
      >
        <ChoiceField :label="edge.name" :value="edge.role" :options="roles" @choose="setRole(edge.id, $event)" />
      </div>
    </div>
    <h3>Gap left at them</h3>
    <div class="gaps">
      <LengthField
        v-for="role in usedRoles"
        :key="role"
        :label="roleName(role)"
        :mm="surface.measured.gapsMm[role]"
        :tape="tape"
        :commit="setGap(role)"
      />
    </div>
  </section>
  <FixtureList :surface="surface" :tape="tape" />
  <DoorwayList :surface="surface" :tape="tape" />
  <SurfaceBasics :surface="surface" />
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

<style scoped>
.sides,
.edges {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.8rem;
}
.gaps {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0.8rem;
}
.edge :deep(label)::first-letter,
.gaps :deep(label)::first-letter,
.edge :deep(.p-select-label)::first-letter {
  text-transform: uppercase;
}
.edge.on :deep(label) {
  color: var(--cobalt);
  font-weight: 600;
}
.edge.on :deep(.p-select) {
  box-shadow: inset 4px 0 0 var(--cobalt);
}
</style>
