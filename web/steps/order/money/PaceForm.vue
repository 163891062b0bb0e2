<script setup lang="ts">
import { changeLabel } from '@azulejo/core/job/edit/changeLabel';
import { computed } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import type { TaskId } from '@azulejo/core/labour/tasks';
import { HOURS_PER_DAY, hoursOf, paceInForce } from '@azulejo/core/labour/workHours';
import { speakerName } from '@azulejo/core/messages/en/materialFigures';
import { hoursWords, paceUnit, TASK_NAMES } from '@azulejo/core/messages/en/money';
import type { Money } from '@azulejo/core/money/planMoney';
import NumberField from '../../../fields/NumberField.vue';
import { useLabour } from '../../useLabour.ts';

/** How fast each kind of work goes, and what it comes to. */
const props = defineProps<{ job: Job; money: Money }>();
const set = useLabour();
const tasks = computed(() => {
  const ids = [...new Set(props.money.work.map(({ task }) => task))];
  return ids.map((task) => ({ task, hours: hoursWords(hoursOf(props.money.work, task)), ...paceInForce(props.job, task) }));
});
const setPace = (task: TaskId) => (pace: number) => set(changeLabel('pace', task), { paces: { ...props.job.labour?.paces, [task]: pace } });
</script>

<template>
  <section class="stack">
    <h2>How fast it goes</h2>
    <p class="small soft">Paces of one pair of hands; pattern, size and walls slow a surface down from there.</p>
    <div class="paces">
      <NumberField
        label="Hours a day"
        unit="h"
        :value="job.labour?.hoursPerDay ?? HOURS_PER_DAY"
        :commit="(hoursPerDay) => set('hoursADay', { hoursPerDay })"
      />
      <NumberField label="Helpers" unit="" :value="job.labour?.helpers ?? 0" :commit="(helpers) => set('helpers', { helpers })" />
      <NumberField
        v-for="{ task, hours, from, pace } in tasks"
        :key="task"
        :label="`${TASK_NAMES[task]}, ${hours} (${speakerName(from)})`"
        :unit="paceUnit(task)"
        :value="pace"
        :commit="setPace(task)"
      />
    </div>
  </section>
</template>

<style scoped>
.paces {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 16rem), 1fr));
  gap: 0.7rem;
  align-items: end;
}
</style>
