<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { PhPencilSimple, PhPlus } from '@phosphor-icons/vue';
import { productOf, type Job, type Surface } from '@azulejo/core/job';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import type { SurfacePlan } from '@azulejo/core/plan';
import type { Product } from '@azulejo/core/tile/product';
import type { Tape } from '@azulejo/core/units/tape';
import LengthField from '../../fields/LengthField.vue';
import { useEditSurface } from '../useEditSurface.ts';
import PatternForm from './PatternForm.vue';
import ProductDialog from './ProductDialog.vue';
import ProductPicker from './ProductPicker.vue';

const props = defineProps<{ job: Job; surface: Surface; tape: Tape; plan: SurfacePlan | null }>();
const edit = useEditSurface(() => props.surface.id);
const editing = ref<Product | 'new' | null>(null);
const trouble = ref<string | null>(null);
const product = computed(() => productOf(props.job, props.surface));

function choose(id: string): void {
  const [first] = edit('Tile', (surface) => {
    surface.productId = id;
  });
  trouble.value = first ? describeIssue(first, props.tape) : null;
}
const setJoint = (mm: number) =>
  edit('Joint', (surface) => {
    surface.jointMm = mm;
  });
</script>

<template>
  <section class="stack">
    <ProductPicker :products="job.products" :chosen="surface.productId" :tape="tape" @choose="choose" />
    <p v-if="trouble" class="why" role="alert">{{ trouble }}</p>
    <div class="row">
      <Button severity="secondary" outlined @click="editing = product"><PhPencilSimple :size="18" />Sizes and price</Button>
      <Button severity="secondary" outlined @click="editing = 'new'"><PhPlus :size="18" />Own tile</Button>
    </div>
  </section>
  <LengthField label="Joint" :mm="surface.jointMm" :tape="tape" :commit="setJoint" large />
  <PatternForm :surface="surface" :product="product" :tape="tape" />
  <ProductDialog
    v-if="editing"
    :product="editing === 'new' ? null : editing"
    :surface="surface"
    :job="job"
    :tape="tape"
    @close="editing = null"
  />
</template>
