<script setup lang="ts">
import Button from 'primevue/button';
import { computed, toRef } from 'vue';
import { ENTRY_NAMES } from '@azulejo/core/messages/en/log';
import { hoursWords } from '@azulejo/core/messages/en/money';
import { pictureUrl } from '../../api/client.ts';
import { isAway } from '../../api/reach.ts';
import { useLogStore } from '../../stores/logStore.ts';
import { useJobPlan } from '../../workers/useJobPlan.ts';
import { dayOf } from '../dayOf.ts';
import JobPage from '../JobPage.vue';
import TroubleNote from '../../fields/TroubleNote.vue';
import { provideTape } from '../../fields/useTape.ts';
import { METRIC_TAPE } from '@azulejo/core/units/tape';
import { useOpenJob } from '../useOpenJob.ts';
import { againstPlan, logDays, placeName } from './model.ts';
import DueHours from './DueHours.vue';
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

const days = computed(() => (jobs.job ? logDays(jobs.job, plan.value, log.entries, dayOf) : []));
const facts = computed(() => (jobs.job && plan.value ? againstPlan(jobs.job, plan.value, log.entries) : null));
</script>

<template>
  <JobPage v-slot="{ job }" :job-id="jobId" :job="jobs.job" :trouble="trouble" current="log" title="Log">
    <EntryForm class="no-print" :job="job" :plan="plan" />
    <!-- That the server is away is said above, and nothing is lost by it. -->
    <TroubleNote :why="isAway ? null : log.trouble" />
    <p v-if="log.waiting.length > 0" class="small soft" role="status">
      {{ log.waiting.length }} not on the server yet; kept here until they are.
    </p>
    <DueHours v-if="plan" :job="job" :plan="plan" />
    <section v-if="plan && facts" class="stack">
      <h2>Against the plan</h2>
      <p>
        <strong class="figure">{{ hoursWords(facts.loggedHours) }}</strong> written down of
        <strong class="figure">{{ hoursWords(plan.money.hours) }}</strong> planned in all; {{ facts.broken }} pieces broken,
        {{ facts.expectedBroken }} reckoned with in all.
      </p>
      <FactChart v-if="facts.bars.length > 0" :bars="facts.bars" />
      <p v-for="words in facts.uses" :key="words">{{ words }}</p>
    </section>
    <LearntPart v-if="plan" :job="job" :plan="plan" />
    <ClosingPart v-if="plan" :job="job" :plan="plan" />
    <p v-if="days.length === 0" class="soft">
      Nothing is written down yet. Hours, broken pieces, packs and photos are kept here in three presses, also while the server is away.
    </p>
    <section v-for="[day, entries] in days" :key="day" class="stack day">
      <h2>{{ day }}</h2>
      <ul>
        <li v-for="{ entry, words, spot, about } in entries" :key="entry.id">
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
          <PinMap v-if="spot" class="spot" :plan="spot.plan" :pin="spot.pin" :label="`Where it was: ${placeName(job, entry.surfaceId)}`" />
          <div class="grow">
            <p>
              <b>{{ ENTRY_NAMES[entry.data.kind] }}</b> {{ words }}
            </p>
            <p v-if="about !== ''" class="small soft">{{ about }}</p>
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
