<script setup lang="ts">
import { computed, ref, toRef } from 'vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import type { TickState } from '@azulejo/core/site/tick';
import type { Mix } from '@azulejo/core/takeoff/mixes/planMixes';
import { useTicking } from '../cuts/useTicking.ts';
import { useLaid } from '../useLaid.ts';
import { words } from '../../words/useWords.ts';
import NextCut from './NextCut.vue';
import SiteMap from './SiteMap.vue';
import { layModel } from './layModel.ts';

/** Laying zone by zone: whole tiles and cuts together by one press, or piece by piece; strips when all zones lie. */
const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan; mixes: readonly Mix[] }>();
const emit = defineEmits<{ finished: [] }>();
const { stateOf, tick } = useTicking(toRef(props, 'surface'), toRef(props, 'plan'));
const sayLaid = useLaid();

const byPiece = ref(false);
const model = computed(() => layModel({ ...props, doing: 'laid', words: words.value }, stateOf));
const zone = computed(() => model.value.next);
/** What the last press changed, to be taken back: the zone by its number, and how its pieces were. */
const last = ref<{ readonly number: number; readonly before: ReadonlyMap<string, TickState> } | null>(null);

function done(): void {
  if (!zone.value) return;
  const { ticks, zone: own } = zone.value;
  last.value = { number: own.number, before: new Map(ticks.map((label) => [label, stateOf(label)])) };
  tick(ticks, 'laid');
}
function back(): void {
  if (!last.value) return;
  for (const state of ['open', 'cut'] as const)
    tick(
      [...last.value.before].flatMap(([label, before]) => (before === state ? [label] : [])),
      state,
    );
  last.value = null;
}
const turn = (label: string, state: TickState): void => tick([label], state === 'laid' ? 'cut' : 'laid');
function finish(): void {
  sayLaid(props.surface.id, true);
  emit('finished');
}
</script>

<template>
  <section v-if="zone && !byPiece" class="lay">
    <div class="top">
      <span class="figure label">{{ words.say('site/zoneOf', { number: zone.zone.number, of: model.of }) }}</span>
      <span class="count">{{ words.say('site/left', { left: model.left, of: model.of }) }}</span>
    </div>
    <SiteMap
      class="where"
      :plan="plan"
      :label="words.say('site/zoneOf', { number: zone.zone.number, of: model.of })"
      :zone="zone.zone.id"
      :state-of="stateOf"
      @choose="turn($event, stateOf($event))"
    />
    <p class="figure size">{{ zone.words }}</p>
    <p v-if="zone.mix" class="mix">{{ words.say('site/mixOfZone', { mix: zone.mix }) }} {{ zone.ahead }}</p>
    <ul v-if="zone.cuts.length > 0" class="cuts" :aria-label="words.say('site/cutsOfZone')">
      <li v-for="piece in zone.cuts" :key="piece.label">
        <button
          type="button"
          class="press cut"
          :class="piece.state"
          :aria-pressed="piece.state === 'laid'"
          @click="turn(piece.label, piece.state)"
        >
          {{ piece.label }}
        </button>
      </li>
    </ul>
    <p v-if="zone.missing.length > 0" class="care">{{ words.say('site/stillToCut', { labels: zone.missing.join(', ') }) }}</p>
    <div class="pair">
      <button type="button" class="press" @click="byPiece = true">{{ words.say('site/pieceByPiece') }}</button>
      <button type="button" class="press" :disabled="last === null" @click="back">
        {{ last ? words.say('site/notZone', last) : words.say('site/notTheLast') }}
      </button>
    </div>
    <button type="button" class="big" @click="done">{{ words.say('site/zoneIsLaid', zone.zone) }}</button>
  </section>
  <template v-else>
    <NextCut :job="job" :surface="surface" :plan="plan" :mixes="mixes" doing="laid" />
    <div class="lay">
      <button v-if="zone" type="button" class="press" @click="byPiece = false">{{ words.say('site/zoneByZone') }}</button>
      <button v-else-if="last" type="button" class="press" @click="back">{{ words.say('site/notZone', last) }}</button>
      <button v-if="!zone && !surface.laid" type="button" class="big" @click="finish">
        {{ words.say('site/surfaceIsLaid', { surface: surface.name }) }}
      </button>
      <RouterLink v-if="!zone" class="press log" :to="{ name: 'log', params: { jobId: job.id } }">
        {{ words.say(job.surfaces.every(({ laid }) => laid) ? 'site/closeJob' : 'site/writeHours') }}
      </RouterLink>
    </div>
  </template>
</template>

<style scoped>
.lay {
  display: grid;
  gap: 0.6rem;
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.log {
  display: grid;
  place-items: center;
  text-decoration: none;
}
/* The whole of it above the button, also where a check is asked for. */
.where {
  height: 11rem;
}
.label {
  font-size: 2.4rem;
  line-height: 1.05;
}
.size {
  font-size: 1.5rem;
  line-height: 1.15;
}
.mix,
.care {
  font-size: 1.05rem;
}
.care {
  border-left: 4px solid currentColor;
  padding-left: 0.6rem;
}
.cuts {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
}
.pair {
  display: flex;
  gap: 0.5rem;
}
.pair > * {
  flex: 1 1 auto;
}
.cut {
  min-height: 46px;
  min-width: 46px;
  padding: 0 0.5rem;
}
.cut.open {
  border-style: dashed;
}
.cut.laid {
  background: var(--site-ink);
  color: var(--site-ground);
}
</style>
