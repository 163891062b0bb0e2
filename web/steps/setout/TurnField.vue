<script setup lang="ts">
import { PhArrowClockwise, PhArrowCounterClockwise } from '@phosphor-icons/vue';
import Button from 'primevue/button';
import { computed } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { turnToEdge } from '@azulejo/core/setout/choice/turns';
import type { TurnChoice } from '@azulejo/core/setout/choice/setoutChoice';
import AngleField from '../../fields/AngleField.vue';
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
  { value: 'byHand', label: 'nothing: turned by hand' },
  ...edges.value.map((id) => ({ value: `square:${id}`, label: edgeTitle(props.plan, id) })),
  ...edges.value.map((id) => ({ value: `half:${id}`, label: `${edgeTitle(props.plan, id)}, at 45°` })),
]);
const byHand = computed(() => (props.surface.setout.turn?.rule === 'byHand' ? props.surface.setout.turn : null));
function choose(key: string): void {
  const [how, ...rest] = key.split(':');
  if (how === 'byHand') props.moves.turnTo(props.plan.choice.turnDeg);
  else
    props.moves.turn(
      how === 'best' || how === 'asDrawn' ? { rule: how } : { rule: 'edge', edge: rest.join(':'), diagonal: how === 'half' },
    );
}
</script>

<template>
  <ChoiceField
    v-if="plan.choice.mayTurn"
    label="Courses square to"
    :value="keyOf(surface.setout.turn)"
    :options="options"
    @choose="choose"
  />
  <div v-if="byHand && plan.choice.mayTurn" class="hand">
    <AngleField label="Turned to the left by" :value="byHand.deg" :commit="moves.turnTo" />
    <Button aria-label="Turn left by a tenth of a degree" severity="secondary" outlined @click="moves.turnBy(0.1)">
      <PhArrowCounterClockwise :size="18" />
    </Button>
    <Button aria-label="Turn right by a tenth of a degree" severity="secondary" outlined @click="moves.turnBy(-0.1)">
      <PhArrowClockwise :size="18" />
    </Button>
  </div>
</template>

<style scoped>
.hand {
  display: flex;
  align-items: start;
  gap: 0.5rem;
}
.hand > :first-child {
  flex: 1;
}
/* Level with the field under its label. */
.hand > button {
  margin-top: 1.45rem;
}
</style>
