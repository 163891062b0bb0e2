<script setup lang="ts">
import Button from 'primevue/button';
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import { PhArrowBendUpLeft, PhArrowBendUpRight, PhArrowUUpLeft } from '@phosphor-icons/vue';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { cornerLetter } from '@azulejo/core/surface/reconcile/wallTitle';
import { openByMm } from '@azulejo/core/surface/reconcile/observations';
import { checkMeasured } from '@azulejo/core/surface/checkMeasured';
import { startMeasured } from '@azulejo/core/job/startJob';
import type { Shape } from '@azulejo/core/surface/shapes/registry';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import type { Tape } from '@azulejo/core/units/tape';
import AngleField from '../../fields/AngleField.vue';
import LengthField from '../../fields/LengthField.vue';
import { closingWall, shapeOfWalk, walkTo, type Walked, type WalkedWall } from './walk.ts';

/** Goes round a surface one wall at a time: a length, then the turn to the next; the drawing grows. */
const props = defineProps<{ tape: Tape }>();
const emit = defineEmits<{ shape: [shape: Shape | null]; walk: [walked: Walked | null] }>();
const walls = ref<WalkedWall[]>([]);
const lengthMm = ref<number | null>(null);
const otherTurn = ref(45);
const finished = ref<{ walls: WalkedWall[]; spread: boolean } | null>(null);
const trouble = ref<string | null>(null);
const here = useTemplateRef<HTMLElement>('here');

const from = computed(() => cornerLetter(walls.value.length));
const closing = computed(() => closingWall(walls.value));
const openMm = computed(() => openByMm(shapeOfWalk(walls.value, false)));
const show = (mm: number): string => formatLengthWithUnit(mm, props.tape);

watch(
  [walls, lengthMm],
  () => {
    const next = lengthMm.value === null ? walls.value : [...walls.value, { lengthMm: lengthMm.value, turnDeg: 0 }];
    emit('walk', walkTo(next));
  },
  { deep: true },
);
watch(finished, (done) => emit('shape', done ? shapeOfWalk(done.walls, done.spread) : null));

const setLength = (mm: number): [] => {
  lengthMm.value = mm;
  return [];
};
function turn(turnDeg: number): void {
  if (lengthMm.value === null) {
    trouble.value = 'Type the length of this wall first.';
    return;
  }
  walls.value = [...walls.value, { lengthMm: lengthMm.value, turnDeg }];
  [lengthMm.value, trouble.value, finished.value] = [null, null, null];
  void nextTick(() => here.value?.querySelector('input')?.focus());
}
function back(): void {
  const last = walls.value.at(-1);
  walls.value = walls.value.slice(0, -1);
  [lengthMm.value, finished.value, trouble.value] = [last?.lengthMm ?? null, null, null];
}
/** Closes with a straight wall from here to the first corner. */
function close(): void {
  if (!closing.value) return;
  const { lengthMm: last, turnBeforeDeg, turnAfterDeg } = closing.value;
  const before = walls.value.slice(0, -1);
  finish([...before, { ...walls.value[walls.value.length - 1], turnDeg: turnBeforeDeg }, { lengthMm: last, turnDeg: turnAfterDeg }], false);
}
/** The walls as they were read are all there; what they fail to close by is spread. */
function spread(): void {
  finish(walls.value, true);
}
function finish(all: WalkedWall[], spreadOpening: boolean): void {
  const [issue] = checkMeasured(startMeasured(shapeOfWalk(all, spreadOpening)));
  trouble.value = issue ? describeIssue(issue, props.tape) : null;
  finished.value = issue ? null : { walls: all, spread: spreadOpening };
}
</script>

<template>
  <div ref="here" class="walk stack">
    <p class="soft small">Start with your back to a corner and the wall at your right hand. Go round; the surface stays on your left.</p>
    <LengthField :key="walls.length" :label="`Wall from ${from}`" :mm="lengthMm" :tape="tape" :commit="setLength" positive large />
    <div class="turns">
      <Button severity="secondary" class="turn" @click="turn(90)"><PhArrowBendUpLeft :size="26" />Square left</Button>
      <Button severity="secondary" class="turn" @click="turn(-90)"><PhArrowBendUpRight :size="26" />Square right</Button>
      <div class="other">
        <AngleField label="Other turn" :value="otherTurn" :commit="(deg) => ((otherTurn = deg), [])" />
        <Button severity="secondary" :aria-label="`Turn ${otherTurn}°`" @click="turn(otherTurn)">Turn</Button>
      </div>
    </div>
    <p v-if="trouble" class="why" role="alert">{{ trouble }}</p>
    <div class="row">
      <Button v-if="walls.length > 0" severity="secondary" text @click="back"><PhArrowUUpLeft :size="18" />Back one wall</Button>
    </div>
    <template v-if="walls.length >= 3 && openMm <= 1">
      <Button v-if="!finished" @click="spread">These {{ walls.length }} walls close: done</Button>
    </template>
    <template v-else-if="closing && walls.length >= 2">
      <Button severity="secondary" outlined @click="close">Close with a straight wall of {{ show(closing.lengthMm) }}</Button>
      <Button v-if="walls.length >= 3 && openMm < 150" severity="secondary" outlined @click="spread"
        >That was the last wall: spread the {{ show(openMm) }} that stay open</Button
      >
    </template>
    <p v-if="finished" class="done" role="status">{{ finished.walls.length }} walls, closed. Diagonals can be added in Measure.</p>
  </div>
</template>

<style scoped>
.turns {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
}
.turn {
  min-height: 3.6rem;
}
.other {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
  align-items: end;
}
.done {
  background: var(--cobalt-soft);
  padding: 0.6rem 0.75rem;
  border-radius: 4px;
}
</style>
