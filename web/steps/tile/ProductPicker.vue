<script setup lang="ts">
import Select from 'primevue/select';
import { computed, useId } from 'vue';
import type { Product } from '@azulejo/core/tile/product';
import { SHAPE_NAMES } from '@azulejo/core/messages/en/patterns';
import { sizeText } from './model.ts';
import TileSwatch from './TileSwatch.vue';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import { useTape } from '../../fields/useTape.ts';

const props = defineProps<{ label: string; products: readonly Product[]; chosen: string }>();
const tape = useTape();
const emit = defineEmits<{ choose: [id: string] }>();
const id = useId();
const current = computed(() => props.products.find((product) => product.id === props.chosen));

function sizeOf(product: Product): string {
  const { kind } = product.shape;
  const shape = kind === 'rectangle' ? '' : `${SHAPE_NAMES[kind].toLowerCase()} `;
  return `${shape}${sizeText(product, tape.value)}`;
}
</script>

<template>
  <div class="field">
    <label :id="id">{{ label }}</label>
    <Select
      :model-value="chosen"
      :options="[...products]"
      option-value="id"
      option-label="name"
      :aria-labelledby="id"
      fluid
      filter
      filter-placeholder="Search name or material"
      :filter-fields="['name', 'material', 'shape.kind']"
      empty-filter-message="No tile of that name. Add it with Own tile."
      scroll-height="24rem"
      @update:model-value="emit('choose', $event)"
    >
      <template #value>
        <span v-if="current" class="tile"
          ><TileSwatch :product="current" /><span
            ><b>{{ current.name }}</b
            ><small>{{ sizeOf(current) }}, {{ current.material }}, {{ formatLengthWithUnit(current.thicknessMm, tape) }} thick</small></span
          ></span
        >
      </template>
      <template #option="{ option }">
        <span class="tile"
          ><TileSwatch :product="option" /><span
            ><b>{{ option.name }}</b
            ><small>{{ sizeOf(option) }}, {{ option.material }}</small></span
          ></span
        >
      </template>
    </Select>
    <p v-if="current && !current.measured" class="small soft">Size on the box; nobody has measured a piece yet.</p>
  </div>
</template>

<style scoped>
.field {
  display: grid;
  gap: 0.3rem;
}
label {
  font-size: 0.875rem;
  color: var(--ink-soft);
}
.tile {
  display: flex;
  gap: 0.7rem;
  align-items: center;
  white-space: normal;
}
.tile span {
  display: grid;
  line-height: 1.25;
}
small {
  font-size: 0.85rem;
  color: var(--ink-soft);
}
</style>
