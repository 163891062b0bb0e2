<script setup lang="ts">
import Button from 'primevue/button';
import { ref } from 'vue';
import { PhPlus, PhTrash } from '@phosphor-icons/vue';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import type { Surface } from '@azulejo/core/job';
import type { Doorway } from '@azulejo/core/surface/doorway';
import type { Tape } from '@azulejo/core/units/tape';
import ChoiceField from '../../fields/ChoiceField.vue';
import LengthField from '../../fields/LengthField.vue';
import { newId } from '../newId.ts';
import { useEditSurface } from '../useEditSurface.ts';

const props = defineProps<{ surface: Surface; tape: Tape }>();
const edit = useEditSurface(() => props.surface.id);
const trouble = ref<string | null>(null);
const EDGES = ['bottom', 'right', 'top', 'left'].map((value) => ({ value, label: value }));
/** The corner an edge starts at, walking counter-clockwise. */
const START: Readonly<Record<string, string>> = { bottom: 'left', right: 'bottom', top: 'right', left: 'top' };

function attempt(label: string, recipe: (doorways: Doorway[]) => void) {
  const issues = edit(label, ({ measured }) => {
    recipe(measured.doorways);
  });
  trouble.value = issues[0] ? describeIssue(issues[0], props.tape) : null;
  return issues;
}
const add = (): void => {
  const wall = props.surface.measured.shape.widthMm;
  attempt('Add doorway', (doorways) => {
    doorways.push({
      id: newId('door', doorways),
      edge: 'bottom',
      fromStartMm: Math.round(wall * 0.1),
      widthMm: Math.round(Math.min(800, wall * 0.5)),
      depthMm: 60,
    });
  });
};
const remove = (index: number): void => {
  attempt('Remove doorway', (doorways) => {
    doorways.splice(index, 1);
  });
};
const setLength = (index: number, key: 'fromStartMm' | 'widthMm' | 'depthMm') => (mm: number) =>
  edit('Doorway', ({ measured }) => {
    measured.doorways[index][key] = mm;
  });
</script>

<template>
  <section v-if="surface.kind === 'floor' || surface.measured.doorways.length > 0" class="stack">
    <h2>Doorways</h2>
    <div v-for="(doorway, k) in surface.measured.doorways" :key="doorway.id" class="two">
      <ChoiceField
        label="In the edge"
        :value="doorway.edge"
        :options="EDGES"
        @choose="
          (edge) =>
            attempt('Doorway edge', (list) => {
              list[k].edge = edge;
            })
        "
      />
      <LengthField
        :label="`From the ${START[doorway.edge] ?? 'start'}`"
        :mm="doorway.fromStartMm"
        :tape="tape"
        :commit="setLength(k, 'fromStartMm')"
      />
      <LengthField label="Clear width" :mm="doorway.widthMm" :tape="tape" :commit="setLength(k, 'widthMm')" positive />
      <LengthField label="Tiled into the wall" :mm="doorway.depthMm" :tape="tape" :commit="setLength(k, 'depthMm')" positive />
      <Button severity="danger" text class="remove" @click="remove(k)"><PhTrash :size="18" />Remove this doorway</Button>
    </div>
    <p v-if="trouble" class="why" role="alert">{{ trouble }}</p>
    <div>
      <Button severity="secondary" outlined @click="add"><PhPlus :size="18" />Doorway</Button>
    </div>
  </section>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.7rem;
  align-items: start;
  border-top: 1px solid var(--line);
  padding-top: 0.6rem;
}
.remove {
  justify-self: start;
  grid-column: 1 / -1;
}
.why {
  color: var(--bad);
  font-size: 0.85rem;
}
</style>
