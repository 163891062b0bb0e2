<script setup lang="ts">
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { PhPlus, PhTrash } from '@phosphor-icons/vue';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { distance } from '@azulejo/core/geometry/point';
import type { Surface } from '@azulejo/core/job/job';
import { edgeName } from '@azulejo/core/messages/en/names';
import { outlineOf } from '@azulejo/core/surface/shapes/registry';
import { sideOf } from '@azulejo/core/surface/sides';
import type { Doorway } from '@azulejo/core/surface/doorway';
import ChoiceField from '../../fields/ChoiceField.vue';
import LengthField from '../../fields/LengthField.vue';
import { nextId } from '../newId.ts';
import { useEditSurface } from '../useEditSurface.ts';
import { useTape } from '../../fields/useTape.ts';
import TroubleNote from '../../fields/TroubleNote.vue';

const props = defineProps<{ surface: Surface }>();
const tape = useTape();
const edit = useEditSurface(() => props.surface.id);
const trouble = ref<string | null>(null);
/** Straight edges can be opened; each with the end it starts at, walking counter-clockwise. */
const walls = computed(() => {
  const { ring, edgeIds, names } = outlineOf(props.surface.measured.shape);
  return edgeIds.flatMap((id, k) => {
    if (edgeIds.indexOf(id) !== k || edgeIds.lastIndexOf(id) !== k) return [];
    const [from, to] = [ring[k], ring[(k + 1) % ring.length]];
    const start = { bottom: 'left', right: 'bottom', top: 'right', left: 'top' }[sideOf({ from, to })];
    return [{ value: id, label: edgeName(names?.[id] ?? id), start, lengthMm: distance(from, to) }];
  });
});
const startOf = (edge: string): string => walls.value.find(({ value }) => value === edge)?.start ?? 'start';

function attempt(label: ChangeLabel, recipe: (doorways: Doorway[]) => void) {
  const issues = edit(label, ({ measured }) => {
    recipe(measured.doorways);
  });
  trouble.value = issues[0] ? describeIssue(issues[0], tape.value) : null;
  return issues;
}
const add = (): void => {
  const [wall] = walls.value;
  if (!wall) return;
  attempt('addDoorway', (doorways) => {
    doorways.push({
      id: nextId('door', doorways),
      edge: wall.value,
      fromStartMm: Math.round(wall.lengthMm * 0.1),
      widthMm: Math.round(Math.min(800, wall.lengthMm * 0.5)),
      depthMm: 60,
    });
  });
};
const remove = (index: number): void => {
  attempt('removeDoorway', (doorways) => {
    doorways.splice(index, 1);
  });
};
const setLength = (index: number, key: 'fromStartMm' | 'widthMm' | 'depthMm') => (mm: number) =>
  edit('doorway', ({ measured }) => {
    measured.doorways[index][key] = mm;
  });
</script>

<template>
  <section v-if="surface.kind === 'floor' || surface.measured.doorways.length > 0" class="stack">
    <h3>Doorways</h3>
    <div v-for="(doorway, k) in surface.measured.doorways" :key="doorway.id" class="two">
      <ChoiceField
        label="In the edge"
        :value="doorway.edge"
        :options="walls"
        @choose="
          (edge) =>
            attempt('doorwayEdge', (list) => {
              list[k].edge = edge;
            })
        "
      />
      <LengthField
        :label="`From the ${startOf(doorway.edge)}`"
        :mm="doorway.fromStartMm"
        :commit="setLength(k, 'fromStartMm')"
        :measures="`doorways.${k}.fromStartMm`"
      />
      <LengthField label="Clear width" :mm="doorway.widthMm" :commit="setLength(k, 'widthMm')" positive />
      <LengthField label="Tiled into the wall" :mm="doorway.depthMm" :commit="setLength(k, 'depthMm')" positive />
      <Button severity="danger" text class="remove" @click="remove(k)"><PhTrash :size="18" />Remove this doorway</Button>
    </div>
    <TroubleNote :why="trouble" />
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
</style>
