<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, reactive, ref } from 'vue';
import { PhImage, PhX } from '@phosphor-icons/vue';
import type { Job, Surface } from '@azulejo/core/job';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { SHAPE_NAMES } from '@azulejo/core/messages/en/patterns';
import { FACES, MATERIALS, productSchema, TILE_EDGES, type Product } from '@azulejo/core/tile/product';
import { TILE_SHAPES, type TileShape } from '@azulejo/core/tile/shape';
import type { Tape } from '@azulejo/core/units/tape';
import ChoiceField from '../../fields/ChoiceField.vue';
import ColourField from '../../fields/ColourField.vue';
import { useFieldTroubles } from '../../fields/fieldTroubles.ts';
import LengthField from '../../fields/LengthField.vue';
import NumberField from '../../fields/NumberField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import TextField from '../../fields/TextField.vue';
import { newId } from '../newId.ts';
import { useEditSurface } from '../useEditSurface.ts';
import LotList from './LotList.vue';
import SampleFields from './SampleFields.vue';
import { shrinkPicture } from './shrinkPicture.ts';

const props = defineProps<{ product: Product | null; job: Job; surface: Surface; tape: Tape }>();
const emit = defineEmits<{ close: []; added: [id: string] }>();
const edit = useEditSurface(() => props.surface.id);
const trouble = ref<string | null>(null);
const hasTroubles = useFieldTroubles();

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

/** Fields of this form write to the draft; the job changes when it is kept. */
const into =
  (write: (value: number) => void) =>
  (value: number): [] => {
    write(value);
    return [];
  };

const shapes = TILE_SHAPES.map((value) => ({
  value,
  label: SHAPE_NAMES[value],
}));
const sizeLabels = computed<readonly [string, string]>(
  () =>
    (
      ({
        hexagon: ['Across the flats', 'Point to point'],
        round: ['Diameter', 'Diameter'],
        chevron: ['Long side', 'Width of the strip'],
      }) as const
    )[draft.shape.kind as 'hexagon'] ?? ['Width', 'Height'],
);

/** Another outline starts with figures that suit the size. */
function setShape(kind: TileShape['kind']): void {
  const { widthMm, heightMm } = draft.nominal;
  const smaller = Math.min(widthMm, heightMm);
  const starts: Readonly<Partial<Record<TileShape['kind'], TileShape>>> = {
    hexagon: { kind: 'hexagon', tipMm: null },
    octagon: { kind: 'octagon', cornerMm: Math.round(smaller * 0.29) },
    lantern: { kind: 'lantern', swell: 0.8 },
    chevron: { kind: 'chevron', cutDeg: 45 },
  };
  draft.shape = starts[kind] ?? ({ kind } as TileShape);
  if (kind === 'hexagon') draft.nominal.heightMm = Math.round((2 * widthMm * 100) / Math.sqrt(3)) / 100;
  if (kind === 'round') draft.nominal.heightMm = widthMm;
  if (kind === 'hexagon' || kind === 'round') [draft.measured, draft.sample] = [null, []];
}

/** A regular hexagon and a round have one size only. */
function setNominal(side: 'widthMm' | 'heightMm', mm: number): void {
  draft.nominal[side] = mm;
  if (draft.shape.kind === 'round') draft.nominal = { widthMm: mm, heightMm: mm };
  if (draft.shape.kind === 'hexagon' && draft.shape.tipMm === null && side === 'widthMm')
    draft.nominal.heightMm = Math.round((2 * mm * 100) / Math.sqrt(3)) / 100;
}

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
  const kept: Product = { ...copyOf(draft), name: draft.name.trim(), id: props.product?.id ?? newId('tile', props.job.products) };
  const issues = edit(props.product ? 'Change tile' : 'Own tile', (_, job) => {
    const at = job.products.findIndex((product) => product.id === kept.id);
    if (at === -1) job.products.push(kept);
    else job.products[at] = kept;
  });
  trouble.value = issues[0] ? describeIssue(issues[0], props.tape) : null;
  if (issues[0]) return;
  if (!props.product) emit('added', kept.id);
  emit('close');
}
</script>

