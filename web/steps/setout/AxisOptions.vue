<script setup lang="ts">
import { computed, useId } from 'vue';
import { describeEnds, ruleName } from '@azulejo/core/messages/en/reasons';
import type { Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import type { Axis } from '@azulejo/core/setout/choice/axisPlacement';
import LengthField from '../../fields/LengthField.vue';
import { useJobStore } from '../../stores/jobStore.ts';
import type { SetoutMoves } from './useSetoutMoves.ts';
import { useTape } from '../../fields/useTape.ts';

const props = defineProps<{ axis: Axis; surface: Surface; plan: SurfacePlan; moves: SetoutMoves }>();
const tape = useTape();
const jobs = useJobStore();
const id = useId();

const chosen = computed(() => props.surface.setout[props.axis].rule);
const rows = computed(() =>
  props.plan.advice.options[props.axis].map(({ rule, ends, sliver }) => ({
    rule,
    sliver,
    name: ruleName(rule, props.axis),
    ends: describeEnds(ends, props.axis, tape.value),
    proposed: props.plan.advice.best[props.axis].rule === rule,
    inForce: props.plan.choice[props.axis].rule === rule,
  })),
);

/** Where a full piece starts now, from the left or bottom limit, mm. */
const offsetMm = computed(() => props.plan.choice.startsMm[props.axis === 'x' ? 0 : 1]);

function placeByHand(mm: number) {
  return jobs.change('placeSetout', (draft) => {
    const target = draft.surfaces.find((other) => other.id === props.surface.id);
    if (target) target.setout[props.axis] = { rule: 'free', offsetMm: mm };
  });
}
</script>

<template>
  <fieldset class="options">
    <legend>{{ axis === 'x' ? 'Left to right' : 'Bottom to top' }}</legend>
    <label class="row best" :class="{ on: chosen === 'best' }">
      <input type="radio" :name="id" :checked="chosen === 'best'" @change="moves.setRule(axis, { rule: 'best' })" />
      <span class="name">Best of all starts</span>
    </label>
    <label v-for="row in rows" :key="row.rule" class="row" :class="{ on: chosen === row.rule, force: row.inForce }">
      <input type="radio" :name="id" :checked="chosen === row.rule" @change="moves.setRule(axis, { rule: row.rule })" />
      <span class="name">{{ row.name }} <b v-if="row.proposed" class="tag">best</b><b v-if="row.sliver" class="tag thin">sliver</b></span>
      <span class="ends">{{ row.ends }}</span>
    </label>
    <label class="row" :class="{ on: chosen === 'free' }">
      <input type="radio" :name="id" :checked="chosen === 'free'" @change="moves.setRule(axis, { rule: 'free', offsetMm })" />
      <span class="name">by hand</span>
      <span v-if="chosen !== 'free'" class="ends">drag the tiles or use the arrow keys</span>
    </label>
    <LengthField
      v-if="chosen === 'free'"
      :label="axis === 'x' ? 'Full piece starts this far from the left limit' : 'Full piece starts this far from the bottom limit'"
      :mm="offsetMm"
      :commit="placeByHand"
    />
  </fieldset>
</template>

<style scoped>
.options {
  border: 0;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 2px;
  min-width: 0;
}
legend {
  font: 600 1.15rem/1.25 'Barlow';
  padding: 0;
  margin-bottom: 0.35rem;
}
.row {
  display: grid;
  grid-template-columns: 1.4rem 1fr;
  gap: 0 0.4rem;
  padding: 0.4rem 0.5rem;
  border-radius: 4px;
  cursor: pointer;
  align-items: baseline;
}
.row:hover {
  background: var(--paper);
}
.row.on {
  background: var(--cobalt-soft);
}
.row:focus-within {
  outline: 3px solid var(--cobalt);
  outline-offset: -1px;
}
.row input {
  accent-color: var(--cobalt);
  margin: 0;
  width: 1rem;
  height: 1rem;
  align-self: center;
}
.name {
  font-weight: 600;
}
.name::first-letter {
  text-transform: uppercase;
}
.ends {
  grid-column: 2;
  font-size: 0.9rem;
  color: var(--ink-soft);
}
.tag {
  font: 600 0.78rem var(--figure);
  background: var(--tape);
  color: var(--tape-ink);
  padding: 0.02rem 0.4rem;
  border-radius: 2px;
  margin-left: 0.3rem;
  letter-spacing: 0.02em;
}
.tag.thin {
  background: var(--warn-soft);
  color: var(--warn);
}
</style>
