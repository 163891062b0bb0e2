<script setup lang="ts">
import Button from 'primevue/button';
import { computed, toRef } from 'vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import { describeBehind, describeReasons, setoutTitle } from '@azulejo/core/messages/en/reasons';
import { thingNamesOf } from '@azulejo/core/messages/thingNames';
import type { Drawing, SurfacePlan } from '@azulejo/core/plan/planned';
import { explainSetout } from '@azulejo/core/setout/tell/explainSetout';
import { startName } from '@azulejo/core/setout/tell/startName';
import { weightsOf } from '@azulejo/core/setout/choice/ways';
import PartTabs from '../../fields/PartTabs.vue';
import { useTape } from '../../fields/useTape.ts';
import { SETOUT_PARTS, useBoardStore } from '../../stores/boardStore.ts';
import { useComparison } from '../../workers/useComparison.ts';
import AxisOptions from './AxisOptions.vue';
import BesideFixtures from './BesideFixtures.vue';
import WhatCounts from './counts/WhatCounts.vue';
import EndCutCompass from './EndCutCompass.vue';
import GroupField from './GroupField.vue';
import LineList from './LineList.vue';
import NoCutFinder from './NoCutFinder.vue';
import PinList from './PinList.vue';
import SchoolList from './SchoolList.vue';
import StartList from './starts/StartList.vue';
import TurnField from './TurnField.vue';
import ZoneList from './ZoneList.vue';
import type { SetoutMoves } from './useSetoutMoves.ts';

const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan | null; drawing: Drawing | null; moves: SetoutMoves }>();
const tape = useTape();
const board = useBoardStore();
const comparison = useComparison(toRef(props, 'job'), toRef(props, 'surface'));
/** Whether there is nothing better to take: it is left to the product, or lies as well as what the product would choose. */
const isBest = computed(() => {
  const { x, y, school, turn = { rule: 'best' } } = props.surface.setout;
  const isLeft = x.rule === 'best' && y.rule === 'best' && turn.rule === 'best' && school === undefined;
  return isLeft || props.plan?.advice.isBest === true;
});
const names = computed(() => (props.plan ? thingNamesOf(props.plan.traced) : { edges: {}, fixtures: {}, carried: {} }));
const reasons = computed(() => (props.plan ? describeReasons(props.plan.advice.reasons, names.value, tape.value) : []));
const behind = computed(() => (props.plan ? describeBehind(props.plan.advice.reasons, names.value, tape.value) : null));
/** What the tiles gain and lose against the best start while a hand moves them. */
const moving = computed(() => {
  if (!board.preview || !props.plan || !props.drawing) return null;
  const reasons = explainSetout(props.drawing.weighed, [props.plan.advice.best], { weights: weightsOf(props.job.way), isBest: false });
  const said = describeReasons(reasons, names.value, tape.value);
  return { said, behind: describeBehind(reasons, names.value, tape.value) };
});
const title = computed(() =>
  props.plan ? setoutTitle(startName(props.plan.advice.chosen), names.value, props.surface.counted !== undefined) : '',
);
</script>

<template>
  <template v-if="plan">
    <EndCutCompass :plan="plan" :chosen="board.chosenEdge" @choose="board.chosenEdge = $event" />
    <section class="reasons" aria-live="polite" data-field="setout">
      <b>{{ moving ? 'As it lies now' : title }}</b>
      <p v-for="reason in moving?.said ?? reasons" :key="reason">{{ reason }}</p>
      <p v-if="moving ? moving.behind : behind" class="behind">{{ moving ? moving.behind : behind }}</p>
    </section>
    <Button v-if="!isBest" label="Take the best of all starts (B)" severity="secondary" outlined @click="moves.best" />
    <PartTabs v-model="board.setoutPart" :parts="SETOUT_PARTS" label="Parts of setting out" />
    <StartList v-if="board.setoutPart === 'starts'" :job="job" :surface="surface" :plan="plan" :comparison="comparison" :moves="moves" />
    <template v-else-if="board.setoutPart === 'rules'">
      <GroupField :job="job" :surface="surface" :plan="plan" />
      <SchoolList :surface="surface" :moves="moves" />
      <TurnField :surface="surface" :plan="plan" :moves="moves" />
      <AxisOptions v-for="axis in ['x', 'y'] as const" :key="axis" :axis="axis" :surface="surface" :plan="plan" :moves="moves" />
      <BesideFixtures :surface="surface" :plan="plan" :moves="moves" />
      <NoCutFinder :job="job" :surface="surface" :plan="plan" />
    </template>
    <PinList v-else-if="board.setoutPart === 'pins'" :surface="surface" :plan="plan" :moves="moves" />
    <WhatCounts v-else-if="board.setoutPart === 'counts'" :job="job" :surface="surface" :plan="plan" />
    <ZoneList v-else-if="board.setoutPart === 'zones'" :surface="surface" :plan="plan" />
    <LineList v-else :job="job" :surface="surface" :plan="plan" />
  </template>
  <p v-else class="soft" role="status">Setting out</p>
</template>

<style scoped>
.reasons {
  display: grid;
  gap: 0.3rem;
  border-left: 4px solid var(--cobalt);
  padding-left: 0.8rem;
}
.behind {
  color: var(--warn);
}
</style>
