<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { reactive, ref, useId } from 'vue';
import type { Job, Surface } from '@azulejo/core/job';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { MATERIALS, type Product } from '@azulejo/core/tile/product';
import type { Tape } from '@azulejo/core/units/tape';
import ChoiceField from '../../fields/ChoiceField.vue';
import { useFieldTroubles } from '../../fields/fieldTroubles.ts';
import LengthField from '../../fields/LengthField.vue';
import NumberField from '../../fields/NumberField.vue';
import FieldFrame from '../../fields/FieldFrame.vue';
import TextField from '../../fields/TextField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { newId } from '../newId.ts';
import { useEditSurface } from '../useEditSurface.ts';

const props = defineProps<{ product: Product | null; job: Job; surface: Surface; tape: Tape }>();
const emit = defineEmits<{ close: [] }>();
const edit = useEditSurface(() => props.surface.id);
const id = useId();
const trouble = ref<string | null>(null);
const hasTroubles = useFieldTroubles();

const START: Product = {
  id: '',
  name: '',
  material: 'porcelain',
  nominal: { widthMm: 300, heightMm: 300 },
  measured: null,
  thicknessMm: 9,
  directional: false,
  piecesPerBox: 10,
  boxPrice: 0,
  colour: '#cfd3d6',
};
const draft = reactive<Product>(structuredClone(props.product ? (JSON.parse(JSON.stringify(props.product)) as Product) : START));

/** Fields of this form write to the draft; the job changes when it is kept. */
const into =
  (write: (mm: number) => void) =>
  (mm: number): [] => {
    write(mm);
    return [];
  };

function setMeasured(side: 'widthMm' | 'heightMm', mm: number): void {
  draft.measured = { ...(draft.measured ?? draft.nominal), [side]: mm };
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
  const kept: Product = {
    ...(JSON.parse(JSON.stringify(draft)) as Product),
    name: draft.name.trim(),
    id: props.product?.id ?? newId('tile', props.job.products),
  };
  const issues = edit(props.product ? 'Change tile' : 'Own tile', (surface, job) => {
    const at = job.products.findIndex((product) => product.id === kept.id);
    if (at === -1) job.products.push(kept);
    else job.products[at] = kept;
    surface.productId = kept.id;
  });
  trouble.value = issues[0] ? describeIssue(issues[0], props.tape) : null;
  if (!issues[0]) emit('close');
}
</script>

<template>
  <Dialog visible modal :header="product ? product.name : 'Own tile'" class="product" @update:visible="emit('close')">
    <form class="form" @submit.prevent>
      <TextField class="wide" autofocus label="Name" :value="draft.name" :longest="80" :commit="(text) => ((draft.name = text), null)" />
      <LengthField
        label="Width on the box"
        :mm="draft.nominal.widthMm"
        :tape="tape"
        :commit="
          into((mm) => {
            draft.nominal.widthMm = mm;
          })
        "
        positive
      />
      <LengthField
        label="Height on the box"
        :mm="draft.nominal.heightMm"
        :tape="tape"
        :commit="
          into((mm) => {
            draft.nominal.heightMm = mm;
          })
        "
        positive
      />
      <LengthField
        label="Width measured"
        :mm="draft.measured?.widthMm ?? null"
        :tape="tape"
        :commit="into((mm) => setMeasured('widthMm', mm))"
        positive
      />
      <LengthField
        label="Height measured"
        :mm="draft.measured?.heightMm ?? null"
        :tape="tape"
        :commit="into((mm) => setMeasured('heightMm', mm))"
        positive
      />
      <p class="wide small soft">
        Measure five pieces and enter their mean; the plan then uses it.
        <button v-if="draft.measured" type="button" class="link" @click="draft.measured = null">Not measured after all</button>
      </p>
      <LengthField
        label="Thickness"
        :mm="draft.thicknessMm"
        :tape="tape"
        :commit="
          into((mm) => {
            draft.thicknessMm = mm;
          })
        "
        positive
      />
      <ChoiceField
        label="Material"
        :value="draft.material"
        :options="MATERIALS.map((value) => ({ value, label: value }))"
        @choose="draft.material = $event"
      />
      <NumberField
        label="Pieces a box"
        :value="draft.piecesPerBox"
        :commit="
          (n) => {
            draft.piecesPerBox = n;
            return [];
          }
        "
      />
      <NumberField
        label="Price a box"
        :decimals="2"
        :unit="job.currency"
        :value="draft.boxPrice"
        :commit="
          (n) => {
            draft.boxPrice = n;
            return [];
          }
        "
      />
      <SwitchField
        label="Face"
        :value="draft.directional ? 'directional' : 'plain'"
        :options="[
          { value: 'plain', label: 'Plain' },
          { value: 'directional', label: 'Directional' },
        ]"
        @choose="draft.directional = $event === 'directional'"
      />
      <FieldFrame :id="`${id}-colour`" label="Colour in the drawing"
        ><input :id="`${id}-colour`" v-model="draft.colour" type="color"
      /></FieldFrame>
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
  width: min(34rem, 82vw);
  align-items: start;
}
.wide {
  grid-column: 1 / -1;
}
input[type='color'] {
  width: 100%;
  height: 2.6rem;
  padding: 2px;
  border: 1px solid var(--line-strong);
  border-radius: 3px;
  background: none;
}
.link {
  all: unset;
  color: var(--cobalt);
  text-decoration: underline;
  cursor: pointer;
}
.link:focus-visible {
  outline: 3px solid var(--cobalt);
}
</style>
