<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core';
import { computed, onMounted, toRef } from 'vue';
import { api } from '../../api/client.ts';
import { keepForLong } from '../../shell/keepForOffline.ts';
import type { Mix } from '@azulejo/core/takeoff/mixes/planMixes';
import { provideTape } from '../../fields/useTape.ts';
import { METRIC_TAPE } from '@azulejo/core/units/tape';
import { tapeOf } from '@azulejo/core/job/job';
import ChoiceField from '../../fields/ChoiceField.vue';
import { useLogStore } from '../../stores/logStore.ts';
import StepTape from '../../shell/StepTape.vue';
import { useJobPlan } from '../../workers/useJobPlan.ts';
import LoadingState from '../LoadingState.vue';
import { useOpenJob } from '../useOpenJob.ts';
import CheckNow from './CheckNow.vue';
import LayZone from './LayZone.vue';
import NextCut from './NextCut.vue';
import { surfaceAtHand } from './model.ts';
import SiteMixes from './SiteMixes.vue';
import TimerList from './TimerList.vue';
import { useTimers } from './useTimers.ts';
import { language } from '../../words/language.ts';
import { words } from '../../words/useWords.ts';

/** The next thing the hands do: large, one at a time, black on white in the sun and white on black in a cellar. */
const props = defineProps<{ jobId: string }>();
const { jobs, trouble } = useOpenJob(toRef(props, 'jobId'));
const { plan, surfaces } = useJobPlan();
onMounted(() => {
  keepForLong();
  // The list is there without a network too.
  void api.listJobs().catch(() => undefined);
});

const PARTS = [
  { name: 'cut', says: 'site/cut' },
  { name: 'lay', says: 'site/lay' },
  { name: 'mix', says: 'site/mix' },
  { name: 'wait', says: 'site/waits' },
] as const;
const part = useLocalStorage<(typeof PARTS)[number]['name']>('azulejo-site-part', 'cut');
const light = useLocalStorage<'sun' | 'cellar'>('azulejo-site-light', 'sun');
const surfaceId = useLocalStorage<string>('azulejo-site-surface', '');
const surface = computed(() => surfaceAtHand(jobs.job?.surfaces ?? [], surfaceId.value));
const planned = computed(() => (surface.value ? (surfaces.value.get(surface.value.id) ?? null) : null));
const options = computed(() => jobs.job?.surfaces.map(({ id, name }) => ({ value: id, label: name })) ?? []);
// Called out whatever is looked at.
const waits = useTimers(() => props.jobId);
const log = useLogStore();
/** One mix is written down, and its waits run: the rest, and how long the bucket is good for. */
function mixed({ item, slakeMinutes, potLifeMinutes }: Mix, powderKg: number): void {
  void log.write({ kind: 'mix', item, kg: Math.round(powderKg * 100) / 100 });
  if (slakeMinutes > 0) waits.start('slake', slakeMinutes);
  waits.start('potLife', Math.round(potLifeMinutes));
  part.value = 'wait';
}
provideTape(() => words.value.read(jobs.job && surface.value ? tapeOf(jobs.job, surface.value) : METRIC_TAPE));
</script>

