<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import { checksDue, zonesLaid } from '@azulejo/core/site/checksDue';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import NumberField from '../../fields/NumberField.vue';
import { useLogStore } from '../../stores/logStore.ts';
import { useTickStore } from '../../stores/tickStore.ts';
import { words } from '../../words/useWords.ts';

/** The check that is due by what is laid: how it is made, and its reading, kept in the log. */
const props = defineProps<{ surface: Surface; plan: SurfacePlan }>();
const log = useLogStore();
const ticks = useTickStore();
const laid = computed(() => zonesLaid(props.plan.zones.zones, (label) => ticks.stateOf(props.surface.id, label) === 'laid'));
const putOff = ref<readonly string[]>([]);
const due = computed(() => checksDue(props.surface, laid.value, log.entries).filter((check) => !putOff.value.includes(check)));
const check = computed(() => due.value[0] ?? null);
/** What the first square should measure across. */
const square = computed(() => (check.value === 'diagonal' ? props.plan.struck.square : null));
const wanted = computed(() => square.value?.acrossMm ?? null);
const mm = (length: number): number => Math.round(length * 2) / 2;
/** In millimetres, as the reading is asked for. */
const show = (length: number): string => `${words.value.figure(mm(length))} mm`;

const read = ref(0);
const fill = (value: number): [] => {
  read.value = value;
  return [];
};
function keep(): void {
  const value = read.value;
  read.value = 0;
  if (check.value)
    void log.write(
      { kind: 'reading', check: check.value, value, wanted: wanted.value === null ? null : mm(wanted.value), text: '' },
      { surfaceId: props.surface.id },
    );
}
const later = (): void => {
  if (check.value) putOff.value = [...putOff.value, check.value];
};
</script>

<template>
  <section v-if="check" class="check" aria-live="polite">
    <b>{{ words.CHECK_HOW[check] }}</b>
    <span v-if="square">
      {{ words.say('site/squareCheck', { first: show(square.firstMm), second: show(square.secondMm), across: show(square.acrossMm) }) }}
    </span>
    <div class="row">
      <NumberField :key="`${check} ${log.entries.length}`" :label="words.CHECK_NAMES[check]" :value="read" :commit="fill" />
      <button type="button" class="press" @click="keep">{{ words.say('site/keep') }}</button>
      <button type="button" class="press" @click="later">{{ words.say('site/later') }}</button>
    </div>
  </section>
</template>

<style scoped>
.check {
  border: 3px solid currentColor;
  border-radius: 6px;
  padding: 0.7rem 0.8rem;
  display: grid;
  gap: 0.4rem;
  font-size: 1.05rem;
}
.row > :first-child {
  flex: 1;
  min-width: 0;
}
.check :deep(label) {
  color: inherit;
}
.row {
  display: flex;
  flex-wrap: nowrap;
  gap: 0.6rem;
  align-items: end;
}
.press {
  font: 600 1.05rem 'Barlow';
  min-height: 46px;
  padding: 0 1rem;
  border-radius: 6px;
  border: 2px solid currentColor;
  background: transparent;
  color: inherit;
  cursor: pointer;
}
</style>
