<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhTrash } from '@phosphor-icons/vue';
import type { Job } from '@azulejo/core/job/job';
import type { Band } from '@azulejo/core/pattern/edging';
import type { Issue } from '@azulejo/core/result';
import FieldGrid from '../../../fields/FieldGrid.vue';
import LengthField from '../../../fields/LengthField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import { useAttempt } from '../../useAttempt.ts';
import ProductPicker from '../ProductPicker.vue';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

/** A row of other tiles let in between two courses. */
const props = defineProps<{ job: Job; band: Band; commit: (band: Band) => readonly Issue[] }>();
const tape = useTape();
const emit = defineEmits<{ remove: [] }>();
const { trouble, attempt } = useAttempt(() => tape.value);
const tiles = computed(() => props.job.products.filter(({ shape }) => shape.kind === 'rectangle'));
const change = (next: Partial<Band>) => props.commit({ ...props.band, ...next });
</script>

<template>
  <div class="stack band">
    <ProductPicker
      label="Tile of the band"
      :products="tiles"
      :chosen="band.productId"
      @choose="(productId) => attempt(change({ productId }))"
    />
    <FieldGrid>
      <SwitchField
        label="It runs"
        :value="band.way"
        :options="[
          { value: 'level', label: 'Level' },
          { value: 'upright', label: 'Upright' },
        ]"
        @choose="(way) => attempt(change({ way }))"
      />
      <LengthField
        :label="band.way === 'level' ? 'Above the bottom, near' : 'From the left, near'"
        :mm="band.atMm"
        :commit="(atMm) => change({ atMm })"
      />
    </FieldGrid>
    <FieldGrid>
      <SwitchField
        label="Its tiles lie"
        :value="band.run"
        :options="[
          { value: 'along', label: 'Along' },
          { value: 'soldier', label: 'Soldiers' },
        ]"
        @choose="(run) => attempt(change({ run }))"
      />
      <Button severity="danger" text class="remove" @click="emit('remove')"><PhTrash :size="18" />Remove</Button>
    </FieldGrid>
    <TroubleNote :why="trouble" />
  </div>
</template>

<style scoped>
.band {
  border-top: 1px solid var(--line);
  padding: 0.8rem 0;
}
.remove {
  align-self: end;
}
</style>
