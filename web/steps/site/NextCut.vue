<script setup lang="ts">
import { useSwipe } from '@vueuse/core';
import { computed, ref, toRef, useTemplateRef } from 'vue';
import { caresOf } from '@azulejo/core/cuts/cutMethod';
import { settingsOf } from '@azulejo/core/cuts/cutOrder';
import { sharedHoles } from '@azulejo/core/cuts/sharedHoles';
import { describeCares, describeSharedHole } from '@azulejo/core/messages/en/cutting';
import { describeAhead, describeShare } from '@azulejo/core/messages/en/mixes';
import { describeZone } from '@azulejo/core/messages/en/zones';
import { mixFor, type Mix } from '@azulejo/core/takeoff/mixes/planMixes';
import { describeMark } from '@azulejo/core/messages/en/marks';
import { kindName } from '@azulejo/core/messages/en/names';
import { SAFETY } from '@azulejo/core/messages/en/safety';
import { tapeOf, type Job, type Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import PieceOutline from '../cuts/PieceOutline.vue';
import FindPiece from '../cuts/FindPiece.vue';
import SiteMap from './SiteMap.vue';
import { useCutList } from '../cuts/useCutList.ts';
import { useSeenSide } from '../cuts/useSeenSide.ts';
import { useTicking } from '../cuts/useTicking.ts';

/** One piece at a time: to be cut, or to be laid, zone by zone; one large button ticks it, a swipe puts it off. */
const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan; mixes: readonly Mix[]; doing: 'cut' | 'laid' }>();
const tape = computed(() => tapeOf(props.job, props.surface));
const { trips } = useCutList(toRef(props, 'job'), toRef(props, 'surface'), toRef(props, 'plan'));
const { stateOf, tick } = useTicking(toRef(props, 'surface'), toRef(props, 'plan'));
const { side, seen, turnOver } = useSeenSide();

const zoneOf = computed(() => new Map(props.plan.zones.zones.flatMap((zone) => zone.cuts.map((label) => [label, zone] as const))));
const pieces = computed(() => {
  const cut = settingsOf(trips.value).flatMap((setting) => setting.pieces);
  if (props.doing === 'cut') return cut;
  return [...cut].sort((a, b) => (zoneOf.value.get(a.label)?.number ?? 0) - (zoneOf.value.get(b.label)?.number ?? 0));
});
const isDone = (label: string): boolean => (props.doing === 'cut' ? stateOf(label) !== 'open' : stateOf(label) === 'laid');
const left = computed(() => pieces.value.filter(({ label }) => !isDone(label)));
/** Pieces that are put off for now come last. */
const putOff = ref<readonly string[]>([]);
/** The piece that was asked for by its label. */
const asked = ref<string | null>(null);
const next = computed(
  () =>
    pieces.value.find(({ label }) => label === asked.value && !isDone(label)) ??
    left.value.find(({ label }) => !putOff.value.includes(label)) ??
    left.value[0] ??
    null,
);
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
/** A shorter stroke of the thumb is none. */
const SWIPE_PX = 70;
const holes = computed(() => sharedHoles(props.plan.traced, props.plan.cuts));
const sharing = computed(() => (holes.value.get(next.value?.label ?? '') ?? []).map(describeSharedHole));
const last = ref<string | null>(null);
function done(): void {
  if (!next.value) return;
  last.value = next.value.label;
  asked.value = null;
  tick([next.value.label], props.doing);
}
function back(): void {
  if (last.value === null) return;
  tick([last.value], props.doing === 'cut' ? 'open' : 'cut');
  last.value = null;
}
const later = (): void => {
  asked.value = null;
  if (next.value) putOff.value = [...putOff.value.filter((label) => label !== next.value?.label), next.value.label];
};
const zone = computed(() => (next.value ? (zoneOf.value.get(next.value.label) ?? null) : null));
/** The adhesive that the zone takes. */
const adhesive = computed(
  () =>
    props.mixes.find(({ item, surfaces }) => item === 'adhesive' && surfaces.some(({ surfaceId }) => surfaceId === props.surface.id)) ??
    null,
);
const mix = computed(() => {
  const share = adhesive.value && zone.value ? mixFor(adhesive.value, props.surface.id, zone.value.areaMm2 / 1e6) : null;
  return share ? describeShare(share, tape.value) : null;
});
/** When the mix of the next zone is begun; nothing in the last one. */
const ahead = computed(() =>
  adhesive.value && zone.value && zone.value.number < props.plan.zones.zones.length ? describeAhead(adhesive.value, tape.value) : '',
);
const showsMap = ref(false);
const finding = ref(false);
function find(label: string): void {
  [asked.value, finding.value] = [label, false];
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
    <p v-if="doing === 'laid' && zone" class="zone">
      <b>Zone {{ zone.number }} of {{ plan.zones.zones.length }}</b
      >, {{ describeZone(zone, tape) }}<span v-if="mix">. Mix {{ mix }} of water.</span> {{ ahead }}
    </p>
    <template v-if="next && asMarked">
      <div class="top">
        <span class="figure label">{{ next.label }}</span>
        <span class="count">{{ left.length }} of {{ pieces.length }} left</span>
      </div>
      <SiteMap v-if="showsMap" :plan="plan" :label="next.label" :zone="zone?.id ?? null" :state-of="stateOf" @choose="find" />
      <PieceOutline v-else :piece="asMarked" class="picture" />
      <p class="figure size">{{ formatLength(next.sizeMm.widthMm, tape) }} x {{ formatLengthWithUnit(next.sizeMm.heightMm, tape) }}</p>
      <p class="kind">{{ kindName(next.kind) }}, {{ next.tool }}{{ from === '' ? '' : `, ${from}` }}</p>
      <ol v-if="doing === 'cut'" class="marks">
        <li v-for="mark in marks" :key="mark">{{ mark }}</li>
      </ol>
      <p v-for="words in sharing" :key="words" class="care">{{ words }}</p>
      <p v-for="care in doing === 'cut' ? cares : []" :key="care" class="care">{{ care }}</p>
      <FindPiece v-if="finding" class="find" :labels="pieces.map(({ label }) => label)" @found="find" />
      <div class="pair">
        <button type="button" class="press" :aria-pressed="showsMap" @click="showsMap = !showsMap">{{ showsMap ? 'Piece' : 'Map' }}</button>
        <button type="button" class="press" :aria-pressed="finding" @click="finding = !finding">Find</button>
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
    <p v-if="doing === 'cut' && pieces.length > 0" class="care">{{ SAFETY.cutting }}</p>
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
