<script setup lang="ts">
import { changeLabel, type ChangeCode } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhPalette, PhTrash } from '@phosphor-icons/vue';
import { productName, type Job, type Surface } from '@azulejo/core/job/job';
import { describePattern } from '@azulejo/core/messages/en/patterns';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import TextField from '../../../fields/TextField.vue';
import OutlineEditor from '../../measure/OutlineEditor.vue';
import PlacedFrom from '../../measure/PlacedFrom.vue';
import { useEditSurface } from '../../useEditSurface.ts';
import BorderFields from './BorderFields.vue';

type Inset = Surface['insets'][number];

const props = defineProps<{ job: Job; surface: Surface; inset: Inset; plan: SurfacePlan | null }>();
const emit = defineEmits<{ remove: []; lay: [] }>();
const edit = useEditSurface(() => props.surface.id);
const laid = computed(() => `${productName(props.job, props.inset.productId)}, ${describePattern(props.inset.pattern).toLowerCase()}`);

const change = (code: ChangeCode, recipe: (inset: Inset) => void) =>
  edit(changeLabel(code, props.inset.name), ({ insets }) => {
    const target = insets.find(({ id }) => id === props.inset.id);
    if (target) recipe(target);
  });
function rename(name: string): string | null {
  if (name === '') return 'Expected a name for the inset.';
  change('insetName', (inset) => {
    inset.name = name;
  });
  return null;
}
</script>

<template>
  <div class="stack inset">
    <TextField label="Name" :value="inset.name" :longest="60" :commit="rename" />
    <OutlineEditor
      :outline="inset.outline"
      :commit="
        (outline, part) =>
          change(part === 'size' ? 'insetSize' : 'insetOutline', (target) => {
            target.outline = outline;
          })
      "
    />
    <PlacedFrom
      :placed="inset"
      :surface="surface"
      :plan="plan"
      :commit="
        (from) =>
          change('insetPlace', (target) => {
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
          change('insetBorder', (target) => {
            target.border = border;
          })
      "
    />
    <p class="small soft">{{ laid }}</p>
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
