<script setup lang="ts">
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhPlus, PhTrash } from '@phosphor-icons/vue';
import type { Surface } from '@azulejo/core/job/job';
import { describeBase } from '@azulejo/core/messages/en/levels';
import { baseFigures, type BaseLine } from '@azulejo/core/surface/baseLine';
import { traceSurface } from '@azulejo/core/surface/traceSurface';
import { edgeLength } from '@azulejo/core/surface/link';
import LengthField from '../../../fields/LengthField.vue';
import { useAttempt } from '../../useAttempt.ts';
import { useEditSurface } from '../../useEditSurface.ts';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

const props = defineProps<{ surface: Surface }>();
const tape = useTape();
const edit = useEditSurface(() => props.surface.id);
const base = computed(() => props.surface.measured.base);
const figures = computed(() => (base.value ? baseFigures(base.value) : null));
const { trouble, attempt } = useAttempt(() => tape.value);

function set(label: ChangeLabel, next: BaseLine | null): void {
  const issues = edit(label, ({ measured }) => {
    measured.base = next;
  });
  attempt(issues);
}
function start(): void {
  const edge = traceSurface(props.surface.measured).sides.bottom;
  if (!edge) return;
  const lengthMm = edgeLength(props.surface.measured.shape, edge) ?? 0;
  set('readTheBase', { edge, readings: [0, Math.round(lengthMm / 2), lengthMm].map((alongMm) => ({ alongMm, downMm: 1000 })) });
}
const setReading = (k: number, key: 'alongMm' | 'downMm') => (mm: number) =>
  edit('baseReading', ({ measured }) => {
    if (measured.base) measured.base.readings[k][key] = mm;
  });
function add(): void {
  if (!base.value) return;
  const { readings } = base.value;
  const [a, b] = readings.slice(-2);
  set('addBaseReading', {
    ...base.value,
    readings: [...readings.slice(0, -1), { alongMm: Math.round((a.alongMm + b.alongMm) / 2), downMm: b.downMm }, b],
  });
}
function remove(k: number): void {
  if (base.value) set('removeBaseReading', { ...base.value, readings: base.value.readings.filter((_, m) => m !== k) });
}
</script>

<template>
  <section class="stack">
    <h3>Base line</h3>
    <template v-if="base && figures">
      <p data-testid="base-figures">{{ describeBase(figures, base, tape) }}</p>
      <div v-for="(reading, k) in base.readings" :key="k" class="reading">
        <LengthField :label="`Along, ${k + 1}`" :mm="reading.alongMm" :commit="setReading(k, 'alongMm')" />
        <LengthField
          :label="`Down to the base, ${k + 1}`"
          :mm="reading.downMm"
          :commit="setReading(k, 'downMm')"
          :measures="`base.readings.${k}.downMm`"
        />
        <Button v-if="base.readings.length > 2" text severity="secondary" :aria-label="`Remove base reading ${k + 1}`" @click="remove(k)"
          ><PhTrash :size="18"
        /></Button>
      </div>
      <div class="row">
        <Button severity="secondary" outlined @click="add"><PhPlus :size="18" />Reading</Button>
        <Button severity="danger" text @click="set('baseIsLevel', null)">It is level after all</Button>
      </div>
      <p class="soft small">The bottom pieces are cut to the base as it was read; the height of the wall holds at the first reading.</p>
    </template>
    <template v-else>
      <p class="soft small">Is what the wall stands on level? Read down to it from a level line; the bottom row is cut to what you find.</p>
      <div><Button severity="secondary" outlined @click="start">Read the base</Button></div>
    </template>
    <TroubleNote :why="trouble" />
  </section>
</template>

<style scoped>
.reading {
  display: grid;
  grid-template-columns: 1fr 1fr 2.6rem;
  gap: 0.5rem;
  align-items: end;
}
</style>
