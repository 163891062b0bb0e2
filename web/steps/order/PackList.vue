<script setup lang="ts">
import Button from 'primevue/button';
import { PhPlus, PhTrash } from '@phosphor-icons/vue';
import type { Job } from '@azulejo/core/job/job';
import NumberField from '../../fields/NumberField.vue';
import { useJobStore } from '../../stores/jobStore.ts';

/** The packs one material is sold in: what each holds, and its price. */
const props = defineProps<{ job: Job; item: keyof Job['prices']; name: string; pack: string; unit: string }>();
const jobs = useJobStore();

const edit = (label: string, recipe: (packs: Job['prices']['grout']['packs']) => void) =>
  jobs.change(label, (draft) => recipe(draft.prices[props.item].packs));
const setSize = (k: number) => (size: number) => edit(`${props.name}: pack`, (packs) => (packs[k].size = size));
const setPrice = (k: number) => (price: number) => edit(`${props.name}: price`, (packs) => (packs[k].price = price));
const add = () => edit(`${props.name}: another pack`, (packs) => packs.push({ ...packs[packs.length - 1] }));
const remove = (k: number) => edit(`${props.name}: a pack less`, (packs) => packs.splice(k, 1));
</script>

<template>
  <div class="material">
    <div v-for="(offer, k) in job.prices[item].packs" :key="k" class="pack">
      <NumberField :label="k === 0 ? `${name}, a ${pack}` : `Another ${pack}`" :unit="unit" :value="offer.size" :commit="setSize(k)" />
      <NumberField :label="`Price of a ${pack}`" :unit="job.currency" :decimals="2" :value="offer.price" :commit="setPrice(k)" />
      <Button
        v-if="job.prices[item].packs.length > 1"
        text
        severity="secondary"
        :aria-label="`Take this ${pack} of ${name.toLowerCase()} out`"
        @click="remove(k)"
        ><PhTrash :size="18"
      /></Button>
    </div>
    <Button v-if="job.prices[item].packs.length < 8" text severity="secondary" class="more" @click="add"
      ><PhPlus :size="16" />Another {{ pack }} of {{ name.toLowerCase() }}</Button
    >
  </div>
</template>

<style scoped>
.material {
  display: grid;
  gap: 0.4rem;
}
.pack {
  display: flex;
  gap: 0.7rem;
  align-items: end;
}
.pack > :not(button) {
  flex: 1;
}
.more {
  justify-self: start;
  padding: 0.35rem 0.5rem;
}
</style>
