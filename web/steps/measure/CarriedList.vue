<script setup lang="ts">
import Button from 'primevue/button';
import { PhPlus, PhTrash } from '@phosphor-icons/vue';
import { computed, ref } from 'vue';
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import type { Surface } from '@azulejo/core/job/job';
import { CARRIED_FILLS, CARRIED_KINDS, type CarriedJoint } from '@azulejo/core/surface/carriedJoint';
import ChoiceField from '../../fields/ChoiceField.vue';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import TroubleNote from '../../fields/TroubleNote.vue';
import { useTape } from '../../fields/useTape.ts';
import { useAttempt } from '../useAttempt.ts';
import { useEditSurface } from '../useEditSurface.ts';
import { openableWalls, startCarried } from './model.ts';

/** Joints, cracks and changes of the ground that go on through the tiles. */
const props = defineProps<{ surface: Surface }>();
const tape = useTape();
const edit = useEditSurface(() => props.surface.id);
const { trouble, attempt } = useAttempt(() => tape.value);
const walls = computed(() => openableWalls(props.surface.measured.shape));
const edges = computed(() => walls.value.map(({ id, name }) => ({ value: id, label: name })));
const joints = computed(() => props.surface.measured.carriedJoints ?? []);

const KINDS: Readonly<Record<CarriedJoint['kind'], string>> = {
  movement: 'movement joint',
  crack: 'crack',
  change: 'other ground',
  bay: 'nothing, for bays',
};
const FILLS: Readonly<Record<CarriedJoint['fill'], string>> = { sealant: 'sealant', profile: 'profile' };
const kinds = CARRIED_KINDS.map((value) => ({ value, label: KINDS[value] }));
const fills = CARRIED_FILLS.map((value) => ({ value, label: FILLS[value] }));

const OTHER_END = { left: 'right', right: 'left', top: 'bottom', bottom: 'top' } as const;
const startOf = (edge: string) => walls.value.find(({ id }) => id === edge)?.start ?? 'left';

/** Those that are measured at both ends, because they do not run along with their edge. */
const atBothEnds = ref<ReadonlySet<string>>(new Set());
const isAslant = ({ id, fromStartMm, fromEndMm }: CarriedJoint): boolean => fromStartMm !== fromEndMm || atBothEnds.value.has(id);

const change = (label: ChangeLabel, recipe: (list: CarriedJoint[]) => void) =>
  edit(label, ({ measured }) => {
    const list = [...(measured.carriedJoints ?? [])];
    recipe(list);
    if (list.length > 0) measured.carriedJoints = list;
    else delete measured.carriedJoints;
  });
const set = (k: number, part: Partial<CarriedJoint>) =>
  change('carried', (list) => {
    list[k] = { ...list[k], ...part };
  });
const setFrom = (k: number, aslant: boolean, key: 'fromStartMm' | 'fromEndMm') => (mm: number) =>
  set(k, aslant ? { [key]: mm } : { fromStartMm: mm, fromEndMm: mm });

const add = (): void => {
  const [wall] = walls.value;
  if (wall) attempt(change('addCarried', (list) => void list.push(startCarried(wall, props.surface.measured.shape, list))));
};
const remove = (k: number): void => attempt(change('removeCarried', (list) => void list.splice(k, 1)));
</script>

<template>
  <section class="stack" data-field="measured.carriedJoints">
    <h3>Joints that go on through the tiles</h3>
    <p v-if="joints.length === 0" class="soft">
      A movement joint, a crack or a change of the ground shows through sooner or later. Say where it runs: a tile joint is put there, or
      tiles are cut along it, and it is closed so that it can move.
    </p>
    <div v-for="(joint, k) in joints" :key="joint.id" class="one" :data-field="`measured.carriedJoints.${k}`">
      <FieldGrid>
        <ChoiceField label="Under it lies" :value="joint.kind" :options="kinds" @choose="(kind) => attempt(set(k, { kind }))" />
        <ChoiceField label="Measured from" :value="joint.edge" :options="edges" @choose="(edge) => attempt(set(k, { edge }))" />
        <LengthField
          :label="isAslant(joint) ? `In, at the ${startOf(joint.edge)} end` : 'In from that edge'"
          :mm="joint.fromStartMm"
          :commit="setFrom(k, isAslant(joint), 'fromStartMm')"
          :measures="`carriedJoints.${k}.fromStartMm`"
          positive
        />
        <LengthField
          v-if="isAslant(joint)"
          :label="`In, at the ${OTHER_END[startOf(joint.edge)]} end`"
          :mm="joint.fromEndMm"
          :commit="setFrom(k, true, 'fromEndMm')"
          :measures="`carriedJoints.${k}.fromEndMm`"
          positive
        />
        <div v-else class="aslant">
          <button class="plain" type="button" @click="atBothEnds = new Set([...atBothEnds, joint.id])">It runs aslant</button>
        </div>
        <LengthField label="Width" :mm="joint.widthMm" :commit="(widthMm) => set(k, { widthMm })" positive />
        <ChoiceField label="Closed with" :value="joint.fill" :options="fills" @choose="(fill) => attempt(set(k, { fill }))" />
      </FieldGrid>
      <Button severity="danger" text class="remove" @click="remove(k)"><PhTrash :size="18" />Remove this joint</Button>
    </div>
    <TroubleNote :why="trouble" />
    <div>
      <Button severity="secondary" outlined @click="add"><PhPlus :size="18" />Joint through the tiles</Button>
    </div>
  </section>
</template>

<style scoped>
.one {
  display: grid;
  gap: 0.3rem;
  border-top: 1px solid var(--line);
  padding-top: 0.6rem;
}
.soft {
  color: var(--ink-soft);
}
.aslant {
  align-self: end;
  padding-bottom: 0.55rem;
}
.aslant button {
  color: var(--cobalt);
  text-decoration: underline;
}
.remove {
  justify-self: start;
}
</style>
