<script setup lang="ts">
import Button from 'primevue/button';
import { computed, nextTick, ref, toRef, useTemplateRef } from 'vue';
import { PhArrowCounterClockwise, PhCalendarCheck, PhCalendarPlus, PhPrinter, PhWarning } from '@phosphor-icons/vue';
import { hoursWords } from '@azulejo/core/messages/en/money';
import { describeHeld, describeMissed, describeTaken, oneMoreWords, taskName, workName } from '@azulejo/core/messages/en/programme';
import { layOnDays } from '@azulejo/core/plan/share/layOnDays';
import { withOneMore } from '@azulejo/core/programme/withOneMore';
import { SAFETY } from '@azulejo/core/messages/en/safety';
import { speakerName } from '@azulejo/core/messages/en/materialFigures';
import { takeCalendar } from '@azulejo/core/programme/takeCalendar';
import { exportUrl } from '../../api/client.ts';
import NumberField from '../../fields/NumberField.vue';
import { useJobPlan } from '../../workers/useJobPlan.ts';
import JobPage from '../JobPage.vue';
import { useOpenJob } from '../useOpenJob.ts';
import TroubleNote from '../../fields/TroubleNote.vue';
import DayBars from './DayBars.vue';
import { daysListed, endModel } from './model.ts';
import { readCalendar } from './readCalendar.ts';
import { useProgramme } from './useProgramme.ts';
import WhoIsThere from './WhoIsThere.vue';
import WorkingTimes from './WorkingTimes.vue';

/** What happens which day, and what is waited for. */
const props = defineProps<{ jobId: string }>();
const { jobs, trouble } = useOpenJob(toRef(props, 'jobId'));
const { plan, of } = useJobPlan();
const { set, move } = useProgramme(() => {
  if (!jobs.job) throw new Error('days are moved in a job that is open: none is');
  return jobs.job;
});
const programme = computed(() => plan.value?.programme ?? null);
const isDated = computed(() => jobs.job?.programme?.startDay !== undefined);
const chosenId = ref<string | null>(null);
const chosen = computed(() => programme.value?.tasks.find(({ id }) => id === chosenId.value) ?? null);
const isMoved = computed(() => chosen.value !== null && Object.hasOwn(jobs.job?.programme?.notBefore ?? {}, chosen.value.id));

/** The day of the week, or the date, of which it is said who is there. */
const whoDay = ref<string | null>(null);
const whoPart = useTemplateRef('who');
async function showWho(date: string): Promise<void> {
  whoDay.value = date;
  await nextTick();
  whoPart.value?.scrollIntoView({ block: 'center' });
}
const setWait = (afterId: string, hours: number) => {
  const task = chosen.value;
  const before = programme.value?.tasks.find(({ id }) => id === afterId);
  if (!task || !before) return [];
  return set('aWait', { waits: { ...jobs.job?.programme?.waits, [`${before.task}>${task.task}`]: hours } });
};

const end = computed(() => (programme.value ? endModel(programme.value, isDated.value) : null));
const oneMore = computed(() => {
  // Of the job that the plan is of: what is changed meanwhile is in the next one.
  const job = of.value;
  if (!plan.value || !job || plan.value.surfaces.length === 0) return null;
  const figures = plan.value.surfaces.map((surface) => surface.figures);
  return oneMoreWords(plan.value.programme, layOnDays(withOneMore(job), plan.value.money.work, figures), isDated.value);
});
const byDay = computed(() => (programme.value ? daysListed(programme.value, isDated.value) : []));
const nameOf = (id: string): string => {
  const task = programme.value?.tasks.find((one) => one.id === id);
  return task ? taskName(task).toLowerCase() : id;
};
const told = ref<string | null>(null);
const refused = ref<string | null>(null);
/** Takes the days over as they were moved in a calendar. */
async function takeBack(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file || !programme.value) return;
  try {
    const taken = takeCalendar(props.jobId, programme.value, await readCalendar(file));
    [told.value, refused.value] = [describeTaken(taken, programme.value), null];
    if (Object.keys(taken.notBefore).length > 0)
      set('daysFromTheCalendar', { notBefore: { ...jobs.job?.programme?.notBefore, ...taken.notBefore } });
  } catch (error) {
    [told.value, refused.value] = [null, error instanceof Error ? error.message : 'The calendar could not be read.'];
  }
}
const printIt = (): void => window.print();
</script>

