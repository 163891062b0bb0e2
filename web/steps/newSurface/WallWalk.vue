<script setup lang="ts">
import Button from 'primevue/button';
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import { PhArrowBendUpLeft, PhArrowBendUpRight, PhArrowUUpLeft } from '@phosphor-icons/vue';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { cornerLetter } from '@azulejo/core/surface/reconcile/wallTitle';
import { CLOSES_MM } from '@azulejo/core/surface/reconcile/reconcileWalls';
import { checkMeasured } from '@azulejo/core/surface/checkMeasured';
import { startMeasured } from '@azulejo/core/job/startJob';
import type { Shape } from '@azulejo/core/surface/shapes/registry';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import AngleField from '../../fields/AngleField.vue';
import LengthField from '../../fields/LengthField.vue';
import { closedStraight, closedWalk, closingWall, walkTo, wallsRead, type Walked, type WalkedWall } from './walk.ts';
import { useTape } from '../../fields/useTape.ts';
import TroubleNote from '../../fields/TroubleNote.vue';

/** Goes round a surface one wall at a time: a length, then the turn to the next; the drawing grows. */
const tape = useTape();
const emit = defineEmits<{ shape: [shape: Shape | null]; walk: [walked: Walked | null] }>();
const walls = ref<WalkedWall[]>([]);
const lengthMm = ref<number | null>(null);
const otherTurn = ref(45);
const straight = ref(false);
const untold = ref<string | null>(null);
const here = useTemplateRef<HTMLElement>('here');

const from = computed(() => cornerLetter(walls.value.length));
const read = computed(() => wallsRead(walls.value, lengthMm.value));
const back = computed(() => closedWalk(read.value));
const closing = computed(() => (back.value ? null : closingWall(read.value)));
const closed = computed(() => back.value?.shape ?? (straight.value ? closedStraight(read.value) : null));
const fault = computed(() => (closed.value ? checkMeasured(startMeasured(closed.value))[0] : undefined));
const trouble = computed(() => untold.value ?? (fault.value ? describeIssue(fault.value, tape.value) : null));
const show = (mm: number): string => formatLengthWithUnit(mm, tape.value);
/** What the closed walk is, in words. */
const told = computed(() => {
  if (!closed.value || fault.value) return null;
  const openMm = back.value?.openMm ?? 0;
  const spread = openMm > CLOSES_MM ? ` ${show(openMm)} stay open and are spread over the corners.` : '';
  return `${closed.value.walls.length} walls, closed.${spread} Diagonals can be added in Measure.`;
});

watch(read, (walls) => emit('walk', walkTo(walls)));
watch([closed, fault], () => emit('shape', fault.value ? null : closed.value));

const setLength = (mm: number): [] => {
  [lengthMm.value, straight.value, untold.value] = [mm, false, null];
  return [];
};
function turn(turnDeg: number): void {
  if (lengthMm.value === null) {
    untold.value = 'Type the length of this wall first.';
    return;
  }
  walls.value = [...walls.value, { lengthMm: lengthMm.value, turnDeg }];
  [lengthMm.value, straight.value, untold.value] = [null, false, null];
  void nextTick(() => here.value?.querySelector('input')?.focus());
}
function goBack(): void {
  const last = walls.value.at(-1);
  walls.value = walls.value.slice(0, -1);
  [lengthMm.value, straight.value, untold.value] = [last?.lengthMm ?? null, false, null];
}
</script>

<template>
  <div ref="here" class="walk stack">
    <p class="soft small">Start with your back to a corner and the wall at your right hand. Go round; the surface stays on your left.</p>
    <LengthField :key="walls.length" :label="`Wall from ${from}`" :mm="lengthMm" :commit="setLength" positive large />
    <div class="turns">
      <Button severity="secondary" class="turn" @click="turn(90)"><PhArrowBendUpLeft :size="26" />Square left</Button>
      <Button severity="secondary" class="turn" @click="turn(-90)"><PhArrowBendUpRight :size="26" />Square right</Button>
      <div class="other">
        <AngleField label="Other turn" :value="otherTurn" :commit="(deg) => ((otherTurn = deg), [])" />
        <Button severity="secondary" :aria-label="`Turn ${otherTurn}°`" @click="turn(otherTurn)">Turn</Button>
      </div>
    </div>
    <TroubleNote :why="trouble" />
    <div class="row">
      <Button v-if="walls.length > 0" severity="secondary" text @click="goBack"><PhArrowUUpLeft :size="18" />Back one wall</Button>
    </div>
    <Button v-if="closing && !straight" severity="secondary" outlined @click="straight = true"
      >Close with a straight wall of {{ show(closing.lengthMm) }}</Button
    >
    <p v-if="told" class="done" role="status">{{ told }}</p>
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
