<script setup lang="ts">
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import DatePicker from 'primevue/datepicker';
import { computed, ref, toRef } from 'vue';
import { PhArrowCounterClockwise, PhCalendarCheck, PhCalendarPlus, PhPrinter, PhWarning } from '@phosphor-icons/vue';
import { HOURS_PER_DAY } from '@azulejo/core/labour/workHours';
import { hoursWords } from '@azulejo/core/messages/en/money';
import { describeHeld, describeMissed, describeTaken, taskName, workName } from '@azulejo/core/messages/en/programme';
import { speakerName } from '@azulejo/core/messages/en/materialFigures';
import { takeCalendar } from '@azulejo/core/programme/takeCalendar';
import { exportUrl } from '../../api/client.ts';
import NumberField from '../../fields/NumberField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { useJobPlan } from '../../workers/useJobPlan.ts';
import JobPage from '../JobPage.vue';
import { useOpenJob } from '../useOpenJob.ts';
import TroubleNote from '../../fields/TroubleNote.vue';
import DayBars from './DayBars.vue';
import { daysListed, endModel, firstDayTrouble, isoOf } from './model.ts';
import { readCalendar } from './readCalendar.ts';
import { useProgramme } from './useProgramme.ts';

/** What happens which day, and what is waited for. */
const props = defineProps<{ jobId: string }>();
const { jobs, trouble } = useOpenJob(toRef(props, 'jobId'));
const { plan } = useJobPlan();
const { set, move } = useProgramme(() => {
  if (!jobs.job) throw new Error('days are moved in a job that is open: none is');
  return jobs.job;
});
const programme = computed(() => plan.value?.programme ?? null);
const isDated = computed(() => jobs.job?.programme?.startDay !== undefined);
const chosenId = ref<string | null>(null);
const chosen = computed(() => programme.value?.tasks.find(({ id }) => id === chosenId.value) ?? null);
const isMoved = computed(() => chosen.value !== null && Object.hasOwn(jobs.job?.programme?.notBefore ?? {}, chosen.value.id));

const startDay = computed(() => (jobs.job?.programme?.startDay ? new Date(`${jobs.job.programme.startDay}T00:00:00`) : null));
const startTrouble = ref<string | null>(null);
function setStart(date: unknown): void {
  if (!(date instanceof Date)) return;
  startTrouble.value = firstDayTrouble(date, new Date());
  if (startTrouble.value === null) set('firstDay', { startDay: isoOf(date) });
}
const WEEKS = [
  { value: '0,6', label: 'Mon to Fri' },
  { value: '0', label: 'Mon to Sat' },
  { value: '', label: 'Every day' },
] as const;
const week = computed(() => (jobs.job?.programme?.daysOff ?? [0, 6]).join());
const setWeek = (value: string) => set('daysOfWork', { daysOff: value === '' ? [] : value.split(',').map(Number) });
const setLabour = (label: ChangeLabel, hoursPerDay: number) =>
  jobs.change(label, (draft) => {
    draft.labour = { ...draft.labour, hoursPerDay };
  });
const setClimate = (part: { temperatureC?: number; humidityPercent?: number }) =>
  jobs.change('climateOnSite', (draft) => {
    draft.mixing = { ...draft.mixing, ...part };
  });
const setWait = (afterId: string, hours: number) => {
  const task = chosen.value;
  const before = programme.value?.tasks.find(({ id }) => id === afterId);
  if (!task || !before) return [];
  return set('aWait', { waits: { ...jobs.job?.programme?.waits, [`${before.task}>${task.task}`]: hours } });
};

const end = computed(() => (programme.value ? endModel(programme.value, isDated.value) : null));
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
        <div class="fields basics no-print">
          <div class="field">
            <label for="first-day" class="small soft">First day of work</label>
            <DatePicker
              input-id="first-day"
              :model-value="startDay"
              date-format="D d M yy"
              placeholder="Choose a day"
              fluid
              @update:model-value="setStart"
            />
            <TroubleNote :why="startTrouble" />
          </div>
          <NumberField
            label="Begins at"
            unit="o'clock"
            :value="job.programme?.startHour ?? 8"
            :commit="(startHour) => set('beginOfWork', { startHour })"
          />
          <NumberField
            label="Hours a day"
            unit="h"
            :value="job.labour?.hoursPerDay ?? HOURS_PER_DAY"
            :commit="(hours) => setLabour('hoursADay', hours)"
          />
          <SwitchField label="Work is done" :value="week" :options="WEEKS" @choose="setWeek" />
          <NumberField
            label="It is"
            unit="°C"
            :value="job.mixing?.temperatureC ?? 20"
            :commit="(temperatureC) => setClimate({ temperatureC })"
          />
          <NumberField
            label="Damp in the air"
            unit="%"
            :value="job.mixing?.humidityPercent ?? 50"
            :commit="(humidityPercent) => setClimate({ humidityPercent })"
          />
        </div>
        <p v-if="end" class="answer">
          Done on <strong class="figure">{{ end.endDay }}</strong>; full load from {{ end.loadDay }}. {{ end.hangsOn }}
        </p>
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
        <section class="list">
          <h2>Day by day</h2>
          <div v-for="{ day, title, works } in byDay" :key="day" class="one">
            <h3>{{ title }}</h3>
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
.basics {
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 9rem), 1fr));
}
.basics > :nth-child(4) {
  grid-column: span 2;
}
.field {
  display: grid;
  gap: 0.2rem;
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
.one p {
  font-size: 0.93rem;
}
</style>
