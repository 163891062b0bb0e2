<script setup lang="ts">
import { changeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { PhPlus, PhTrash } from '@phosphor-icons/vue';
import type { Job } from '@azulejo/core/job/job';
import { itemName, packName, UNIT_NAMES } from '@azulejo/core/messages/en/materialNames';
import type { MaterialUnit } from '@azulejo/core/takeoff/materialKind';
import { packsFor, type MaterialId } from '@azulejo/core/takeoff/registry';
import { computed } from 'vue';
import NumberField from '../../../fields/NumberField.vue';
import { useMaterial } from '../useMaterial.ts';

/** The packs one material is sold in: what each holds, and its price. */
const props = defineProps<{ job: Job; item: MaterialId; unit: MaterialUnit }>();
const { setPacks } = useMaterial(() => props.item);
const packs = computed(() => packsFor(props.item, props.job));
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
      <NumberField :label="`A ${pack} holds`" :unit="UNIT_NAMES[unit]" :value="offer.size" :commit="setSize(k)" />
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
