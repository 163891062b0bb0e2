<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import { describeLine, describeSlant } from '@azulejo/core/messages/en/lines';
import { describeReason } from '@azulejo/core/messages/en/reasons';
import type { SurfacePlan } from '@azulejo/core/planning/planned';
import { useBoardStore } from '../../stores/boardStore.ts';
import { edgeTitle } from '../edgeTitle.ts';
import AxisOptions from './AxisOptions.vue';
import BesideFixtures from './BesideFixtures.vue';
import EndCutCompass from './EndCutCompass.vue';
import type { SetoutMoves } from './useSetoutMoves.ts';
import { useTape } from '../../fields/useTape.ts';

const props = defineProps<{ surface: Surface; plan: SurfacePlan | null; moves: SetoutMoves }>();
const tape = useTape();
const board = useBoardStore();
const nameOf = (edge: string): string => (props.plan ? edgeTitle(props.plan, edge) : edge);
const isBest = computed(() => props.surface.setout.x.rule === 'best' && props.surface.setout.y.rule === 'best');
const reasons = computed(() => props.plan?.advice.reasons.map((reason) => describeReason(reason, tape.value)) ?? []);
</script>

<template>
  <template v-if="plan">
    <EndCutCompass :plan="plan" :chosen="board.chosenEdge" @choose="board.chosenEdge = $event" />
    <section class="reasons" aria-live="polite">
      <p v-for="reason in reasons" :key="reason">{{ reason }}</p>
    </section>
    <Button v-if="!isBest" label="Take the best both ways (B)" severity="secondary" outlined @click="moves.best" />
    <AxisOptions v-for="axis in ['x', 'y'] as const" :key="axis" :axis="axis" :surface="surface" :plan="plan" :moves="moves" />
    <BesideFixtures :surface="surface" :plan="plan" :moves="moves" />
    <section class="stack">
      <h2>Lines to strike</h2>
      <ul class="lines">
        <li v-for="line in plan.lines" :key="`${line.axis}${line.course}`">{{ describeLine(line, tape) }}</li>
        <li v-for="line in plan.slants" :key="line.deg">{{ describeSlant(line, nameOf, tape) }}</li>
      </ul>
    </section>
  </template>
  <p v-else class="soft" role="status">Setting out</p>
</template>

<style scoped>
.reasons {
  display: grid;
  gap: 0.5rem;
  border-left: 4px solid var(--cobalt);
  padding-left: 0.8rem;
}
.lines {
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 0.45rem;
}
.lines li {
  padding-left: 1.6rem;
  position: relative;
}
.lines li::before {
  content: '';
  position: absolute;
  left: 0;
  top: 0.7em;
  width: 1.1rem;
  border-top: 2.5px dashed var(--chalk);
}
</style>
