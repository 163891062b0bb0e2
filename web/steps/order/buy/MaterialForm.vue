<script setup lang="ts">
import { changeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhArrowCounterClockwise } from '@phosphor-icons/vue';
import type { Job } from '@azulejo/core/job/job';
import { CHOICES, figureName, figureUnit, speakerName } from '@azulejo/core/messages/en/materialFigures';
import { itemName, UNIT_NAMES } from '@azulejo/core/messages/en/materialNames';
import type { MaterialUnit } from '@azulejo/core/takeoff/materialKind';
import { MATERIALS, saidFor, type MaterialId } from '@azulejo/core/takeoff/registry';
import NumberField from '../../../fields/NumberField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import TextField from '../../../fields/TextField.vue';
import { useMaterial } from '../useMaterial.ts';
import { useHabits } from '../useHabits.ts';
import PackList from './PackList.vue';

/** What one material goes by: figures with who said them, choices, packs, what is there already. */
const props = defineProps<{ job: Job; item: MaterialId; unit: MaterialUnit }>();
const { set, setFigure } = useMaterial(() => props.item);
const habits = useHabits();
const kind = computed(() => MATERIALS[props.item]);
const own = computed(() => props.job.materials[props.item]);
const said = computed(() => saidFor(props.item, props.job));

const figures = computed(() => [
  ...Object.keys(kind.value.figures).map((name) => ({ name, spoken: said.value.figures[name] })),
  ...Object.keys(kind.value.stated).flatMap((name) => {
    const spoken = said.value.stated[name];
    return spoken ? [{ name, spoken }] : [];
  }),
]);
/** Figures that can be stated and are not yet. */
const unsaid = computed(() => Object.entries(kind.value.stated).filter(([name]) => !said.value.stated[name]));
const choices = computed(() =>
  Object.entries(kind.value.choices).map(([name, values]) => ({
    name,
    label: CHOICES[name]?.label ?? name,
    value: said.value.choices[name],
    options: values.map((value) => ({ value, label: CHOICES[name]?.values[value] ?? String(value) })),
  })),
);
const changed = computed(() => figures.value.some(({ spoken }) => spoken.from === 'job'));

const dropFigure = (name: string) =>
  set(changeLabel('materialFigureAsUsual', name), (draft) => {
    if (draft.figures) Reflect.deleteProperty(draft.figures, name);
    if (draft.sheet) Reflect.deleteProperty(draft.sheet.figures, name);
  });
const choose = (name: string, value: string | number) =>
  set(changeLabel('materialChoice', name), (draft) => {
    draft.choices = { ...draft.choices, [name]: value };
    if (value === kind.value.choices[name][0]) Reflect.deleteProperty(draft.choices, name);
  });
function nameSheet(text: string): string | null {
  set('dataSheet', (draft) => {
    if (text === '') {
      const said = draft.sheet?.figures ?? {};
      delete draft.sheet;
      if (Object.keys(said).length > 0) draft.figures = { ...draft.figures, ...said };
    } else draft.sheet = { name: text, figures: draft.sheet?.figures ?? {} };
  });
  return null;
}
const setInHand = (amount: number) =>
  set('whatIsThere', (draft) => {
    if (amount === 0) delete draft.inHand;
    else draft.inHand = amount;
  });
const keepAsOwn = () =>
  habits.keep(
    props.item,
    Object.fromEntries(figures.value.filter(({ spoken }) => spoken.from === 'job').map(({ name, spoken }) => [name, spoken.value])),
  );
</script>

<template>
  <div class="form">
    <TextField
      label="What is bought, with the figures of its data sheet"
      :value="own?.sheet?.name ?? ''"
      :longest="60"
      :placeholder="`Name on the ${itemName(item).toLowerCase()}`"
      :commit="nameSheet"
    />
    <SwitchField
      v-for="choice in choices"
      :key="choice.name"
      :label="choice.label"
      :value="choice.value"
      :options="choice.options"
      @choose="choose(choice.name, $event)"
    />
    <div class="figures">
      <div v-for="{ name, spoken } in figures" :key="name" class="figure-row">
        <NumberField
          :label="`${figureName(name)} (${speakerName(spoken.from)})`"
          :unit="figureUnit(name)"
          :value="spoken.value"
          :commit="setFigure(name)"
        />
        <Button
          v-if="spoken.from === 'job' || spoken.from === 'sheet'"
          text
          severity="secondary"
          :aria-label="`${figureName(name)} as usual again`"
          @click="dropFigure(name)"
          ><PhArrowCounterClockwise :size="18"
        /></Button>
      </div>
      <NumberField v-if="unit !== 'piece'" label="There already" :unit="UNIT_NAMES[unit]" :value="own?.inHand ?? 0" :commit="setInHand" />
    </div>
    <div v-if="unsaid.length > 0" class="row">
      <Button v-for="[name, { min }] in unsaid" :key="name" text severity="secondary" @click="setFigure(name)(Math.max(1, min))"
        >State: {{ figureName(name).toLowerCase() }}</Button
      >
    </div>
    <div v-if="changed" class="row">
      <Button text severity="secondary" @click="keepAsOwn">Use these figures for my next jobs</Button>
      <span v-if="habits.keptFor.value === item" class="small soft" role="status">Kept. New jobs begin with them.</span>
    </div>
    <PackList :job="job" :item="item" :unit="unit" />
  </div>
</template>

<style scoped>
.form {
  display: grid;
  gap: 0.9rem;
  max-width: 44rem;
}
.figures {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 15rem), 1fr));
  gap: 0.8rem;
  align-items: end;
}
.figure-row {
  display: flex;
  align-items: end;
  gap: 0.2rem;
}
.figure-row > :first-child {
  flex: 1;
}
</style>
