<script setup lang="ts">
import Button from 'primevue/button';
import { computed, nextTick, ref } from 'vue';
import { PhListMagnifyingGlass, PhPencilSimple, PhPlus } from '@phosphor-icons/vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import { moduleOf, type Laying } from '@azulejo/core/pattern/laying';
import { innerJointOf } from '@azulejo/core/pattern/registry';
import { layingOfTile } from '@azulejo/core/pattern/suitLaying';
import { hasWayUp, type Product } from '@azulejo/core/tile/product';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import ColourField from '../../fields/ColourField.vue';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import { useAttempt } from '../useAttempt.ts';
import { useEditSurface } from '../useEditSurface.ts';
import { GROUTS } from '@azulejo/core/madeUp/grouts';
import { partRows, withPart } from './model.ts';
import ProductDialog from './product/ProductDialog.vue';
import ProductListDialog from './list/ProductListDialog.vue';
import ProductPicker from './ProductPicker.vue';
import type { EditedLaying } from './useLaying.ts';
import { useTape } from '../../fields/useTape.ts';
import TroubleNote from '../../fields/TroubleNote.vue';

const props = defineProps<{ job: Job; surface: Surface; laying: Laying; edited: EditedLaying }>();
const tape = useTape();
const edit = useEditSurface(() => props.surface.id);
const { trouble, attempt } = useAttempt(() => tape.value);
const editing = ref<Product | 'new' | null>(null);
const listing = ref(false);
const product = computed(() => props.job.products.find(({ id }) => id === props.laying.productId) ?? null);

/** A tile that the pattern can't lay brings the first pattern that can. */
function choose(id: string): void {
  const next = props.job.products.find((one) => one.id === id);
  const laying = next && layingOfTile(next, props.laying, props.job.products, props.job.consumption.kerfMm);
  attempt(props.edited.put('tile', laying ? pick(laying) : { productId: id }));
}
/** The list holds a tile that was just added once the page has been told of it. */
async function layAdded(id: string): Promise<void> {
  await nextTick();
  choose(id);
}
const pick = ({ productId, parts, jointMm, pattern, colours, partColours }: Laying): Partial<Laying> => ({
  productId,
  parts,
  jointMm,
  pattern,
  colours,
  partColours,
});

const choosePart = (part: string, id: string): void =>
  attempt(props.edited.put('tileOfAPart', withPart(props.laying, part, id, props.job.products)));
const parts = computed(() => partRows(props.laying, props.job.products, tape.value));
const innerMm = computed(() => innerJointOf(props.laying.pattern, moduleOf(props.laying, props.job.products)));
const setJoint = (jointMm: number) => props.edited.put('joint', { jointMm });
const setJointColour = (colour: string): void => {
  edit('jointColour', (surface) => {
    surface.jointColour = colour;
  });
};
</script>

<template>
  <section class="stack">
    <ProductPicker label="Tile" :products="job.products" :chosen="laying.productId" @choose="choose" />
    <p v-if="product && hasWayUp(product)" class="small soft">
      {{ product.backArrow ? 'All arrows on the backs point one way' : 'The face has a way up' }}; the arrows on the drawing show it.
    </p>
    <TroubleNote :why="trouble" />
    <div class="row">
      <Button data-field="productId" severity="secondary" outlined @click="editing = product"
        ><PhPencilSimple :size="18" />Sizes and price</Button
      >
      <Button severity="secondary" outlined @click="editing = 'new'"><PhPlus :size="18" />Own tile</Button>
      <Button severity="secondary" outlined @click="listing = true"><PhListMagnifyingGlass :size="18" />Tile list</Button>
    </div>
  </section>
  <section v-for="part in parts" :key="part.part" class="stack" data-field="parts">
    <ProductPicker :label="part.label" :products="part.tiles" :chosen="part.chosen" @choose="choosePart(part.part, $event)" />
    <p class="small soft">
      {{ part.ideal }} keeps every joint alike<template v-if="innerMm !== null"
        >; with this one its joint is <b class="figure">{{ formatLengthWithUnit(innerMm, tape) }}</b></template
      >.
    </p>
  </section>
  <FieldGrid>
    <LengthField label="Joint" data-field="jointMm" :mm="laying.jointMm" :commit="setJoint" large />
    <ColourField label="Grout" :value="surface.jointColour" :swatches="GROUTS" @choose="setJointColour" />
  </FieldGrid>
  <ProductDialog
    v-if="editing"
    :product="editing === 'new' ? null : editing"
    :surface="surface"
    :job="job"
    @close="editing = null"
    @added="layAdded"
  />
  <ProductListDialog
    v-if="listing"
    :job="job"
    :chosen="laying.productId"
    @close="listing = false"
    @choose="
      (id) => {
        listing = false;
        choose(id);
      }
    "
    @edit="
      (one) => {
        listing = false;
        editing = one;
      }
    "
  />
</template>
