<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import { measurementTitle } from '@azulejo/core/messages/en/measurements';
import { measurementsOf, setLengthAt } from '@azulejo/core/surface/measurements';
import LengthField from '../../fields/LengthField.vue';
import { useEditSurface } from '../useEditSurface.ts';

/** What is still to be measured since the surface was copied, and nothing else. */
const props = defineProps<{ surface: Surface }>();
const edit = useEditSurface(() => props.surface.id);
const open = computed(() => {
  const again = new Set(props.surface.measured.again);
  return measurementsOf(props.surface.measured).filter(({ key }) => again.has(key));
});
const set = (key: string) => (mm: number) =>
  edit('measuredAgain', ({ measured }) => {
    setLengthAt(measured, key, mm);
  });
function same(keys: readonly string[]): void {
  edit('stillTheSame', ({ measured }) => {
    measured.again = measured.again.filter((key) => !keys.includes(key));
  });
}
</script>

<template>
  <section v-if="open.length > 0" class="stack again" data-field="measured.again">
    <h3>Still to measure here: {{ open.length }}</h3>
    <div v-for="measurement in open" :key="measurement.key" class="one">
      <LengthField
        :label="measurementTitle(measurement, surface.measured)"
        :mm="measurement.mm"
        :commit="set(measurement.key)"
        :measures="measurement.key"
      />
      <Button
        severity="secondary"
        outlined
        size="small"
        :aria-label="`${measurementTitle(measurement, surface.measured)} is the same`"
        @click="same([measurement.key])"
        >Same</Button
      >
    </div>
    <div><Button severity="secondary" text size="small" @click="same(open.map(({ key }) => key))">All are the same</Button></div>
  </section>
</template>

<style scoped>
.again {
  background: var(--warn-soft);
  border-radius: 4px;
  padding: 0.8rem;
}
.one {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0.6rem;
  align-items: end;
}
</style>
