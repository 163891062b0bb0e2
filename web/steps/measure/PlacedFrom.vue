<script setup lang="ts">
import { computed } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import type { Issue } from '@azulejo/core/result';
import type { Fixture } from '@azulejo/core/surface/fixture';
import { outlineOf } from '@azulejo/core/surface/shapes/registry';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import ChoiceField from '../../fields/ChoiceField.vue';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import { edgeTitle } from '../edgeTitle.ts';
import { measuredFrom } from './model.ts';
import { useAttempt } from '../useAttempt.ts';
import { useTape } from '../../fields/useTape.ts';
import TroubleNote from '../../fields/TroubleNote.vue';

/** Where something lies, measured from two edges. */
const props = defineProps<{
  placed: Pick<Fixture, 'outline' | 'from'>;
  surface: Surface;
  plan: SurfacePlan | null;
  commit: (from: Fixture['from']) => readonly Issue[];
  /** The key of its measures among those of the surface, for a distance meter. */
  measures?: string;
}>();
const tape = useTape();
const { trouble, attempt } = useAttempt(() => tape.value);
const toNear = computed(() => (props.placed.outline.kind === 'round' ? 'to its centre' : 'to its near side'));
const edges = computed(() => {
  const ids = [...new Set(outlineOf(props.surface.measured.shape).edgeIds)];
  return ids.map((value) => ({ value, label: props.plan ? edgeTitle(props.plan, value) : value }));
});

const both = (first: Fixture['from'][0], second: Fixture['from'][1]): Fixture['from'] => [first, second];
const setMm = (k: 0 | 1) => (mm: number) => {
  const [first, second] = props.placed.from;
  return props.commit(k === 0 ? both({ ...first, mm }, second) : both(first, { ...second, mm }));
};

/** Two edges that run the same way are refused. */
const setEdge = (k: 0 | 1, edge: string): void => attempt(props.commit(measuredFrom(props.placed, props.surface.measured.shape, k, edge)));
</script>

<template>
  <FieldGrid>
    <template v-for="k in [0, 1] as const" :key="k">
      <ChoiceField
        :label="k === 0 ? 'Measured from' : 'and from'"
        :value="placed.from[k].edge"
        :options="edges"
        @choose="setEdge(k, $event)"
      />
      <LengthField :label="toNear" :mm="placed.from[k].mm" :commit="setMm(k)" :measures="measures && `${measures}.${k}.mm`" />
    </template>
  </FieldGrid>
  <TroubleNote :why="trouble" />
</template>
