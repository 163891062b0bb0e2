<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { PhArrowCounterClockwise } from '@phosphor-icons/vue';
import type { Job } from '@azulejo/core/job/job';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import type { ProgrammeChoice } from '@azulejo/core/programme/programmeChoice';
import { sayOfDay, setWorked, type DayMeant } from '@azulejo/core/programme/setWorkday';
import { USUAL_START } from '@azulejo/core/programme/calendarOf';
import type { WorkdayChoice } from '@azulejo/core/programme/workday';
import type { Issue } from '@azulejo/core/result';
import ClockField from '../../fields/ClockField.vue';
import NumberField from '../../fields/NumberField.vue';
import TroubleNote from '../../fields/TroubleNote.vue';
import YesNoField from '../../fields/YesNoField.vue';
import { dayShown, likeOthers, weekShown } from './whoModel.ts';

/** Who works on which day from when to when: the week, and one day of it, or one date, opened to change it. */
const props = defineProps<{ job: Job; set: (part: Partial<ProgrammeChoice>) => readonly Issue[] }>();
const open = defineModel<DayMeant | null>({ required: true });

const week = computed(() => weekShown(props.job));
const one = computed(() => (open.value === null ? null : dayShown(props.job, open.value)));
const programme = computed(() => props.job.programme ?? {});
const trouble = ref<string | null>(null);
const say = (part: WorkdayChoice) => (open.value === null ? [] : props.set(sayOfDay(programme.value, open.value, part)));
function told(part: Partial<ProgrammeChoice>): void {
  const [first] = props.set(part);
  trouble.value = first ? describeIssue(first) : null;
}
function work(isWorked: boolean): void {
  if (open.value !== null) told(setWorked(programme.value, open.value, isWorked, programme.value.startHour ?? USUAL_START));
}
function choose(day: DayMeant): void {
  [open.value, trouble.value] = [open.value === day ? null : day, null];
}
</script>

<template>
  <section class="who stack" aria-label="Who is there">
    <div class="week">
      <button
        v-for="{ day, name, hours, hands, workday } in week"
        :key="day"
        type="button"
        class="plain day"
        :class="{ off: !workday }"
        :aria-pressed="open === day"
        @click="choose(day)"
      >
        <b>{{ name }}</b><span class="figure">{{ hours }}</span
        ><span>{{ hands }}</span>
      </button>
    </div>
    <div v-if="one" :key="one.day" class="one">
      <h3>{{ one.day.length > 1 ? one.name : `Every ${one.name}` }}</h3>
      <div class="fields">
        <YesNoField label="There is work" :value="one.workday !== null" @choose="work" />
        <template v-if="one.workday">
          <ClockField label="From" :value="one.workday.from" :commit="(from) => say({ from })" />
          <ClockField label="To" :value="one.workday.to" :commit="(to) => say({ to })" />
          <NumberField label="Helpers" :value="one.workday.helpers" :commit="(helpers) => say({ helpers })" />
          <template v-if="one.workday.helpers > 0">
            <ClockField label="They come at" :value="one.workday.helpersFrom" :commit="(helpersFrom) => say({ helpersFrom })" />
            <ClockField label="They leave at" :value="one.workday.helpersTo" :commit="(helpersTo) => say({ helpersTo })" />
          </template>
        </template>
      </div>
      <TroubleNote :why="trouble" />
      <Button v-if="one.isOwn" text severity="secondary" @click="told(sayOfDay(programme, one.day, null))"
        ><PhArrowCounterClockwise :size="17" />As on {{ likeOthers(one.day) }}</Button
      >
    </div>
  </section>
</template>

<style scoped>
.week {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(8rem, 1fr));
  gap: 2px;
}
.day {
  display: grid;
  gap: 0.1rem;
  text-align: left;
  padding: 0.5rem 0.7rem;
  background: var(--panel);
  border-bottom: 3px solid transparent;
  font-size: 0.93rem;
  align-content: start;
}
.day[aria-pressed='true'] {
  border-bottom-color: var(--chalk);
}
.day.off {
  background: none;
  color: var(--ink-soft);
}
.one {
  background: var(--panel);
  border-radius: 4px;
  padding: 0.9rem 1.1rem;
  display: grid;
  gap: 0.6rem;
  justify-items: start;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 9rem), 1fr));
  gap: 0.8rem;
  align-items: start;
  width: 100%;
}
@media (pointer: coarse) {
  .day {
    min-height: 44px;
  }
}
</style>