<template>
  <JobPage :job-id="jobId" :job="jobs.job" :trouble="trouble" current="programme" title="Days">
    <template #papers>
      <Button class="no-print" severity="secondary" outlined @click="printIt"><PhPrinter :size="19" />Print</Button>
      <Button class="no-print" as="a" :href="exportUrl(jobId, 'calendar')" severity="secondary" outlined
        ><PhCalendarPlus :size="19" />For my calendar</Button
      ><label class="no-print p-button p-button-secondary p-button-outlined back"
        ><PhCalendarCheck :size="19" />Back from it<input type="file" accept=".ics,text/calendar" @change="takeBack"
      /></label>
    </template>
    <template #default="{ job }">
      <p v-if="told" role="status">{{ told }}</p>
      <TroubleNote :why="refused" />
      <p v-if="!programme" class="soft" role="status">Laying the work on days</p>
      <template v-else>
        <p v-if="end" class="answer">
          Done on <strong class="figure">{{ end.endDay }}</strong>; full load from {{ end.loadDay }}. {{ end.hangsOn }}
          <span v-if="oneMore" class="soft">{{ oneMore }}</span>
        </p>
        <WorkingTimes class="no-print" :job="job" :set="set" />
        <div ref="who" class="no-print">
          <WhoIsThere v-model="whoDay" :job="job" :set="(part) => set('whoIsThere', part)" />
        </div>
        <p v-for="missed in programme.missed" :key="missed.id" class="missed">
          <PhWarning :size="18" weight="bold" />{{ describeMissed(missed, programme) }}
        </p>
        <DayBars
          class="no-print"
          :programme="programme"
          :is-dated="isDated"
          :chosen="chosenId"
          @choose="chosenId = $event"
          @move="(id, day) => move(id, day)"
        />
        <p class="small soft no-print">
          Striped works decide the last day. Drag a bar, or move it with the arrow keys; what hangs on it moves along.
        </p>
        <section v-if="chosen" class="chosen stack no-print">
          <h2>{{ workName(chosen) }}</h2>
          <p>{{ hoursWords(chosen.hours) }} of work. {{ describeHeld(chosen, programme) }}</p>
          <div class="fields">
            <NumberField
              v-for="{ id, hours, from } in chosen.after"
              :key="id"
              :label="`Waits after ${nameOf(id)} (${speakerName(from)})`"
              unit="h"
              :value="Math.round(hours * 10) / 10"
              :commit="(value) => setWait(id, value)"
            />
          </div>
          <p class="small soft">
            Waits that are usual or from a data sheet are shifted by warmth, damp and how the ground drinks: a hint. The bag and the data
            sheet decide; theirs are entered with the material in the order.
          </p>
          <Button v-if="isMoved" text severity="secondary" class="start" @click="move(chosen.id, null)"
            ><PhArrowCounterClockwise :size="17" />Let it fall where it may</Button
          >
        </section>
        <p v-if="programme.tasks.some(({ task }) => task === 'openBoxes')" class="caution">{{ SAFETY.fixtures }}</p>
        <section class="list">
          <h2>Day by day</h2>
          <div v-for="{ day, date, title, who, works } in byDay" :key="day" class="one">
            <h3>
              {{ title
              }}<button
                v-if="isDated"
                type="button"
                class="plain who"
                :class="{ 'no-print': who === null }"
                :aria-label="`Who is there on ${title}`"
                @click="showWho(date)"
              >
                {{ who ?? 'alone' }}</button
              ><span v-else-if="who" class="soft">{{ who }}</span>
            </h3>
            <p v-for="{ key, text } in works" :key="key">{{ text }}</p>
          </div>
        </section>
      </template>
    </template>
  </JobPage>
</template>

<style scoped>
.back {
  position: relative;
  cursor: pointer;
}
.back input {
  position: absolute;
  inset: 0;
  opacity: 0;
  width: 100%;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 11rem), 1fr));
  gap: 0.8rem;
  align-items: end;
}
.answer strong {
  font-size: 1.5rem;
}
.missed {
  display: flex;
  gap: 0.5rem;
  background: var(--warn-soft);
  border-radius: 4px;
  padding: 0.5rem 0.75rem;
}
.missed svg {
  color: var(--warn);
  flex: none;
}
.chosen {
  background: var(--panel);
  border-radius: 4px;
  padding: 0.9rem 1.1rem;
  max-width: 46rem;
}
.start {
  justify-self: start;
}
.list {
  columns: 3 19rem;
  column-gap: 2rem;
}
.list h2 {
  column-span: all;
  margin-bottom: 0.6rem;
}
.one {
  break-inside: avoid;
  margin-bottom: 0.8rem;
}
.one h3 {
  display: flex;
  gap: 0.6rem;
  align-items: baseline;
}
.one h3 .who,
.one h3 .soft {
  font-size: 0.93rem;
  font-weight: 400;
}
.one h3 .who {
  color: var(--ink-soft);
  text-decoration: underline dotted;
}
.one p {
  font-size: 0.93rem;
}
</style>
