<script setup lang="ts">
import { computed } from 'vue';
import Button from 'primevue/button';
import { PhCheck, PhChecks, PhFilePdf } from '@phosphor-icons/vue';
import type { CutSetting } from '@azulejo/core/cuts/cutOrder';
import type { OffCutPlan } from '@azulejo/core/cuts/offCuts/planOffCuts';
import type { Job } from '@azulejo/core/job/job';
import { caresOf, HARDLY_DONE } from '@azulejo/core/cuts/cutMethod';
import type { SharedHole } from '@azulejo/core/cuts/sharedHoles';
import { describeCares, describeSharedHole } from '@azulejo/core/messages/en/cutting';
import { describeMark } from '@azulejo/core/messages/en/marks';
import { describeSource } from '@azulejo/core/messages/en/offCuts';
import { kindName } from '@azulejo/core/messages/en/names';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import { exportUrl } from '../../api/client.ts';
import PieceOutline from './PieceOutline.vue';
import { useSeenSide } from './useSeenSide.ts';
import { useTape } from '../../fields/useTape.ts';
import type { TickState } from '@azulejo/core/site/tick';

const props = defineProps<{
  setting: CutSetting;
  job: Job;
  surfaceId: string;
  offCuts: OffCutPlan | null;
  /** With whom pieces share a hole, by label. */
  holes: ReadonlyMap<string, readonly SharedHole[]>;
  chosen: boolean;
  chosenLabel: string | null;
  stateOf: (label: string) => TickState;
}>();
const tape = useTape();
const emit = defineEmits<{ choose: []; choosePiece: [label: string]; tick: [labels: readonly string[], state: TickState] }>();

const group = computed(() => props.setting.group);
const size = computed(() => {
  const { widthMm, heightMm } = group.value.first.sizeMm;
  return `${formatLength(widthMm, tape.value)} x ${formatLengthWithUnit(heightMm, tape.value)}`;
});
const cares = computed(() => {
  const product = props.job.products.find(({ id }) => id === group.value.first.productId);
  const all = product ? caresOf(group.value.first, product) : [];
  return {
    hard: describeCares(all.filter((care) => HARDLY_DONE.has(care))),
    other: describeCares(all.filter((care) => !HARDLY_DONE.has(care))),
  };
});
const { seen: asMarked } = useSeenSide();
const seen = computed(() => asMarked(group.value.first));
const marks = computed(() => seen.value.marks.map((mark) => describeMark(mark, tape.value)));
/** Pieces of one card are alike: one template serves them all. */
const templateUrl = computed(() => exportUrl(props.job.id, 'templates', props.surfaceId, props.chosenLabel ?? group.value.first.label));
/** Where the chosen piece comes from; null while that is being planned. */
const source = computed(() => {
  const { chosenLabel, setting, offCuts, job, surfaceId } = props;
  const own = chosenLabel !== null && setting.pieces.some(({ label }) => label === chosenLabel);
  const found = own ? offCuts?.sources.get(chosenLabel) : undefined;
  return found && describeSource(chosenLabel ?? '', found, job, surfaceId);
});
/** With whom the piece shares its hole: the chosen one, or the only one. */
const sharing = computed(() => {
  const label = props.setting.pieces.length === 1 ? props.setting.pieces[0].label : (props.chosenLabel ?? '');
  return (props.holes.get(label) ?? []).map(describeSharedHole);
});
/** What is ticked: the chosen piece, or all of the card. */
const meant = computed(() => {
  const labels = props.setting.pieces.map(({ label }) => label);
  return props.chosenLabel !== null && labels.includes(props.chosenLabel) ? [props.chosenLabel] : labels;
});
const counted = computed(() => {
  const states = props.setting.pieces.map(({ label }) => props.stateOf(label));
  return { cut: states.filter((state) => state !== 'open').length, laid: states.filter((state) => state === 'laid').length };
});
const isDone = computed(() => counted.value.cut === props.setting.pieces.length);
const isAll = (state: TickState): boolean => meant.value.every((label) => props.stateOf(label) === state);
const areCut = computed(() => meant.value.every((label) => props.stateOf(label) !== 'open'));
const tick = (state: TickState): void => emit('tick', meant.value, state);
</script>

