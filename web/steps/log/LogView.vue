<script setup lang="ts">
import Button from 'primevue/button';
import { computed, toRef } from 'vue';
import { describeEntry, describeUse, ENTRY_NAMES } from '@azulejo/core/messages/en/log';
import { hoursWords, TASK_NAMES } from '@azulejo/core/messages/en/money';
import type { Point } from '@azulejo/core/geometry/point';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { entriesOf, type Entry } from '@azulejo/core/site/entry';
import { taskFacts } from '@azulejo/core/site/learnt';
import { useFacts } from '@azulejo/core/site/learntUse';
import { pictureUrl } from '../../api/client.ts';
import { isAway } from '../../api/reach.ts';
import { useLogStore } from '../../stores/logStore.ts';
import { useJobPlan } from '../../workers/useJobPlan.ts';
import JobPage from '../JobPage.vue';
import TroubleNote from '../../fields/TroubleNote.vue';
import { provideTape } from '../../fields/useTape.ts';
import { METRIC_TAPE } from '@azulejo/core/units/tape';
import { useOpenJob } from '../useOpenJob.ts';
import EntryForm from './EntryForm.vue';
import ClosingPart from './ClosingPart.vue';
import PinMap from './PinMap.vue';
import FactChart from './FactChart.vue';
import LearntPart from './LearntPart.vue';

/** How it goes against the plan, and what the next one will know better. */
const props = defineProps<{ jobId: string }>();
const { jobs, trouble } = useOpenJob(toRef(props, 'jobId'));
provideTape(() => jobs.job?.tape ?? METRIC_TAPE);
const { plan } = useJobPlan();
const log = useLogStore();

const nameOf = (id: string | null): string => jobs.job?.surfaces.find((surface) => surface.id === id)?.name ?? '';
/** The place an entry is pinned to; null for none. */
function spotOf({ surfaceId, data }: Entry): { readonly plan: SurfacePlan; readonly pin: Point } | null {
  const planned = plan.value?.surfaces.find((one) => one.surfaceId === surfaceId);
  return planned && 'pin' in data && data.pin ? { plan: planned, pin: data.pin } : null;
}
const days = computed(() => {
  const { job } = jobs;
  if (!job) return [];
  const byDay = new Map<string, { entry: Entry; words: string; spot: ReturnType<typeof spotOf> }[]>();
  for (const entry of [...log.entries].reverse()) {
    // Waits have their place on site.
    if (entry.data.kind === 'timer') continue;
    const day = new Date(entry.at).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'long', year: 'numeric' });
    byDay.set(day, [...(byDay.get(day) ?? []), { entry, words: describeEntry(job, entry), spot: spotOf(entry) }]);
  }
  return [...byDay];
});
const facts = computed(() => (plan.value ? taskFacts(plan.value.money.work, log.entries) : []));
const logged = computed(() => facts.value.reduce((sum, { loggedHours }) => sum + loggedHours, 0));
const broken = computed(() => entriesOf(log.entries, 'breakage').reduce((sum, { data }) => sum + data.pieces, 0));
const expectedBroken = computed(
  () => plan.value?.materials.reduce((sum, line) => sum + (line.item === 'tiles' ? line.how.breakage : 0), 0) ?? 0,
);
const uses = computed(() => (plan.value ? useFacts(plan.value.materials, log.entries) : []));
const isLaid = computed(() => jobs.job !== null && jobs.job.surfaces.length > 0 && jobs.job.surfaces.every(({ laid }) => laid));
const bars = computed(() =>
  facts.value
    .filter(({ loggedHours }) => loggedHours > 0)
    .map(({ task, plannedHours, loggedHours }) => ({ name: TASK_NAMES[task] ?? task, planned: plannedHours, done: loggedHours })),
);
</script>

<template>
  <JobPage v-slot="{ job }" :job-id="jobId" :job="jobs.job" :trouble="trouble" current="log" title="Log">
    <EntryForm class="no-print" :job="job" :plan="plan" />
    <!-- That the server is away is said above, and nothing is lost by it. -->
    <TroubleNote :why="isAway ? null : log.trouble" />
    <p v-if="log.waiting.length > 0" class="small soft" role="status">
      {{ log.waiting.length }} not on the server yet; kept here until they are.
    </p>
    <section v-if="plan && (logged > 0 || broken > 0 || uses.length > 0)" class="stack">
      <h2>Against the plan</h2>
      <p>
        <strong class="figure">{{ hoursWords(logged) }}</strong> written down of
        <strong class="figure">{{ hoursWords(plan.money.hours) }}</strong> planned in all; {{ broken }} pieces broken,
        {{ expectedBroken }} reckoned with in all.
      </p>
      <FactChart v-if="bars.length > 0" :bars="bars" />
      <p v-for="fact in uses" :key="fact.item">{{ describeUse(fact, isLaid) }}</p>
    </section>
    <LearntPart v-if="plan" :job="job" :plan="plan" :uses="uses" :is-laid="isLaid" />
    <ClosingPart v-if="plan" :job="job" :plan="plan" />
    <p v-if="days.length === 0" class="soft">
      Nothing is written down yet. Hours, broken pieces, packs and photos are kept here in three presses, also while the server is away.
    </p>
    <section v-for="[day, entries] in days" :key="day" class="stack day">
      <h2>{{ day }}</h2>
      <ul>
        <li v-for="{ entry, words, spot } in entries" :key="entry.id">
          <a
            v-if="(entry.data.kind === 'photo' || entry.data.kind === 'snag') && entry.data.image"
            :href="pictureUrl(jobId, entry.data.image)"
            target="_blank"
          >
            <img
              :src="entry.data.small ?? pictureUrl(jobId, entry.data.image)"
              loading="lazy"
              :alt="words === '' ? 'Photo from the site' : words"
            />
          </a>
          <PinMap v-if="spot" class="spot" :plan="spot.plan" :pin="spot.pin" :label="`Where it was: ${nameOf(entry.surfaceId)}`" />
          <div class="grow">
            <p>
              <b>{{ ENTRY_NAMES[entry.data.kind] }}</b> {{ words }}
            </p>
            <p v-if="entry.surfaceId || entry.by" class="small soft">
              {{ [nameOf(entry.surfaceId), entry.by].filter((words) => words !== '').join(', ') }}
            </p>
          </div>
          <Button
            v-if="entry.data.kind !== 'order'"
            class="no-print"
            text
            size="small"
            severity="secondary"
            label="Take back"
            :aria-label="`Take back: ${ENTRY_NAMES[entry.data.kind]} ${words}`"
            @click="log.withdraw(entry)"
          />
        </li>
      </ul>
    </section>
  </JobPage>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  background: var(--panel);
  border-radius: 4px;
}
li {
  display: flex;
  gap: 0.8rem;
  align-items: center;
  padding: 0.45rem 0.8rem;
}
li + li {
  border-top: 1px solid var(--line);
}
li img {
  width: 7rem;
  border-radius: 3px;
}
.spot {
  width: 9rem;
  height: 6rem;
}
.day {
  gap: 0.4rem;
}
</style>
