<script setup lang="ts">
import { computed } from 'vue';
import type { Job } from '@azulejo/core/job';
import { METRIC_TAPE } from '@azulejo/core/units/tape';
import LengthField from '../../fields/LengthField.vue';
import NumberField from '../../fields/NumberField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { useJobStore } from '../../stores/jobStore.ts';

const props = defineProps<{ job: Job }>();
const jobs = useJobStore();
const use = computed(() => props.job.consumption);
const prices = computed(() => props.job.prices);
const notches = [{ value: 0, label: 'By tile' }, ...[6, 8, 10, 12].map((mm) => ({ value: mm, label: `${mm}` }))];

const set = (label: string, recipe: (job: Job) => void) => jobs.change(label, recipe);
const setNotch = (mm: number): void => {
  set('Trowel notch', ({ consumption }) => {
    consumption.trowelNotchMm = mm === 0 ? null : (mm as 6 | 8 | 10 | 12);
  });
};
</script>

<template>
  <section class="figures">
    <h2>Figures behind it</h2>
    <SwitchField
      label="Off-cuts"
      :value="use.offCutsKept ? 'kept' : 'thrown'"
      :options="[
        { value: 'kept', label: 'Used again' },
        { value: 'thrown', label: 'Not used' },
      ]"
      @choose="
        (value) =>
          set('Off-cuts', ({ consumption }) => {
            consumption.offCutsKept = value === 'kept';
          })
      "
    />
    <div class="two">
      <LengthField
        label="Saw kerf"
        :mm="use.kerfMm"
        :tape="METRIC_TAPE"
        :commit="
          (mm) =>
            set('Kerf', ({ consumption }) => {
              consumption.kerfMm = mm;
            })
        "
      />
      <NumberField
        label="Spares for the client"
        unit="pcs"
        :value="use.sparePieces"
        :commit="
          (n) =>
            set('Spares', ({ consumption }) => {
              consumption.sparePieces = n;
            })
        "
      />
      <NumberField
        label="Straight cuts that break"
        unit="%"
        :value="use.breakagePercent.straight"
        :commit="
          (n) =>
            set('Breakage', ({ consumption }) => {
              consumption.breakagePercent.straight = n;
            })
        "
      />
      <NumberField
        label="Shaped cuts that break"
        unit="%"
        :value="use.breakagePercent.shaped"
        :commit="
          (n) =>
            set('Breakage', ({ consumption }) => {
              consumption.breakagePercent.shaped = n;
            })
        "
      />
    </div>
    <SwitchField label="Trowel notch, mm" :value="use.trowelNotchMm ?? 0" :options="notches" @choose="setNotch" />
    <SwitchField
      label="Backs of the tiles"
      :value="use.backButtered ? 'yes' : 'no'"
      :options="[
        { value: 'no', label: 'Left dry' },
        { value: 'yes', label: 'Buttered' },
      ]"
      @choose="
        (value) =>
          set('Back-buttering', ({ consumption }) => {
            consumption.backButtered = value === 'yes';
          })
      "
    />
    <h3>Packs and prices</h3>
    <div class="two">
      <NumberField
        label="Adhesive, a bag"
        unit="kg"
        :value="prices.adhesive.bagKg"
        :commit="
          (n) =>
            set('Adhesive bag', (j) => {
              j.prices.adhesive.bagKg = n;
            })
        "
      />
      <NumberField
        label="costs"
        :decimals="2"
        :unit="job.currency"
        :value="prices.adhesive.price"
        :commit="
          (n) =>
            set('Adhesive price', (j) => {
              j.prices.adhesive.price = n;
            })
        "
      />
      <NumberField
        label="Grout, a bag"
        unit="kg"
        :value="prices.grout.bagKg"
        :commit="
          (n) =>
            set('Grout bag', (j) => {
              j.prices.grout.bagKg = n;
            })
        "
      />
      <NumberField
        label="costs"
        :decimals="2"
        :unit="job.currency"
        :value="prices.grout.price"
        :commit="
          (n) =>
            set('Grout price', (j) => {
              j.prices.grout.price = n;
            })
        "
      />
      <NumberField
        label="Sealant, a cartridge"
        unit="ml"
        :value="prices.sealant.cartridgeMl"
        :commit="
          (n) =>
            set('Cartridge', (j) => {
              j.prices.sealant.cartridgeMl = n;
            })
        "
      />
      <NumberField
        label="costs"
        :decimals="2"
        :unit="job.currency"
        :value="prices.sealant.price"
        :commit="
          (n) =>
            set('Sealant price', (j) => {
              j.prices.sealant.price = n;
            })
        "
      />
    </div>
    <p class="small soft">Prices of tiles stand with each tile.</p>
  </section>
</template>

<style scoped>
.figures {
  background: var(--panel);
  display: grid;
  gap: 1rem;
  align-self: stretch;
  align-content: start;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.7rem;
}
</style>
