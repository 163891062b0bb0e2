<script setup lang="ts">
import { useSwipe } from '@vueuse/core';
import { computed, ref, toRef, useTemplateRef } from 'vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import type { Doing } from '@azulejo/core/site/piecesInTurn';
import type { Mix } from '@azulejo/core/takeoff/mixes/planMixes';
import PieceOutline from '../cuts/PieceOutline.vue';
import FindPiece from '../cuts/FindPiece.vue';
import SiteMap from './SiteMap.vue';
import { useSeenSide } from '../cuts/useSeenSide.ts';
import { useTicking } from '../cuts/useTicking.ts';
import { words } from '../../words/useWords.ts';
import { nextModel, turnsOf } from './model.ts';

/** One piece at a time: to be cut, or to be laid, zone by zone; one large button ticks it, a swipe puts it off. */
const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan; mixes: readonly Mix[]; doing: Doing }>();
const { stateOf, tick } = useTicking(toRef(props, 'surface'), toRef(props, 'plan'));
const { side, seen, turnOver } = useSeenSide();

/** Pieces that are put off for now come last. */
const putOff = ref<readonly string[]>([]);
/** The piece that was asked for by its label. */
const asked = ref<string | null>(null);
const on = computed(() => ({ ...props, words: words.value }));
const turns = computed(() => turnsOf(on.value));
const model = computed(() => nextModel(on.value, turns.value, stateOf, { asked: asked.value, putOff: putOff.value }, seen));
const label = computed(() => model.value.next?.piece.label ?? null);
/** A shorter stroke of the thumb is none. */
const SWIPE_PX = 70;
const last = ref<string | null>(null);
function done(): void {
  if (label.value === null) return;
  last.value = label.value;
  asked.value = null;
  tick([last.value], props.doing);
}
function back(): void {
  if (last.value === null) return;
  tick([last.value], props.doing === 'cut' ? 'open' : 'cut');
  last.value = null;
}
const later = (): void => {
  const off = label.value;
  asked.value = null;
  if (off !== null) putOff.value = [...putOff.value.filter((one) => one !== off), off];
};
const showsMap = ref(false);
const finding = ref(false);
function find(wanted: string): void {
  [asked.value, finding.value] = [wanted, false];
}
const section = useTemplateRef<HTMLElement>('section');
useSwipe(section, {
  threshold: SWIPE_PX,
  onSwipeEnd: (_, direction) => {
    if (direction === 'left') later();
  },
});
</script>

<template>
  <section ref="section" class="next">
    <p v-if="doing === 'laid' && model.zone" class="zone">
      <b>{{ words.say('site/zoneOf', { number: model.zone.zone.number, of: plan.zones.zones.length }) }}</b>, {{ model.zone.words
      }}<span v-if="model.zone.mix">. {{ words.say('site/mixOfZone', { mix: model.zone.mix }) }}</span>
      {{ model.zone.ahead }}
    </p>
    <template v-if="model.next">
      <div class="top">
        <span class="figure label">{{ label }}</span>
        <span class="count">{{ words.say('site/left', { left: model.left, of: model.labels.length }) }}</span>
      </div>
      <SiteMap
        v-if="showsMap"
        :plan="plan"
        :label="model.next.piece.label"
        :zone="model.zone?.zone.id ?? null"
        :state-of="stateOf"
        @choose="find"
      />
      <PieceOutline v-else :piece="model.next.asMarked" class="picture" />
      <p class="figure size">{{ model.next.size }}</p>
      <p class="kind">{{ model.next.kind }}</p>
      <ol v-if="doing === 'cut'" class="marks">
        <li v-for="mark in model.next.marks" :key="mark">{{ mark }}</li>
      </ol>
      <p v-for="mind in model.next.minding" :key="mind" class="care">{{ mind }}</p>
      <FindPiece v-if="finding" class="find" :labels="model.labels" @found="find" />
      <div class="pair">
        <button type="button" class="press" :aria-pressed="showsMap" @click="showsMap = !showsMap">
          {{ words.say(showsMap ? 'site/piece' : 'site/map') }}
        </button>
        <button type="button" class="press" :aria-pressed="finding" @click="finding = !finding">{{ words.say('site/find') }}</button>
        <button v-if="doing === 'cut'" type="button" class="press" @click="turnOver">
          {{ words.say(side === 'face' ? 'cuts/faceUp' : 'cuts/faceDown') }}
        </button>
        <button type="button" class="press" @click="later">{{ words.say('site/later') }}</button>
        <button type="button" class="press" :disabled="last === null" @click="back">
          {{ last ? words.say('site/not', { label: last }) : words.say('site/notTheLast') }}
        </button>
      </div>
      <button type="button" class="big" @click="done">
        {{ words.say(doing === 'cut' ? 'cuts/isCut' : 'cuts/isLaid', { label: label ?? '' }) }}
      </button>
    </template>
    <template v-else>
      <p class="figure size">
        {{ words.say(doing === 'laid' ? 'site/allLaid' : model.labels.length === 0 ? 'site/nothingCut' : 'site/allCut') }}
      </p>
      <button v-if="last" type="button" class="press" @click="back">{{ words.say('site/not', { label: last }) }}</button>
    </template>
    <p v-if="doing === 'cut' && model.labels.length > 0" class="care">{{ words.SAFETY.cutting }}</p>
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
.zone {
  font-size: 1.15rem;
}
.find :deep(label) {
  color: inherit;
}
.find :deep(input) {
  font-size: 1.4rem;
  min-height: 52px;
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
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.pair > * {
  flex: 1 1 auto;
  padding: 0 0.3rem;
}
</style>