<template>
  <li class="group" :class="{ chosen, done: isDone }">
    <button type="button" class="plain summary" :aria-expanded="chosen" @click="emit('choose')">
      <PieceOutline :piece="seen" class="outline" />
      <span class="words">
        <span class="off"
          ><b
            >{{ setting.pieces.length }} off<span v-if="counted.cut > 0" class="counted"
              ><PhChecks v-if="counted.laid === setting.pieces.length" :size="17" /><PhCheck v-else :size="17" />{{
                counted.laid === setting.pieces.length ? 'laid' : isDone ? 'cut' : `${counted.cut} cut`
              }}</span
            ></b
          ><span class="size figure">{{ size }}</span></span
        >
        <span class="small"
          ><b>{{ kindName(group.first.kind) }}</b
          >, {{ group.first.tool }}<template v-if="group.first.edgeShows">, cut edge shows</template></span
        >
        <span v-for="mark in marks" :key="mark" class="small soft">{{ mark }}</span>
        <span v-for="care in cares.hard" :key="care" class="small hard">{{ care }}</span>
      </span>
    </button>
    <div v-if="chosen" class="pieces" role="group" aria-label="Pieces of this cut">
      <button
        v-for="piece in setting.pieces"
        :key="piece.label"
        class="plain"
        type="button"
        :class="{ on: piece.label === chosenLabel }"
        :aria-pressed="piece.label === chosenLabel"
        @click="emit('choosePiece', piece.label)"
      >
        {{ piece.label }}<PhChecks v-if="stateOf(piece.label) === 'laid'" :size="15" aria-label="laid" /><PhCheck
          v-else-if="stateOf(piece.label) === 'cut'"
          :size="15"
          aria-label="cut"
        />
      </button>
      <ul v-if="cares.other.length + sharing.length > 0" class="cares small">
        <li v-for="words in sharing" :key="words">{{ words }}</li>
        <li v-for="care in cares.other" :key="care">{{ care }}</li>
      </ul>
      <div class="ticks no-print">
        <Button v-if="!areCut" size="small" @click="tick('cut')"
          ><PhCheck :size="17" />{{ meant.length === 1 ? `${meant[0]} is cut` : 'All cut' }}</Button
        >
        <Button v-if="areCut && !isAll('laid')" size="small" @click="tick('laid')"
          ><PhChecks :size="17" />{{ meant.length === 1 ? `${meant[0]} is laid` : 'All laid' }}</Button
        >
        <Button v-if="!isAll('open')" size="small" severity="secondary" text @click="tick(isAll('laid') ? 'cut' : 'open')">{{
          isAll('laid') ? 'Not laid yet' : 'Not cut yet'
        }}</Button>
        <Button as="a" size="small" severity="secondary" text :href="templateUrl"><PhFilePdf :size="17" />Full-size template</Button>
      </div>
      <p v-if="source" class="small soft">{{ source }}</p>
    </div>
  </li>
</template>

<style scoped>
.group {
  border-top: 1px solid var(--line);
}
.group.chosen {
  background: var(--cobalt-soft);
}
.summary {
  width: 100%;
  display: grid;
  grid-template-columns: 64px 1fr;
  gap: 0.9rem;
  padding: 0.7rem 0.4rem;
  align-items: center;
}
.summary:hover {
  background: var(--paper);
}
.chosen .summary:hover {
  background: none;
}
.summary:focus-visible {
  outline: 3px solid var(--cobalt);
  outline-offset: -3px;
}
.outline {
  width: 64px;
  height: 64px;
}
.words {
  display: grid;
  gap: 0.1rem;
  min-width: 0;
}
.off {
  display: flex;
  justify-content: space-between;
  gap: 0.6rem;
  align-items: baseline;
}
.off b {
  font: 600 1.15rem 'Barlow';
  white-space: nowrap;
}
.size {
  font-size: 1.45rem;
  line-height: 1.1;
  white-space: nowrap;
}
.pieces {
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem;
  padding: 0 0.4rem 0.8rem;
}
.pieces > button {
  font: 600 1rem var(--figure);
  padding: 0.25rem 0.55rem;
  border-radius: 3px;
  background: var(--panel);
  color: var(--ink);
  box-shadow: inset 0 0 0 1px var(--line-strong);
}
.pieces > button.on {
  background: var(--cobalt);
  color: var(--panel);
}
.pieces > button:focus-visible {
  outline: 3px solid var(--cobalt);
  outline-offset: 1px;
}
.pieces > button svg {
  margin-left: 0.25rem;
  vertical-align: -2px;
}
.counted {
  font: 500 0.95rem 'Barlow';
  color: var(--done);
  margin-left: 0.6rem;
}
.counted svg {
  vertical-align: -3px;
  margin-right: 0.2rem;
}
.done .outline {
  opacity: 0.45;
}
.hard {
  color: var(--warn);
}
.cares {
  flex-basis: 100%;
  margin: 0;
  padding-left: 1.1rem;
}
.ticks {
  flex-basis: 100%;
  display: flex;
  gap: 0.5rem;
}
.pieces p {
  flex-basis: 100%;
}
@media (pointer: coarse) {
  .pieces > button {
    min-width: 44px;
    min-height: 44px;
    box-sizing: border-box;
    display: grid;
    place-content: center;
  }
}
</style>
