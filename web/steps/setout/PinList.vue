<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { PhX } from '@phosphor-icons/vue';
import type { Surface } from '@azulejo/core/job/job';
import { describeHindrance, describeMiss, describePin, pinName } from '@azulejo/core/messages/en/pins';
import { thingNamesOf } from '@azulejo/core/messages/thingNames';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { KEPT_MM, POINTED_PINS } from '@azulejo/core/setout/choice/pins';
import ChoiceField from '../../fields/ChoiceField.vue';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import { useTape } from '../../fields/useTape.ts';
import { useBoardStore } from '../../stores/boardStore.ts';
import { edgeTitle } from '../edgeTitle.ts';
import type { SetoutMoves } from './useSetoutMoves.ts';

/** What is asked of the setout, set by pointing at the drawing; the search keeps to it, or says which two can't both be. */
const props = defineProps<{ surface: Surface; plan: SurfacePlan; moves: SetoutMoves }>();
const tape = useTape();
const board = useBoardStore();
const names = computed(() => thingNamesOf(props.plan.traced));
const kinds = computed(() => POINTED_PINS.filter((kind) => kind !== 'wholeMotif' || props.plan.layout.repeat.sheet?.figured));
const pins = computed(() => props.surface.setout.pins ?? []);
const rows = computed(() => {
  const { missedPins, best, hindered } = props.plan.advice;
  return pins.value.map((pin, k) => {
    const missedMm = missedPins[k] ?? 0;
    return {
      words: describePin(pin, names.value, tape.value),
      missedMm,
      why: hindered.filter((one) => one.pin === k).map((one) => describeHindrance(one, pins.value, names.value, tape.value))[0] ?? '',
      // The start in force is what misses it, where the one that would be chosen does not.
      byStart: missedMm > 0 && (best.figures.missedPins[k] ?? Infinity) <= KEPT_MM,
    };
  });
});
const missedByStart = computed(() => rows.value.filter(({ byStart }) => byStart).length);
/** The start is held by a rule or by hand, and another would keep what it misses. */
const isHeld = computed(() => {
  const { x, y } = props.surface.setout;
  return (x.rule !== 'best' || y.rule !== 'best') && missedByStart.value > 0;
});
const remove = (k: number): void =>
  props.moves.setPins(
    pins.value.filter((_, other) => other !== k),
    'takeAPinOut',
  );

const edges = computed(() => [
  ...new Map(
    props.plan.traced.edges.filter(({ isReveal }) => !isReveal).map(({ id }) => [id, { value: id, label: edgeTitle(props.plan, id) }]),
  ).values(),
]);
const edge = ref('');
const chosenEdge = computed(() => edge.value || edges.value[0]?.value || '');
function setLeast(mm: number): [] {
  props.moves.setPins([
    ...pins.value.filter((pin) => pin.kind !== 'noCutUnder' || pin.edge !== chosenEdge.value),
    { kind: 'noCutUnder', edge: chosenEdge.value, mm },
  ]);
  return [];
}
const leastMm = computed(() => {
  const own = pins.value.find((pin) => pin.kind === 'noCutUnder' && pin.edge === chosenEdge.value);
  return own?.kind === 'noCutUnder' ? own.mm : null;
});
</script>

<template>
  <section class="stack">
    <h2>Pin something</h2>
    <div class="tools" role="group" aria-label="What the next tap on the drawing pins">
      <button
        v-for="kind in kinds"
        :key="kind"
        type="button"
        class="plain tool"
        :aria-pressed="board.pinTool === kind"
        @click="board.pinTool = board.pinTool === kind ? null : kind"
      >
        {{ pinName(kind) }}
      </button>
    </div>
    <p v-if="board.pinTool" class="small" role="status">Now point at the place on the drawing.</p>
    <FieldGrid>
      <ChoiceField label="Along" :value="chosenEdge" :options="edges" @choose="edge = $event" />
      <LengthField label="No piece under" :mm="leastMm" :commit="setLeast" positive />
    </FieldGrid>
  </section>
  <section v-if="rows.length > 0" class="stack">
    <h2>Pinned</h2>
    <ul class="pins">
      <li v-for="({ words, missedMm, why }, k) in rows" :key="words">
        <span class="grow">
          {{ words }}
          <span v-if="missedMm > 0" class="why"> {{ describeMiss(missedMm, tape) }} {{ why }} </span>
        </span>
        <Button text rounded severity="secondary" :aria-label="`Take out: ${words}`" @click="remove(k)"><PhX /></Button>
      </li>
    </ul>
    <div v-if="isHeld" class="held">
      <p>
        The start is held where it is, and so
        {{ missedByStart === 1 ? 'one pin is' : `${missedByStart} pins are` }} missed that the best start keeps.
      </p>
      <Button size="small" outlined @click="moves.best()">Let the start move</Button>
    </div>
  </section>
</template>

<style scoped>
.tools {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.4rem;
}
.tool {
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  padding: 0.5rem 0.6rem;
  text-align: center;
  min-height: 44px;
  font-weight: 600;
  font-size: 0.92rem;
  line-height: 1.25;
}
.tool[aria-pressed='true'] {
  background: var(--cobalt-soft);
  border-color: var(--cobalt);
  box-shadow: inset 0 0 0 1px var(--cobalt);
}
.pins {
  list-style: none;
  margin: 0;
  padding: 0;
}
.pins li {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 0.3rem 0;
}
.why {
  display: block;
}
.held {
  display: grid;
  gap: 0.5rem;
  justify-items: start;
}
</style>
