<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhPalette, PhTrash } from '@phosphor-icons/vue';
import { productName, type Job, type Surface } from '@azulejo/core/job/job';
import { describePattern } from '@azulejo/core/messages/en/patterns';
import type { SurfacePlan } from '@azulejo/core/planning/planned';
import { fixtureSize } from '@azulejo/core/surface/fixture';
import FieldGrid from '../../../fields/FieldGrid.vue';
import LengthField from '../../../fields/LengthField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import TextField from '../../../fields/TextField.vue';
import PlacedFrom from '../../measure/PlacedFrom.vue';
import { useAttempt } from '../../useAttempt.ts';
import { useEditSurface } from '../../useEditSurface.ts';
import BorderFields from './BorderFields.vue';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

type Inset = Surface['insets'][number];

const props = defineProps<{ job: Job; surface: Surface; inset: Inset; plan: SurfacePlan | null }>();
const tape = useTape();
const emit = defineEmits<{ remove: []; lay: [] }>();
const edit = useEditSurface(() => props.surface.id);
const { trouble, attempt } = useAttempt(() => tape.value);
const laid = computed(() => `${productName(props.job, props.inset.productId)}, ${describePattern(props.inset.pattern).toLowerCase()}`);

const change = (label: string, recipe: (inset: Inset) => void) =>
  edit(`${props.inset.name} ${label}`, ({ insets }) => {
    const target = insets.find(({ id }) => id === props.inset.id);
    if (target) recipe(target);
  });
const setSide = (key: 'widthMm' | 'heightMm' | 'diameterMm') => (mm: number) =>
  change('size', ({ outline }) => {
    (outline as Record<string, unknown>)[key] = mm;
  });
function setOutline(kind: 'rectangle' | 'round'): void {
  const { widthMm, heightMm } = fixtureSize(props.inset.outline);
  attempt(
    change('outline', (inset) => {
      inset.outline = kind === 'round' ? { kind, diameterMm: Math.min(widthMm, heightMm) } : { kind, widthMm, heightMm };
    }),
  );
}
function rename(name: string): string | null {
  if (name === '') return 'Expected a name for the inset.';
  change('name', (inset) => {
    inset.name = name;
  });
  return null;
}
</script>

<template>
  <div class="stack inset">
    <FieldGrid>
      <TextField label="Name" :value="inset.name" :longest="60" :commit="rename" />
      <SwitchField
        label="Outline"
        :value="inset.outline.kind === 'round' ? 'round' : 'rectangle'"
        :options="[
          { value: 'rectangle', label: 'Rectangle' },
          { value: 'round', label: 'Round' },
        ]"
        @choose="setOutline"
      />
      <template v-if="inset.outline.kind === 'rectangle'">
        <LengthField label="Width" :mm="inset.outline.widthMm" :commit="setSide('widthMm')" positive />
        <LengthField label="Height" :mm="inset.outline.heightMm" :commit="setSide('heightMm')" positive />
      </template>
      <LengthField
        v-if="inset.outline.kind === 'round'"
        label="Diameter"
        :mm="inset.outline.diameterMm"
        :commit="setSide('diameterMm')"
        positive
      />
    </FieldGrid>
    <PlacedFrom
      :placed="inset"
      :surface="surface"
      :plan="plan"
      :commit="
        (from) =>
          change('place', (target) => {
            target.from = from;
          })
      "
    />
    <BorderFields
      v-if="inset.outline.kind !== 'round'"
      :job="job"
      :border="inset.border"
      :commit="
        (border) =>
          change('border', (target) => {
            target.border = border;
          })
      "
    />
    <p class="small soft">{{ laid }}</p>
    <TroubleNote :why="trouble" />
    <div class="row">
      <Button severity="secondary" outlined @click="emit('lay')"><PhPalette :size="18" />Its tile and pattern</Button>
      <Button severity="danger" text @click="emit('remove')"><PhTrash :size="18" />Remove</Button>
    </div>
  </div>
</template>

<style scoped>
.inset {
  border-top: 1px solid var(--line);
  padding: 0.8rem 0;
}
</style>
