<script setup lang="ts">
import DatePicker from 'primevue/datepicker';
import { computed, ref } from 'vue';
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import type { Job } from '@azulejo/core/job/job';
import { HOURS_PER_DAY } from '@azulejo/core/labour/workHours';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { USUAL_START, WEEKEND } from '@azulejo/core/programme/calendarOf';
import type { ProgrammeChoice } from '@azulejo/core/programme/programmeChoice';
import type { Issue } from '@azulejo/core/result';
import ClockField from '../../fields/ClockField.vue';
import NumberField from '../../fields/NumberField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import TroubleNote from '../../fields/TroubleNote.vue';
import { useJobStore } from '../../stores/jobStore.ts';
import { useLabour } from '../useLabour.ts';
import { firstDayTrouble, isoOf } from './model.ts';

/** When the work begins, how long a day is as a rule, with how many hands, and in what air. */
const props = defineProps<{ job: Job; set: (label: ChangeLabel, part: Partial<ProgrammeChoice>) => readonly Issue[] }>();
const jobs = useJobStore();

const startDay = computed(() => (props.job.programme?.startDay ? new Date(`${props.job.programme.startDay}T00:00:00`) : null));
const startTrouble = ref<string | null>(null);
function setStart(date: unknown): void {
  if (!(date instanceof Date)) return;
  startTrouble.value = firstDayTrouble(date, new Date());
  if (startTrouble.value === null) props.set('firstDay', { startDay: isoOf(date) });
}
const WEEKS = [
  { value: '0,6', label: 'Mon to Fri' },
  { value: '0', label: 'Mon to Sat' },
  { value: '', label: 'Every day' },
] as const;
const week = computed(() => (props.job.programme?.daysOff ?? WEEKEND).join());
const weekTrouble = ref<string | null>(null);
function setWeek(value: string): void {
  const [first] = props.set('daysOfWork', { daysOff: value === '' ? [] : value.split(',').map(Number) });
  weekTrouble.value = first ? describeIssue(first) : null;
}
const setLabour = useLabour();
const setClimate = (part: { temperatureC?: number; humidityPercent?: number }) =>
  jobs.change('climateOnSite', (draft) => {
    draft.mixing = { ...draft.mixing, ...part };
  });
</script>

<template>
  <div class="times">
    <div class="field day">
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
    <ClockField
      label="Begins at"
      :value="job.programme?.startHour ?? USUAL_START"
      :commit="(startHour) => set('beginOfWork', { startHour })"
    />
    <NumberField
      label="Hours a day"
      unit="h"
      :value="job.labour?.hoursPerDay ?? HOURS_PER_DAY"
      :commit="(hoursPerDay) => setLabour('hoursADay', { hoursPerDay })"
    />
    <NumberField label="Helpers" :value="job.labour?.helpers ?? 0" :commit="(helpers) => setLabour('helpers', { helpers })" />
    <div class="field week">
      <SwitchField label="Work is done" :value="week" :options="WEEKS" @choose="setWeek" />
      <TroubleNote :why="weekTrouble" />
    </div>
    <NumberField label="It is" unit="°C" :value="job.mixing?.temperatureC ?? 20" :commit="(temperatureC) => setClimate({ temperatureC })" />
    <NumberField
      label="Damp in the air"
      unit="%"
      :value="job.mixing?.humidityPercent ?? 50"
      :commit="(humidityPercent) => setClimate({ humidityPercent })"
    />
  </div>
</template>

<style scoped>
.times {
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem;
  align-items: flex-start;
}
.times > * {
  flex: 1 1 7rem;
  min-width: 0;
}
.field {
  display: grid;
  gap: 0.2rem;
}
.times > .day {
  flex-basis: 10rem;
}
.times > .week {
  flex: 2 1 17rem;
}
</style>
