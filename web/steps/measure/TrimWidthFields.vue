<script setup lang="ts">
import { computed } from 'vue';
import { trimFigure } from '@azulejo/core/job/standOffs';
import { saidFor } from '@azulejo/core/takeoff/registry';
import type { Trim } from '@azulejo/core/takeoff/works/trims';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import { useJobStore } from '../../stores/jobStore.ts';
import { useMaterial } from '../order/useMaterial.ts';

/** How wide trims are that the field begins beside, on all surfaces of the job. */
const props = defineProps<{ trims: readonly Trim[] }>();
const jobs = useJobStore();
const LABELS: Partial<Record<Trim, string>> = { bullnose: 'Bullnose, wide', profile: 'Face of the profile' };
const own = { bullnose: useMaterial(() => 'bullnose'), edgeProfile: useMaterial(() => 'edgeProfile') };
const widths = computed(() =>
  props.trims.flatMap((trim) => {
    const figure = trimFigure(trim);
    if (!jobs.job || !figure) return [];
    return [
      {
        ...figure,
        label: LABELS[trim] ?? trim,
        mm: saidFor(figure.item, jobs.job).figures[figure.name].value,
        commit: own[figure.item].setFigure(figure.name),
      },
    ];
  }),
);
</script>

<template>
  <FieldGrid v-if="widths.length > 0">
    <LengthField
      v-for="{ item, name, label, mm, commit } in widths"
      :key="name"
      :data-field="`materials.${item}.figures.${name}`"
      :label="label"
      :mm="mm"
      :commit="commit"
    />
  </FieldGrid>
</template>
