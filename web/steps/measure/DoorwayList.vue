<script setup lang="ts">
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { PhPlus, PhTrash } from '@phosphor-icons/vue';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import type { Surface } from '@azulejo/core/job/job';
import type { Doorway } from '@azulejo/core/surface/doorway';
import ChoiceField from '../../fields/ChoiceField.vue';
import LengthField from '../../fields/LengthField.vue';
import { openableWalls, startDoorway } from './model.ts';
import { useEditSurface } from '../useEditSurface.ts';
import { useTape } from '../../fields/useTape.ts';
import TroubleNote from '../../fields/TroubleNote.vue';

const props = defineProps<{ surface: Surface }>();
const tape = useTape();
const edit = useEditSurface(() => props.surface.id);
const trouble = ref<string | null>(null);
const walls = computed(() => openableWalls(props.surface.measured.shape));
const edges = computed(() => walls.value.map(({ id, name }) => ({ value: id, label: name })));
const startOf = (edge: string): string => walls.value.find(({ id }) => id === edge)?.start ?? 'start';

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
  attempt('addDoorway', (doorways) => void doorways.push(startDoorway(wall, doorways)));
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
        :options="edges"
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
