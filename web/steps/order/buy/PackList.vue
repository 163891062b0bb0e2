<script setup lang="ts">
import { changeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { PhPlus, PhTrash } from '@phosphor-icons/vue';
import type { Job } from '@azulejo/core/job/job';
import { itemName, packName, UNIT_NAMES } from '@azulejo/core/messages/en/materialNames';
import type { MaterialUnit } from '@azulejo/core/takeoff/materialKind';
import { MATERIALS, offersFor, packsFor, type MaterialId } from '@azulejo/core/takeoff/registry';
import { computed } from 'vue';
import NumberField from '../../../fields/NumberField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import { useMaterial } from '../useMaterial.ts';

/** The packs one material is sold in: what each holds, and its price. */
const props = defineProps<{ job: Job; item: MaterialId; unit: MaterialUnit }>();
const { setPacks } = useMaterial(() => props.item);
const packs = computed(() => packsFor(props.item, props.job));
/** What comes wet is sold by its weight or by the litre; what a tub weighs then follows. */
const isWet = computed(() => MATERIALS[props.item].byLitre ?? false);
const weights = computed(() => offersFor(props.item, props.job).map(({ size }) => Math.round(size * 10) / 10));
const BY = [
  { value: 'kg' as const, label: 'kg' },
  { value: 'l' as const, label: 'L' },
];
const setBy = (k: number) => (by: 'kg' | 'l') =>
  setPacks(changeLabel('packSize', props.item), (all) => {
    if (by === 'l') all[k].by = 'l';
    else delete all[k].by;
  });
const name = computed(() => itemName(props.item));
const pack = computed(() => packName(props.item));

const setSize = (k: number) => (size: number) => setPacks(changeLabel('packSize', props.item), (all) => (all[k].size = size));
const setPrice = (k: number) => (price: number) => setPacks(changeLabel('packPrice', props.item), (all) => (all[k].price = price));
const add = () => setPacks(changeLabel('anotherPack', props.item), (all) => all.push({ ...all[all.length - 1] }));
const remove = (k: number) => setPacks(changeLabel('aPackLess', props.item), (all) => all.splice(k, 1));
</script>

<template>
  <div class="packs">
    <div v-for="(offer, k) in packs" :key="k" class="pack">
      <NumberField :label="`A ${pack} holds`" :unit="offer.by === 'l' ? 'L' : UNIT_NAMES[unit]" :value="offer.size" :commit="setSize(k)" />
      <SwitchField
        v-if="isWet"
        :label="offer.by === 'l' ? `By the litre: ${weights[k]} kg` : 'Sold by'"
        :value="offer.by ?? 'kg'"
        :options="BY"
        @choose="setBy(k)($event)"
      />
      <NumberField :label="`Price of a ${pack}`" :unit="job.currency" :decimals="2" :value="offer.price" :commit="setPrice(k)" />
      <Button
        v-if="packs.length > 1"
        text
        severity="secondary"
        :aria-label="`Take this ${pack} of ${name.toLowerCase()} out`"
        @click="remove(k)"
        ><PhTrash :size="18"
      /></Button>
    </div>
    <Button v-if="packs.length < 8" text severity="secondary" class="more" @click="add"><PhPlus :size="16" />Another {{ pack }}</Button>
  </div>
</template>

<style scoped>
.packs {
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
