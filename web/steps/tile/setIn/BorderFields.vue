<script setup lang="ts">
import { computed } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import type { Border } from '@azulejo/core/pattern/edging';
import type { Issue } from '@azulejo/core/result';
import { actualSize } from '@azulejo/core/tile/product';
import FieldGrid from '../../../fields/FieldGrid.vue';
import LengthField from '../../../fields/LengthField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import { useAttempt } from '../../useAttempt.ts';
import ProductPicker from '../ProductPicker.vue';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

/** A frame of tiles round a surface or an inset. */
const props = defineProps<{ job: Job; border: Border | null; commit: (border: Border | null) => readonly Issue[] }>();
const tape = useTape();
const { trouble, attempt } = useAttempt(() => tape.value);
const tiles = computed(() => props.job.products.filter(({ shape }) => shape.kind === 'rectangle'));

/** The narrowest tile makes the first border. */
function start(): Border | null {
  const narrow = (id: (typeof tiles.value)[number]): number => Math.min(actualSize(id).widthMm, actualSize(id).heightMm);
  const [first] = [...tiles.value].filter((tile) => narrow(tile) >= 40).sort((a, b) => narrow(a) - narrow(b));
  return first ? { productId: first.id, run: 'along', corners: 'mitred', fromEdgeMm: 0 } : null;
}
const change = (next: Partial<Border>) => (props.border ? props.commit({ ...props.border, ...next }) : []);
</script>

<template>
  <SwitchField
    label="Border"
    :value="border ? 'yes' : 'no'"
    :options="[
      { value: 'no', label: 'None' },
      { value: 'yes', label: 'All round' },
    ]"
    @choose="(value) => attempt(commit(value === 'yes' ? start() : null))"
  />
  <template v-if="border">
    <ProductPicker
      label="Tile of the border"
      :products="tiles"
      :chosen="border.productId"
      @choose="(productId) => attempt(change({ productId }))"
    />
    <SwitchField
      label="Its tiles lie"
      :value="border.run"
      :options="[
        { value: 'along', label: 'Along the edge' },
        { value: 'soldier', label: 'As soldiers' },
      ]"
      @choose="(run) => attempt(change({ run }))"
    />
    <FieldGrid>
      <SwitchField
        label="Corners"
        :value="border.corners"
        :options="[
          { value: 'mitred', label: 'Mitred' },
          { value: 'butted', label: 'Butted' },
        ]"
        @choose="(corners) => attempt(change({ corners }))"
      />
      <LengthField label="From the edge" :mm="border.fromEdgeMm" :commit="(fromEdgeMm) => change({ fromEdgeMm })" />
    </FieldGrid>
  </template>
  <TroubleNote :why="trouble" />
</template>
