<script setup lang="ts">
import Button from 'primevue/button';
import { PhPlus, PhTrash } from '@phosphor-icons/vue';
import type { Lot } from '@azulejo/core/tile/lot';
import NumberField from '../../../fields/NumberField.vue';
import TextField from '../../../fields/TextField.vue';
import { newId } from '../../newId.ts';

/** Production batches of a tile: shade and calibre as printed on the box. */
const props = defineProps<{ lots: readonly Lot[] }>();
const emit = defineEmits<{ change: [lots: Lot[]] }>();

const put = (k: number, next: Partial<Lot>): void =>
  emit(
    'change',
    props.lots.map((lot, at) => (at === k ? { ...lot, ...next } : lot)),
  );
const text = (k: number, key: 'code' | 'shade' | 'calibre') => (value: string) => {
  if (key === 'code' && value.trim() === '') return 'Expected the batch as printed on the box.';
  put(k, { [key]: value });
  return null;
};
const add = (): void =>
  emit('change', [...props.lots, { id: newId('lot'), code: `Batch ${props.lots.length + 1}`, shade: '', calibre: '', pieces: 0 }]);
</script>

<template>
  <section class="lots">
    <p class="small soft">Lots: pieces of one shade and calibre. A room should be laid from one.</p>
    <div v-for="(lot, k) in lots" :key="lot.id" class="lot">
      <TextField label="Batch" :value="lot.code" :longest="40" :commit="text(k, 'code')" />
      <TextField label="Shade" :value="lot.shade" :longest="20" :commit="text(k, 'shade')" />
      <TextField label="Calibre" :value="lot.calibre" :longest="20" :commit="text(k, 'calibre')" />
      <NumberField label="Pieces" :value="lot.pieces" :commit="(pieces) => (put(k, { pieces: Math.round(pieces) }), [])" />
      <Button
        text
        severity="secondary"
        :aria-label="`Remove ${lot.code}`"
        @click="
          emit(
            'change',
            lots.filter((_, at) => at !== k),
          )
        "
        ><PhTrash :size="16"
      /></Button>
    </div>
    <div>
      <Button severity="secondary" text @click="add"><PhPlus :size="16" />Add a lot</Button>
    </div>
  </section>
</template>

<style scoped>
.lots {
  display: grid;
  gap: 0.4rem;
}
.lot {
  display: grid;
  grid-template-columns: 1.5fr 0.8fr 0.8fr 1fr auto;
  gap: 0.5rem;
  align-items: end;
}
</style>
