<script setup lang="ts">
import { computed, ref, toRef } from 'vue';
import { caresOf } from '@azulejo/core/cuts/cutMethod';
import { settingsOf } from '@azulejo/core/cuts/cutOrder';
import { describeCares } from '@azulejo/core/messages/en/cutting';
import { describeMark } from '@azulejo/core/messages/en/marks';
import { kindName } from '@azulejo/core/messages/en/names';
import { SAFETY } from '@azulejo/core/messages/en/safety';
import { tapeOf, type Job, type Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/planning/planned';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import PieceOutline from '../cuts/PieceOutline.vue';
import { useCutList } from '../cuts/useCutList.ts';
import { useSeenSide } from '../cuts/useSeenSide.ts';
import { useTicking } from '../cuts/useTicking.ts';

/** One piece at a time: to be cut, or to be laid; one large button ticks it. */
const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan; doing: 'cut' | 'laid' }>();
const tape = computed(() => tapeOf(props.job, props.surface));
const { trips } = useCutList(toRef(props, 'job'), toRef(props, 'surface'), toRef(props, 'plan'));
const { stateOf, tick } = useTicking(toRef(props, 'surface'), toRef(props, 'plan'));
const { side, seen, turnOver } = useSeenSide();

const pieces = computed(() => settingsOf(trips.value).flatMap((setting) => setting.pieces));
const isDone = (label: string): boolean => (props.doing === 'cut' ? stateOf(label) !== 'open' : stateOf(label) === 'laid');
const left = computed(() => pieces.value.filter(({ label }) => !isDone(label)));
/** Pieces that are put off for now come last. */
const putOff = ref<readonly string[]>([]);
const next = computed(() => left.value.find(({ label }) => !putOff.value.includes(label)) ?? left.value[0] ?? null);
const asMarked = computed(() => (next.value ? seen(next.value) : null));
const marks = computed(() => asMarked.value?.marks.map((mark) => describeMark(mark, tape.value)) ?? []);
const cares = computed(() => {
  const product = props.job.products.find(({ id }) => id === next.value?.productId);
  return product && next.value ? describeCares(caresOf(next.value, product)) : [];
});
const from = computed(() => {
  const source = next.value ? props.plan.offCuts.sources.get(next.value.label) : undefined;
  if (!source) return '';
  return source.blank === undefined ? `from tile ${source.tile}` : 'from a piece that is there';
});
const last = ref<string | null>(null);
function done(): void {
  if (!next.value) return;
  last.value = next.value.label;
  tick([next.value.label], props.doing);
}
function back(): void {
  if (last.value === null) return;
  tick([last.value], props.doing === 'cut' ? 'open' : 'cut');
  last.value = null;
}
const later = (): void => {
  if (next.value) putOff.value = [...putOff.value.filter((label) => label !== next.value?.label), next.value.label];
};
</script>

<template>
  <section class="next">
    <template v-if="next && asMarked">
      <div class="top">
        <span class="figure label">{{ next.label }}</span>
        <span class="count">{{ left.length }} of {{ pieces.length }} left</span>
      </div>
      <PieceOutline :piece="asMarked" class="picture" />
      <p class="figure size">{{ formatLength(next.sizeMm.widthMm, tape) }} x {{ formatLengthWithUnit(next.sizeMm.heightMm, tape) }}</p>
      <p class="kind">{{ kindName(next.kind) }}, {{ next.tool }}{{ from === '' ? '' : `, ${from}` }}</p>
      <ol v-if="doing === 'cut'" class="marks">
        <li v-for="mark in marks" :key="mark">{{ mark }}</li>
      </ol>
      <p v-for="care in doing === 'cut' ? cares : []" :key="care" class="care">{{ care }}</p>
      <div class="pair">
        <button v-if="doing === 'cut'" type="button" class="press" @click="turnOver">
          {{ side === 'face' ? 'Face up' : 'Face down' }}
        </button>
        <button type="button" class="press" @click="later">Later</button>
        <button type="button" class="press" :disabled="last === null" @click="back">Not {{ last ?? 'the last' }}</button>
      </div>
      <button type="button" class="big" @click="done">{{ doing === 'cut' ? `${next.label} is cut` : `${next.label} is laid` }}</button>
    </template>
    <template v-else>
      <p class="figure size">{{ pieces.length === 0 ? 'Nothing is cut here.' : doing === 'cut' ? 'All cut.' : 'All cuts are laid.' }}</p>
      <button v-if="last" type="button" class="press" @click="back">Not {{ last }}</button>
    </template>
    <p v-if="doing === 'cut'" class="care">{{ SAFETY.cutting }}</p>
  </section>
</template>

<style scoped>
.next {
  display: grid;
  gap: 0.6rem;
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.label {
  font-size: 4rem;
  line-height: 1;
}
.picture {
  height: 12rem;
  width: 100%;
}
.size {
  font-size: 2.4rem;
  line-height: 1.05;
}
.kind {
  font-size: 1.15rem;
}
.marks {
  margin: 0;
  padding-left: 1.4rem;
  font: 600 1.35rem/1.3 'Barlow';
}
.care {
  font-size: 1rem;
  border-left: 4px solid currentColor;
  padding-left: 0.6rem;
}
.pair {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: 1fr;
  gap: 0.5rem;
}
.press,
.big {
  font: 600 1.05rem 'Barlow';
  min-height: 52px;
  border-radius: 6px;
  border: 2px solid currentColor;
  background: transparent;
  color: inherit;
  cursor: pointer;
}
.press:disabled {
  opacity: 0.45;
}
.big {
  font-size: 1.6rem;
  min-height: 84px;
  background: var(--site-ink);
  color: var(--site-ground);
}
</style>