<template>
  <Dialog visible modal :header="product ? product.name : 'Own tile'" class="product" @update:visible="emit('close')">
    <form class="form" @submit.prevent>
      <TextField class="wide" autofocus label="Name" :value="draft.name" :longest="80" :commit="(text) => ((draft.name = text), null)" />
      <ChoiceField label="Outline" :value="draft.shape.kind" :options="shapes" @choose="setShape" />
      <ChoiceField
        label="Material"
        :value="draft.material"
        :options="MATERIALS.map((value) => ({ value, label: value }))"
        @choose="draft.material = $event"
      />
      <LengthField
        :label="`${sizeLabels[0]} on the box`"
        :mm="draft.nominal.widthMm"
        :tape="tape"
        :commit="into((mm) => setNominal('widthMm', mm))"
        positive
      />
      <LengthField
        v-if="draft.shape.kind !== 'round'"
        :label="`${sizeLabels[1]} on the box`"
        :mm="draft.nominal.heightMm"
        :tape="tape"
        :commit="into((mm) => setNominal('heightMm', mm))"
        positive
      />
      <LengthField
        v-if="draft.shape.kind === 'octagon'"
        label="Cut off each side at a corner"
        :mm="draft.shape.cornerMm"
        :tape="tape"
        :commit="into((mm) => draft.shape.kind === 'octagon' && (draft.shape.cornerMm = mm))"
        positive
      />
      <template v-if="draft.shape.kind === 'hexagon'">
        <SwitchField
          label="Hexagon"
          :value="draft.shape.tipMm === null ? 'regular' : 'long'"
          :options="[
            { value: 'regular', label: 'Regular' },
            { value: 'long', label: 'Long' },
          ]"
          @choose="
            (form) =>
              draft.shape.kind === 'hexagon' &&
              (draft.shape.tipMm = form === 'regular' ? null : Math.round((draft.nominal.widthMm / 2 / Math.sqrt(3)) * 10) / 10)
          "
        />
        <LengthField
          v-if="draft.shape.tipMm !== null"
          label="Height of a point"
          :mm="draft.shape.tipMm"
          :tape="tape"
          :commit="into((mm) => draft.shape.kind === 'hexagon' && (draft.shape.tipMm = mm))"
          positive
        />
      </template>
      <NumberField
        v-if="draft.shape.kind === 'chevron'"
        label="Ends cut at"
        unit="°"
        :value="draft.shape.cutDeg"
        :commit="into((deg) => draft.shape.kind === 'chevron' && (draft.shape.cutDeg = Math.min(75, Math.max(25, deg))))"
      />
      <NumberField
        v-if="draft.shape.kind === 'lantern'"
        label="Swell of the sides"
        unit="%"
        :value="Math.round(draft.shape.swell * 100)"
        :commit="into((percent) => draft.shape.kind === 'lantern' && (draft.shape.swell = Math.min(1, Math.max(0.1, percent / 100))))"
      />
      <SampleFields class="wide" :draft="draft" :labels="sizeLabels" :tape="tape" />
      <LengthField label="Thickness" :mm="draft.thicknessMm" :tape="tape" :commit="into((mm) => (draft.thicknessMm = mm))" positive />
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
      <SwitchField
        label="Arrow on the back"
        :value="draft.backArrow ? 'yes' : 'no'"
        :options="[
          { value: 'no', label: 'No' },
          { value: 'yes', label: 'Yes' },
        ]"
        @choose="draft.backArrow = $event === 'yes'"
      />
      <SwitchField
        label="Porous"
        :value="draft.porous ? 'yes' : 'no'"
        :options="[
          { value: 'no', label: 'No' },
          { value: 'yes', label: 'Yes, seal first' },
        ]"
        @choose="draft.porous = $event === 'yes'"
      />
      <NumberField label="Pieces a box" :value="draft.piecesPerBox" :commit="into((n) => (draft.piecesPerBox = n))" />
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
      <p v-if="trouble" class="why wide" role="alert">{{ trouble }}</p>
    </form>
    <template #footer>
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
