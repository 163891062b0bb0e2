<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { reactive, ref } from 'vue';
import { PhImage, PhX } from '@phosphor-icons/vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { FACES, MATERIALS, productSchema, TILE_EDGES, type Product } from '@azulejo/core/tile/product';
import ChoiceField from '../../../fields/ChoiceField.vue';
import ColourField from '../../../fields/ColourField.vue';
import { useFieldTroubles } from '../../../fields/fieldTroubles.ts';
import LengthField from '../../../fields/LengthField.vue';
import NumberField from '../../../fields/NumberField.vue';
import YesNoField from '../../../fields/YesNoField.vue';
import TextField from '../../../fields/TextField.vue';
import { useDraft } from '../../useDraft.ts';
import { newId } from '../../newId.ts';
import { useEditSurface } from '../../useEditSurface.ts';
import LotList from './LotList.vue';
import OutlineFields from './OutlineFields.vue';
import { sizeLabels } from './sizeLabels.ts';
import SampleFields from './SampleFields.vue';
import { shrinkPicture } from '../../shrinkPicture.ts';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

const props = defineProps<{ product: Product | null; job: Job; surface: Surface }>();
const tape = useTape();
const emit = defineEmits<{ close: []; added: [id: string] }>();
const edit = useEditSurface(() => props.surface.id);
const trouble = ref<string | null>(null);
const hasTroubles = useFieldTroubles();
const mounting = ref(false);

const START: Product = productSchema.parse({
  id: 'new',
  name: 'New tile',
  material: 'porcelain',
  nominal: { widthMm: 300, heightMm: 300 },
  thicknessMm: 9,
  piecesPerBox: 10,
  boxPrice: 0,
  colour: '#cfd3d6',
});
const copyOf = (product: Product): Product => JSON.parse(JSON.stringify(product)) as Product;
const draft = reactive<Product>(props.product ? copyOf(props.product) : { ...copyOf(START), name: '' });

const { leave, warning } = useDraft(
  () => JSON.stringify(draft),
  () => emit('close'),
);

/** Fields of this form write to the draft; the job changes when it is kept. */
const into =
  (write: (value: number) => void) =>
  (value: number): [] => {
    write(value);
    return [];
  };

async function takePicture(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0];
  if (!file) return;
  try {
    draft.picture = await shrinkPicture(file);
    trouble.value = null;
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'The picture could not be read.';
  }
}

function keep(): void {
  if (hasTroubles.value) {
    trouble.value = "A field above holds something that can't be read; mend it first.";
    return;
  }
  if (draft.name.trim() === '') {
    trouble.value = 'Expected a name for the tile.';
    return;
  }
  const kept: Product = { ...copyOf(draft), name: draft.name.trim(), id: props.product?.id ?? newId('tile') };
  const issues = edit(props.product ? 'changeTile' : 'ownTile', (_, job) => {
    const at = job.products.findIndex((product) => product.id === kept.id);
    if (at === -1) job.products.push(kept);
    else job.products[at] = kept;
  });
  trouble.value = issues[0] ? describeIssue(issues[0], tape.value) : null;
  if (issues[0]) return;
  if (!props.product) emit('added', kept.id);
  emit('close');
}
</script>

<template>
  <Dialog visible modal :header="product ? product.name : 'Own tile'" class="product" :close-on-escape="!mounting" @update:visible="leave">
    <form class="form" @submit.prevent>
      <TextField class="wide" autofocus label="Name" :value="draft.name" :longest="80" :commit="(text) => ((draft.name = text), null)" />
      <ChoiceField
        label="Material"
        :value="draft.material"
        :options="MATERIALS.map((value) => ({ value, label: value }))"
        @choose="draft.material = $event"
      />
      <OutlineFields :draft="draft" :joint-colour="surface.jointColour" :into="into" @mounting="mounting = $event" />
      <SampleFields class="wide" :draft="draft" :labels="sizeLabels(draft)" />
      <LengthField label="Thickness" :mm="draft.thicknessMm" :commit="into((mm) => (draft.thicknessMm = mm))" positive />
      <ChoiceField
        label="Edges"
        :value="draft.edge"
        :options="TILE_EDGES.map((value) => ({ value, label: value }))"
        @choose="draft.edge = $event"
      />
      <ChoiceField
        label="Face"
        :value="draft.face"
        :options="FACES.map((value) => ({ value, label: value }))"
        @choose="draft.face = $event"
      />
      <YesNoField label="Arrow on the back" :value="draft.backArrow" @choose="draft.backArrow = $event" />
      <YesNoField label="Polished face" :value="draft.polished ?? false" @choose="draft.polished = $event" />
      <YesNoField label="Porous, to be sealed first" :value="draft.porous" @choose="draft.porous = $event" />
      <NumberField
        :label="draft.shape.kind === 'sheet' ? 'Sheets a box' : 'Pieces a box'"
        :value="draft.piecesPerBox"
        :commit="into((n) => (draft.piecesPerBox = n))"
      />
      <NumberField
        label="Price a box"
        :decimals="2"
        :unit="job.currency"
        :value="draft.boxPrice"
        :commit="into((n) => (draft.boxPrice = n))"
      />
      <NumberField label="Mass of one" unit="kg" :value="draft.massKg ?? 0" :commit="into((kg) => (draft.massKg = kg > 0 ? kg : null))" />
      <ColourField label="Colour in the drawing" :value="draft.colour" @choose="draft.colour = $event" />
      <div class="picture">
        <img v-if="draft.picture" :src="draft.picture" alt="The face of the tile" />
        <label class="upload"
          ><PhImage :size="18" />{{ draft.picture ? 'Another picture' : 'Picture of the face'
          }}<input type="file" accept="image/png,image/jpeg,image/webp" @change="takePicture"
        /></label>
        <Button v-if="draft.picture" text severity="secondary" aria-label="No picture" @click="draft.picture = null"
          ><PhX :size="18"
        /></Button>
      </div>
      <LotList class="wide" :lots="draft.lots" @change="draft.lots = $event" />
    </form>
    <template #footer>
      <TroubleNote :why="trouble ?? warning" class="refused" />
      <Button label="Leave as it was" severity="secondary" text @click="emit('close')" />
      <Button :label="product ? 'Keep changes' : 'Add and lay it here'" @click="keep" />
    </template>
  </Dialog>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.8rem;
  width: min(36rem, 82vw);
  align-items: start;
}
.wide {
  grid-column: 1 / -1;
}
.refused {
  align-self: center;
  flex: 1;
  margin: 0;
}
.picture {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  align-self: end;
}
.picture img {
  width: 3rem;
  height: 3rem;
  object-fit: cover;
  border-radius: 3px;
}
.upload {
  display: inline-flex;
  gap: 0.4rem;
  align-items: center;
  cursor: pointer;
  color: var(--cobalt);
  font-weight: 600;
  min-height: 2.6rem;
}
.upload:focus-within {
  outline: 3px solid var(--cobalt);
}
.upload input {
  position: absolute;
  opacity: 0;
  width: 1px;
  height: 1px;
}
</style>
