<script setup lang="ts">
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhPlus, PhTrash } from '@phosphor-icons/vue';
import type { Surface } from '@azulejo/core/job/job';
import { describeLevels } from '@azulejo/core/messages/en/levels';
import { SAFETY } from '@azulejo/core/messages/en/safety';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import type { Levels } from '@azulejo/core/surface/levels/levels';
import type { Product } from '@azulejo/core/tile/product';
import { formatLength } from '@azulejo/core/units/formatLength';
import LengthField from '../../../fields/LengthField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import TextField from '../../../fields/TextField.vue';
import FieldGrid from '../../../fields/FieldGrid.vue';
import { useEditSurface } from '../../useEditSurface.ts';
import { nextReading, startReadings } from '../model.ts';
import BaseForm from './BaseForm.vue';
import BuildUpForm from './BuildUpForm.vue';
import { useTape } from '../../../fields/useTape.ts';

const props = defineProps<{ surface: Surface; product: Product; plan: SurfacePlan | null }>();
const tape = useTape();
const edit = useEditSurface(() => props.surface.id);
const levels = computed(() => props.surface.measured.levels);
const figures = computed(() => props.plan?.levels ?? null);
const show = (mm: number): string => formatLength(mm, tape.value);

function change(label: ChangeLabel, recipe: (levels: Levels) => void) {
  return edit(label, ({ measured }) => {
    measured.levels ??= { datum: '', readings: [], fill: 'leveller', leastMm: 3 };
    recipe(measured.levels);
  });
}
const start = () => change('startLevels', ({ readings }) => void readings.push(...startReadings(props.surface.measured.shape)));
const add = () => change('addLevel', ({ readings }) => void readings.push(nextReading(readings)));
const setReading = (k: number, key: 'xMm' | 'yMm' | 'downMm') => (mm: number) =>
  change('level', (draft) => {
    draft.readings[k][key] = mm;
  });
const remove = (k: number): void => {
  change('removeLevel', (draft) => {
    draft.readings.splice(k, 1);
  });
};
const setLeast = (mm: number) =>
  change('leastThickness', (draft) => {
    draft.leastMm = mm;
  });
const padOf = (id: string): number | null => figures.value?.pads.find((pad) => pad.id === id)?.thicknessMm ?? null;
</script>

<template>
  <section class="stack" data-field="measured.levels">
    <h3>Levels</h3>
    <template v-if="!levels || levels.readings.length === 0">
      <p class="soft small">Strike a level line at a handy height and read down to the substrate at points over the surface.</p>
      <div><Button severity="secondary" outlined @click="start">Start with nine points</Button></div>
    </template>
    <template v-else>
      <div v-if="figures" class="result" data-testid="level-figures">
        <p v-for="line in describeLevels(figures, levels, tape)" :key="line">{{ line }}</p>
      </div>
      <p v-else class="soft small">Three readings are needed before they say anything.</p>
      <FieldGrid>
        <TextField
          label="The level line is"
          :value="levels.datum"
          :longest="80"
          placeholder="one metre line"
          :commit="(text) => (change('datum', (draft) => (draft.datum = text)), null)"
        />
        <LengthField label="Least thickness" :mm="levels.leastMm" :commit="setLeast" positive />
      </FieldGrid>
      <SwitchField
        label="Made level with"
        :value="levels.fill"
        :options="[
          { value: 'leveller', label: 'Leveller' },
          { value: 'bed', label: 'Bed of mortar' },
        ]"
        @choose="(fill) => change('fill', (draft) => (draft.fill = fill))"
      />
      <div class="rows" role="group" aria-label="Readings">
        <div class="reading heads soft" aria-hidden="true">
          <span /><span>Down</span><span>From left</span><span>From bottom</span><span>Pad</span>
        </div>
        <div v-for="(reading, k) in levels.readings" :key="reading.id" class="reading">
          <b class="figure id">{{ reading.id }}</b>
          <LengthField
            :label="`Down, ${reading.id}`"
            hide-label
            :mm="reading.downMm"
            :commit="setReading(k, 'downMm')"
            :measures="`levels.readings.${k}.downMm`"
          />
          <LengthField :label="`From left, ${reading.id}`" hide-label :mm="reading.xMm" :commit="setReading(k, 'xMm')" signed />
          <LengthField :label="`From bottom, ${reading.id}`" hide-label :mm="reading.yMm" :commit="setReading(k, 'yMm')" signed />
          <span class="figure pad" :title="'Pad height'">{{ padOf(reading.id) === null ? '' : show(padOf(reading.id) ?? 0) }}</span>
          <Button text severity="secondary" :aria-label="`Remove reading ${reading.id}`" @click="remove(k)"><PhTrash :size="18" /></Button>
        </div>
      </div>
      <div>
        <Button severity="secondary" outlined @click="add"><PhPlus :size="18" />Reading</Button>
      </div>
    </template>
  </section>
  <p v-if="figures" class="caution">{{ SAFETY.levelling }}</p>
  <BaseForm v-if="surface.kind === 'wall'" :surface="surface" />
  <BuildUpForm :surface="surface" :product="product" />
</template>

<style scoped>
.result {
  display: grid;
  gap: 0.35rem;
  border-left: 4px solid var(--cobalt);
  padding-left: 0.8rem;
}
.rows {
  display: grid;
  gap: 0.4rem;
}
.reading {
  display: grid;
  grid-template-columns: 2rem 1fr 1fr 1fr 2.6rem 2.2rem;
  gap: 0.35rem;
  align-items: end;
}
.heads {
  font-size: 0.82rem;
}
.reading :deep(input) {
  padding-right: 0.4rem;
  font-size: 1rem;
}
.reading :deep(.unit) {
  display: none;
}
.id,
.pad {
  padding-bottom: 0.65rem;
}
.pad {
  text-align: right;
  color: var(--cobalt);
}
.reading :deep(.p-button) {
  padding: 0.5rem 0.3rem;
}
</style>
