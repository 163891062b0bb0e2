<script setup lang="ts">
import { computed } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/planning/planned';
import { turnToEdge } from '@azulejo/core/setout/search/turns';
import type { TurnChoice } from '@azulejo/core/setout/weigh/setoutChoice';
import ChoiceField from '../../fields/ChoiceField.vue';
import { edgeTitle } from '../edgeTitle.ts';
import type { SetoutMoves } from './useSetoutMoves.ts';

/** Which edge the courses are square to. Courses of a wall are level. */
const props = defineProps<{ surface: Surface; plan: SurfacePlan; moves: SetoutMoves }>();
const edges = computed(() => {
  const ids = [...new Set(props.plan.traced.edges.filter(({ isReveal }) => !isReveal).map(({ id }) => id))];
  return ids.filter((id) => turnToEdge(props.plan.traced.edges, id, false) !== null);
});
const keyOf = (turn: TurnChoice = { rule: 'best' }): string =>
  turn.rule === 'edge' ? `${turn.diagonal ? 'half' : 'square'}:${turn.edge}` : turn.rule;
const options = computed(() => [
  { value: 'best', label: 'the edge that gives the best start' },
  { value: 'asDrawn', label: 'nothing: as the surface is drawn' },
  ...edges.value.map((id) => ({ value: `square:${id}`, label: edgeTitle(props.plan, id) })),
  ...edges.value.map((id) => ({ value: `half:${id}`, label: `${edgeTitle(props.plan, id)}, at 45°` })),
]);
function choose(key: string): void {
  const [how, ...rest] = key.split(':');
  props.moves.turn(how === 'best' || how === 'asDrawn' ? { rule: how } : { rule: 'edge', edge: rest.join(':'), diagonal: how === 'half' });
}
</script>

<template>
  <ChoiceField
    v-if="surface.kind !== 'wall' && surface.bands.length === 0"
    label="Courses square to"
    :value="keyOf(surface.setout.turn)"
    :options="options"
    @choose="choose"
  />
</template>
