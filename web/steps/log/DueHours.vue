<script setup lang="ts">
import Button from 'primevue/button';
import { computed, reactive } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import type { Plan } from '@azulejo/core/plan';
import NumberField from '../../fields/NumberField.vue';
import TextField from '../../fields/TextField.vue';
import TroubleNote from '../../fields/TroubleNote.vue';
import { useLogStore } from '../../stores/logStore.ts';
import { useTickStore } from '../../stores/tickStore.ts';
import { dueHours, type DueShown } from './closingModel.ts';
import { readHours } from './model.ts';
import { useWho } from './useWho.ts';

/** Hours of what was ticked since they were last written down: the plan's figure stands there, and gives way to the real one. */
const props = defineProps<{ job: Job; plan: Plan }>();
const log = useLogStore();
const ticks = useTickStore();
const { who, setWho } = useWho();
const due = computed(() => dueHours(props.job, props.plan, log.entries, ticks.stateOf));
/** What was typed over, and what is wrong with it, by line. */
const typed = reactive<Record<string, number>>({});
const trouble = reactive<Record<string, string | undefined>>({});
const hoursOf = ({ key, hours }: DueShown): number => typed[key] ?? hours;
function keep(one: DueShown): void {
  const read = readHours(one.task, hoursOf(one), one.upTo);
  trouble[one.key] = read.ok ? undefined : read.why;
  if (read.ok) void log.write(read.data, { surfaceId: one.surfaceId, by: who.value });
}
const type = (key: string) => (hours: number) => {
  typed[key] = hours;
  return [];
};
</script>

<template>
  <section v-if="due.length > 0" class="due stack no-print" aria-labelledby="due-hours">
    <h2 id="due-hours">Hours not written down yet</h2>
    <p class="small soft">
      By what was ticked since. The figure is the plan’s: put what it really took, that is what the next job learns from.
    </p>
    <ul>
      <li v-for="one in due" :key="one.key">
        <span class="grow">{{ one.words }}</span>
        <NumberField label="It took" unit="h" :value="hoursOf(one)" :commit="type(one.key)" />
        <Button label="Write down" :aria-label="`Write down: ${one.words}`" @click="keep(one)" />
        <TroubleNote :why="trouble[one.key] ?? null" />
      </li>
    </ul>
    <TextField class="who" label="Worked by" :value="who" :longest="60" :commit="setWho" />
  </section>
</template>

<style scoped>
.due {
  background: var(--panel);
  border-radius: 4px;
  padding: 1rem 1.2rem;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 0.8rem;
  align-items: end;
  border-top: 1px solid var(--line);
  padding: 0.5rem 0;
}
li > .grow {
  flex: 1 1 14rem;
  align-self: center;
}
li > :deep(.field) {
  flex: 0 1 8rem;
}
.who {
  max-width: 16rem;
}
</style>
