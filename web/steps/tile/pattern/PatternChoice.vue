<script setup lang="ts">
import { computed } from 'vue';
import { MISFIT_WORDS, PATTERN_NAMES } from '@azulejo/core/messages/en/patterns';
import type { Laying } from '@azulejo/core/pattern/laying';
import { PATTERNS, type PatternId } from '@azulejo/core/pattern/registry';
import type { Product } from '@azulejo/core/tile/product';
import PictureChoice from '../../../fields/PictureChoice.vue';
import { layingsByKind } from '../model.ts';
import PatternPreview from './PatternPreview.vue';

/** Every kind of pattern in the chosen tile, or in the first of the list that can be laid so. */
const props = defineProps<{ laying: Laying; products: readonly Product[]; kerfMm: number; jointColour: string }>();
const emit = defineEmits<{ choose: [laying: Laying]; rest: [laying: Laying, event: PointerEvent]; leave: [] }>();

const kinds = Object.keys(PATTERNS) as PatternId[];
/** Null where no tile of the list can be laid so. */
const layings = computed(() => layingsByKind(props.laying, props.products, props.kerfMm));
const upright = (kind: PatternId): Laying | null => {
  const laying = layings.value.get(kind);
  return laying ? { ...laying, turnDeg: 0, mirrored: false } : null;
};
const options = computed(() =>
  kinds.map((value) => {
    const laying = layings.value.get(value);
    const other = laying && laying.productId !== props.laying.productId ? laying.productId : null;
    return { value, label: PATTERN_NAMES[value], note: other && `in ${tileName(other)}`, disabled: !laying };
  }),
);
const tileName = (id: string): string => props.products.find((product) => product.id === id)?.name ?? id;
const withLaying = (kind: PatternId, act: (laying: Laying) => void): void => {
  const laying = layings.value.get(kind);
  if (laying) act(laying);
};
</script>

<template>
  <PictureChoice
    v-slot="{ value }"
    label="Pattern"
    :value="laying.pattern.kind"
    :options="options"
    @choose="(kind) => withLaying(kind, (next) => emit('choose', next))"
    @rest="(kind, event) => withLaying(kind, (next) => emit('rest', next, event))"
    @leave="emit('leave')"
  >
    <PatternPreview v-if="upright(value)" :laying="upright(value)!" :products="products" :joint-colour="jointColour" />
    <span v-else class="none soft small">{{ MISFIT_WORDS.otherOutline }}</span>
  </PictureChoice>
</template>

<style scoped>
.none {
  display: grid;
  place-content: center;
  text-align: center;
  background: var(--paper);
  aspect-ratio: 3 / 2;
  padding: 0.3rem;
}
</style>
