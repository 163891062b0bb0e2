<script setup lang="ts">
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhPlus, PhTrash } from '@phosphor-icons/vue';
import type { Surface } from '@azulejo/core/job/job';
import { describeBuildUp } from '@azulejo/core/messages/en/levels';
import { buildUpFigures, type BuildUp } from '@azulejo/core/surface/buildUp';
import type { Product } from '@azulejo/core/tile/product';
import ChoiceField from '../../../fields/ChoiceField.vue';
import FieldGrid from '../../../fields/FieldGrid.vue';
import LengthField from '../../../fields/LengthField.vue';
import TextField from '../../../fields/TextField.vue';
import { nextId } from '../../newId.ts';
import { useEditSurface } from '../../useEditSurface.ts';
import { useTape } from '../../../fields/useTape.ts';

const props = defineProps<{ surface: Surface; product: Product }>();
const tape = useTape();
const edit = useEditSurface(() => props.surface.id);
const buildUp = computed(() => props.surface.measured.buildUp);
const layerName = computed(() => buildUp.value?.layers.find(({ id }) => id === buildUp.value?.adjust)?.name ?? null);
const words = computed(() =>
  buildUp.value
    ? describeBuildUp(buildUpFigures(buildUp.value, props.product.thicknessMm), buildUp.value.neighbour, layerName.value, tape.value)
    : [],
);
const adjustable = computed(() => [
  { value: '', label: 'None' },
  ...(buildUp.value?.layers ?? []).map(({ id, name }) => ({ value: id, label: name })),
]);

const change = (label: ChangeLabel, recipe: (buildUp: BuildUp) => void) =>
  edit(label, ({ measured }) => {
    if (measured.buildUp) recipe(measured.buildUp);
  });
function start(): void {
  edit('buildUp', ({ measured }) => {
    measured.buildUp = {
      layers: [
        { id: 'layer-1', name: 'Board', thicknessMm: 6 },
        { id: 'layer-2', name: 'Adhesive bed, beaten in', thicknessMm: 4 },
      ],
      neighbour: '',
      neighbourMm: 20,
      adjust: 'layer-1',
    };
  });
}
function rename(k: number, name: string): string | null {
  if (name === '') return 'Expected a name for the layer.';
  change('layerName', (draft) => {
    draft.layers[k].name = name;
  });
  return null;
}
const setThickness = (k: number) => (mm: number) =>
  change('layerThickness', (draft) => {
    draft.layers[k].thicknessMm = mm;
  });
const addLayer = (): void => {
  change('addLayer', (draft) => {
    draft.layers.push({ id: nextId('layer', draft.layers), name: 'Membrane', thicknessMm: 1 });
  });
};
const removeLayer = (k: number): void => {
  change('removeLayer', (draft) => {
    const [gone] = draft.layers.splice(k, 1);
    if (draft.adjust === gone.id) draft.adjust = null;
  });
};
const setNeighbour = (mm: number) =>
  change('neighbourHeight', (draft) => {
    draft.neighbourMm = mm;
  });
</script>

<template>
  <section class="stack" data-field="measured.buildUp">
    <h3>Build-up</h3>
    <template v-if="buildUp">
      <div class="result" data-testid="build-up">
        <p v-for="line in words" :key="line">{{ line }}</p>
      </div>
      <div v-for="(layer, k) in buildUp.layers" :key="layer.id" class="layer">
        <TextField :label="`Layer ${k + 1}`" :value="layer.name" :longest="60" :commit="(name) => rename(k, name)" />
        <LengthField :label="`Thickness ${k + 1}`" :mm="layer.thicknessMm" :commit="setThickness(k)" />
        <Button text severity="secondary" :aria-label="`Remove ${layer.name}`" @click="removeLayer(k)"><PhTrash :size="18" /></Button>
      </div>
      <div>
        <Button severity="secondary" outlined @click="addLayer"><PhPlus :size="18" />Layer</Button>
      </div>
      <FieldGrid>
        <TextField
          label="It meets"
          :value="buildUp.neighbour"
          :longest="60"
          placeholder="the hall floor"
          :commit="(text) => (change('neighbour', (draft) => (draft.neighbour = text)), null)"
        />
        <LengthField label="which is at" :mm="buildUp.neighbourMm" :commit="setNeighbour" signed />
        <ChoiceField
          label="To be made flush with"
          :value="buildUp.adjust ?? ''"
          :options="adjustable"
          @choose="(id) => change('layerToAdjust', (draft) => (draft.adjust = id || null))"
        />
      </FieldGrid>
    </template>
    <template v-else>
      <p class="soft small">What lies under the tile, and does it finish flush with the next floor?</p>
      <div><Button severity="secondary" outlined @click="start">Add up the layers</Button></div>
    </template>
  </section>
</template>

<style scoped>
.result {
  display: grid;
  gap: 0.35rem;
  border-left: 4px solid var(--cobalt);
  padding-left: 0.8rem;
}
.layer {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 8rem 2.6rem;
  gap: 0.5rem;
  align-items: end;
}
</style>
