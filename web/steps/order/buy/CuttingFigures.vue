<script setup lang="ts">
import type { ChangeCode, ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import { computed } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import { provideTape } from '../../../fields/useTape.ts';
import { METRIC_TAPE } from '@azulejo/core/units/tape';
import { CORE_BITS_MM } from '@azulejo/core/cuts/cutKind';
import { parseLength } from '@azulejo/core/units/parseLength';
import TextField from '../../../fields/TextField.vue';
import LengthField from '../../../fields/LengthField.vue';
import NumberField from '../../../fields/NumberField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import { useJobStore } from '../../../stores/jobStore.ts';

const props = defineProps<{ job: Job }>();
// Blades are sold by the millimetre everywhere.
provideTape(() => METRIC_TAPE);
const jobs = useJobStore();
const use = computed(() => props.job.consumption);

/** A figure that can be typed over: its name, and where it stands in the job. */
interface Figure {
  readonly label: string;
  readonly code: ChangeCode;
  readonly unit: string;
  readonly decimals?: number;
  readonly read: (job: Job) => number;
  readonly write: (job: Job, value: number) => void;
}

const cutting: readonly Figure[] = [
  {
    label: 'Spares for the client',
    code: 'spares',
    unit: 'pcs',
    read: (j) => j.consumption.sparePieces,
    write: (j, n) => (j.consumption.sparePieces = n),
  },
  {
    label: 'Straight cuts that break',
    code: 'straightCutsThatBreak',
    unit: '%',
    read: (j) => j.consumption.breakagePercent.straight,
    write: (j, n) => (j.consumption.breakagePercent.straight = n),
  },
  {
    label: 'Shaped cuts that break',
    code: 'shapedCutsThatBreak',
    unit: '%',
    read: (j) => j.consumption.breakagePercent.shaped,
    write: (j, n) => (j.consumption.breakagePercent.shaped = n),
  },
];
const setFigure = (figure: Figure) => (value: number) =>
  jobs.change(figure.code, (draft) => {
    figure.write(draft, value);
  });
const setKerf = (mm: number) =>
  jobs.change('kerf', (draft) => {
    draft.consumption.kerfMm = mm;
  });
const setUse = (label: ChangeLabel, part: Partial<Job['consumption']>) =>
  jobs.change(label, (draft) => {
    Object.assign(draft.consumption, part);
  });
const bits = computed(() => (use.value.coreBitsMm ?? CORE_BITS_MM).join(', '));
/** Takes a list of bits, or tells what it can't read. */
function setBits(text: string): string | null {
  const read = text.split(/[;,]\s*|\s+/).filter((part) => part !== '');
  const lengths = read.map((part) => parseLength(part));
  const wrong = read.find((_, k) => !lengths[k].ok);
  if (wrong !== undefined) return `"${wrong}" is no size of a bit. Write them like 28, 35, 68.`;
  const sizes = [...new Set(lengths.flatMap((one) => (one.ok ? [one.value] : [])))].sort((a, b) => a - b);
  const isUsual = sizes.length === 0 || sizes.join() === CORE_BITS_MM.join();
  const issues = jobs.change('coreBits', (draft) => {
    if (isUsual) delete draft.consumption.coreBitsMm;
    else draft.consumption.coreBitsMm = sizes;
  });
  return issues.length > 0 ? 'Bits are between 1 mm and 50 m, at most 80 of them.' : null;
}
</script>

<template>
  <section class="figures">
    <h3>Cutting</h3>
    <SwitchField
      label="Off-cuts"
      :value="use.offCutsKept ? 'kept' : 'thrown'"
      :options="[
        { value: 'kept', label: 'Used again' },
        { value: 'thrown', label: 'Not used' },
      ]"
      @choose="setUse('offCuts', { offCutsKept: $event === 'kept' })"
    />
    <div class="two">
      <LengthField label="Saw kerf" :mm="use.kerfMm" :commit="setKerf" />
      <NumberField
        v-for="figure in cutting"
        :key="figure.label"
        :label="figure.label"
        :unit="figure.unit"
        :value="figure.read(job)"
        :commit="setFigure(figure)"
      />
    </div>
    <TextField label="Core bits at hand, mm" :value="bits" :longest="400" placeholder="28, 35, 68" :commit="setBits" />
    <p class="small soft">A hole takes the smallest that clears it; without one it is sawn or ground. Empty the list for the usual bits.</p>
  </section>
</template>

<style scoped>
.figures {
  display: grid;
  gap: 1rem;
  max-width: 44rem;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.7rem;
  align-items: start;
}
</style>
