<script setup lang="ts">
import { computed } from 'vue';
import Button from 'primevue/button';
import { PhCheck, PhChecks, PhFilePdf } from '@phosphor-icons/vue';
import type { CutSetting } from '@azulejo/core/cuts/cutOrder';
import type { OffCutPlan } from '@azulejo/core/cuts/offCuts/planOffCuts';
import type { Job } from '@azulejo/core/job/job';
import type { SharedHole } from '@azulejo/core/cuts/sharedHoles';
import { exportUrl } from '../../api/client.ts';
import { cutCard } from './model.ts';
import PieceOutline from './PieceOutline.vue';
import { useSeenSide } from './useSeenSide.ts';
import { useReadTape, words } from '../../words/useWords.ts';
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
  /** What edges are called where that is not their id. */
  edgeNames: Readonly<Record<string, string>>;
}>();
const tape = useReadTape();
const emit = defineEmits<{ choose: []; choosePiece: [label: string]; tick: [labels: readonly string[], state: TickState] }>();

const group = computed(() => props.setting.group);
const { seen: asMarked } = useSeenSide();
const seen = computed(() => asMarked(group.value.first));
const card = computed(() => cutCard({ ...props, seen: seen.value }, words.value, tape.value));
const meant = computed(() => card.value.meant);
/** Pieces of one card are alike: one template serves them all. */
const templateUrl = computed(() => exportUrl(props.job.id, 'templates', props.surfaceId, props.chosenLabel ?? group.value.first.label));
const isDone = computed(() => card.value.cut === props.setting.pieces.length);
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
            >{{ words.say('cuts/off', { count: setting.pieces.length })
            }}<span v-if="card.cut > 0" class="counted"
              ><PhChecks v-if="card.laid === setting.pieces.length" :size="17" /><PhCheck v-else :size="17" />{{
                card.laid === setting.pieces.length
                  ? words.say('cuts/laid')
                  : isDone
                    ? words.say('cuts/cut')
                    : words.say('cuts/someCut', { count: card.cut })
              }}</span
            ></b
          ><span class="size figure">{{ card.size }}</span></span
        >
        <span class="small"
          ><b>{{ words.cutName(group.first) }}</b
          >, {{ words.toolName(group.first.tool)
          }}<template v-if="group.first.edgeShows">, {{ words.say('cuts/edgeShows') }}</template></span
        >
        <span v-for="mark in card.marks" :key="mark" class="small soft">{{ mark }}</span>
        <span v-for="care in card.hard" :key="care" class="small hard">{{ care }}</span>
      </span>
    </button>
    <div v-if="chosen" class="pieces" role="group" :aria-label="words.say('cuts/piecesOfThis')">
      <button
        v-for="piece in setting.pieces"
        :key="piece.label"
        class="plain"
        type="button"
        :class="{ on: piece.label === chosenLabel }"
        :aria-pressed="piece.label === chosenLabel"
        @click="emit('choosePiece', piece.label)"
      >
        {{ piece.label }}<PhChecks v-if="stateOf(piece.label) === 'laid'" :size="15" :aria-label="words.say('cuts/laid')" /><PhCheck
          v-else-if="stateOf(piece.label) === 'cut'"
          :size="15"
          :aria-label="words.say('cuts/cut')"
        />
      </button>
      <ul v-if="card.minding.length > 0" class="cares small">
        <li v-for="line in card.minding" :key="line">{{ line }}</li>
      </ul>
      <div class="ticks no-print">
        <Button v-if="!areCut" size="small" @click="tick('cut')"
          ><PhCheck :size="17" />{{ meant.length === 1 ? words.say('cuts/isCut', { label: meant[0] }) : words.say('cuts/allCut') }}</Button
        >
        <Button v-if="areCut && !isAll('laid')" size="small" @click="tick('laid')"
          ><PhChecks :size="17" />{{
            meant.length === 1 ? words.say('cuts/isLaid', { label: meant[0] }) : words.say('cuts/allLaid')
          }}</Button
        >
        <Button v-if="!isAll('open')" size="small" severity="secondary" text @click="tick(isAll('laid') ? 'cut' : 'open')">{{
          words.say(isAll('laid') ? 'cuts/notLaidYet' : 'cuts/notCutYet')
        }}</Button>
        <Button as="a" size="small" severity="secondary" text :href="templateUrl"
          ><PhFilePdf :size="17" />{{ words.say('cuts/template') }}</Button
        >
      </div>
      <p v-if="card.source" class="small soft">{{ card.source }}</p>
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
