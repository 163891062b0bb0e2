<script setup lang="ts">
import { computed } from 'vue';
import { changeLabel } from '@azulejo/core/job/edit/changeLabel';
import { trimFigure } from '@azulejo/core/job/standOffs';
import { saidFor } from '@azulejo/core/takeoff/registry';
import type { Trim } from '@azulejo/core/takeoff/works/trims';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import { useJobStore } from '../../stores/jobStore.ts';

/** How wide trims are that the field begins beside, on all surfaces of the job. */
const props = defineProps<{ trims: readonly Trim[] }>();
const jobs = useJobStore();
const LABELS: Partial<Record<Trim, string>> = { bullnose: 'Bullnose, wide', profile: 'Face of the profile' };
const widths = computed(() =>
  props.trims.flatMap((trim) => {
    const figure = trimFigure(trim);
    if (!jobs.job || !figure) return [];
    return [{ ...figure, label: LABELS[trim] ?? trim, mm: saidFor(figure.item, jobs.job).figures[figure.name].value }];
  }),
);
const setWidth = (item: 'bullnose' | 'edgeProfile', name: string) => (mm: number) =>
  jobs.change(changeLabel('materialFigure', name), ({ materials }) => {
    const own = (materials[item] ??= {});
    if (own.sheet) own.sheet.figures[name] = mm;
    else own.figures = { ...own.figures, [name]: mm };
  });
</script>

<template>
  <FieldGrid v-if="widths.length > 0">
    <LengthField
      v-for="{ item, name, label, mm } in widths"
      :key="name"
      :data-field="`materials.${item}.figures.${name}`"
      :label="label"
      :mm="mm"
      :commit="setWidth(item, name)"
    />
  </FieldGrid>
</template>