<template>
  <LoadingState v-if="!jobs.job" :trouble="trouble" />
  <div v-else class="site" :class="light">
    <StepTape v-if="surface" :job-id="jobId" :surface-id="surface.id" current="site" />
    <main class="sheet" :lang="language">
      <div class="head">
        <ChoiceField
          v-if="surface && (part === 'cut' || part === 'lay')"
          class="grow"
          :label="words.say('site/surface')"
          :value="surface.id"
          :options="options"
          hide-label
          @choose="surfaceId = $event"
        />
        <h1 v-else class="grow">{{ words.say(part === 'mix' ? 'site/mixes' : 'site/waits') }}</h1>
        <button type="button" class="light" @click="light = light === 'sun' ? 'cellar' : 'sun'">
          {{ words.say(light === 'sun' ? 'site/cellar' : 'site/sun') }}
        </button>
      </div>
      <p v-if="!surface">
        {{ words.say('site/noSurface') }}
        <RouterLink :to="{ name: 'job', params: { jobId } }">{{ words.say('site/measureOne') }}</RouterLink>
      </p>
      <template v-else-if="part === 'cut' || part === 'lay'">
        <CheckNow v-if="planned && part === 'lay'" :key="surface.id" :surface="surface" :plan="planned" />
        <NextCut
          v-if="planned && part === 'cut'"
          :key="surface.id"
          :job="jobs.job"
          :surface="surface"
          :plan="planned"
          :mixes="plan?.mixes ?? []"
          doing="cut"
        />
        <LayZone
          v-else-if="planned"
          :key="surface.id"
          :job="jobs.job"
          :surface="surface"
          :plan="planned"
          :mixes="plan?.mixes ?? []"
          @finished="surfaceId = ''"
        />
        <p v-else role="status">{{ words.say('site/workingOutCuts') }}</p>
      </template>
      <template v-else-if="part === 'mix'">
        <p v-if="!plan" role="status">{{ words.say('site/workingOutMixes') }}</p>
        <SiteMixes v-else :surface="surface" :plan="plan" @mixed="mixed" />
      </template>
      <TimerList v-else :waits="waits" />
    </main>
    <nav class="parts" :lang="language" :aria-label="words.say('site/parts')">
      <button v-for="one in PARTS" :key="one.name" type="button" :aria-pressed="part === one.name" @click="part = one.name">
        {{ words.say(one.says) }}
      </button>
    </nav>
  </div>
</template>

<style scoped>
.site {
  --site-ground: #ffffff;
  --site-ink: #000000;
  display: flex;
  flex-direction: column;
  background: var(--site-ground);
  color: var(--site-ink);
}
.site.cellar {
  --site-ground: #000000;
  --site-ink: #ffffff;
}
.site :deep(.piece) {
  fill: color-mix(in srgb, var(--site-ink) 14%, var(--site-ground));
  stroke: var(--site-ink);
}
.site :deep(.whole),
.site :deep(.arrow) {
  stroke: var(--site-ink);
}
.site :deep(a) {
  color: inherit;
}
.sheet {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  padding: 0.9rem max(1rem, calc(50vw - 17rem)) 1.2rem;
  display: flex;
  flex-direction: column;
  gap: 0.8rem;
}
.sheet > * {
  flex: none;
}
.head {
  display: flex;
  gap: 0.6rem;
  align-items: center;
}
.light {
  font: 600 1rem 'Barlow';
  min-height: 46px;
  padding: 0 0.9rem;
  border-radius: 6px;
  border: 2px solid currentColor;
  background: transparent;
  color: inherit;
}
.parts {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  border-top: 3px solid var(--site-ink);
  flex: none;
}
.parts button {
  font: 600 1.2rem 'Barlow';
  min-height: 62px;
  border: 0;
  background: transparent;
  color: inherit;
  cursor: pointer;
}
.parts button[aria-pressed='true'] {
  background: var(--site-ink);
  color: var(--site-ground);
}
</style>

<style>
/* What a wet thumb presses, in every part of the view; a part may say it otherwise. */
:where(.site) .press,
:where(.site) .big {
  font: 600 1.05rem 'Barlow';
  min-height: 52px;
  border-radius: 6px;
  border: 2px solid currentColor;
  background: transparent;
  color: inherit;
  cursor: pointer;
}
:where(.site) .press:disabled {
  opacity: 0.45;
}
:where(.site) .big {
  font-size: 1.6rem;
  min-height: 84px;
  background: var(--site-ink);
  color: var(--site-ground);
  /* In reach of the thumb however much there is to mind; what scrolls by is covered. */
  position: sticky;
  bottom: 0.6rem;
  box-shadow: 0 0 0 0.6rem var(--site-ground);
}
</style>
