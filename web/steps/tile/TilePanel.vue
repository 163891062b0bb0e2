<script setup lang="ts">
import { computed } from 'vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import ChoiceField from '../../fields/ChoiceField.vue';
import PartTabs from '../../fields/PartTabs.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { TILE_PARTS, useBoardStore } from '../../stores/boardStore.ts';
import ColoursForm from './colours/ColoursForm.vue';
import PatternForm from './pattern/PatternForm.vue';
import PlaceForm from './place/PlaceForm.vue';
import SetInForm from './setIn/SetInForm.vue';
import TileForm from './TileForm.vue';
import { useLaying } from './useLaying.ts';

const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan | null }>();
const board = useBoardStore();
const edited = useLaying(
  () => props.surface,
  () => board.chosenInset,
);
const { laying } = edited;
/** No inset has this id: it is not one that a field can have. */
const WHOLE = '*';
const fields = computed(() => [
  { value: WHOLE, label: 'The whole surface' },
  ...props.surface.insets.map(({ id, name }) => ({ value: id, label: name })),
]);
</script>

<template>
  <SwitchField
    label="The drawing shows"
    :value="board.finished ? 'finished' : 'working'"
    :options="[
      { value: 'working', label: 'Pieces and cuts' },
      { value: 'finished', label: 'The finished look' },
    ]"
    @choose="board.finished = $event === 'finished'"
  />
  <PartTabs v-model="board.tilePart" :parts="TILE_PARTS" label="Parts of tile and pattern" />
  <ChoiceField
    v-if="fields.length > 1 && board.tilePart !== 'setIn' && board.tilePart !== 'place'"
    label="For"
    :value="board.chosenInset ?? WHOLE"
    :options="fields"
    @choose="board.chosenInset = $event === WHOLE ? null : $event"
  />
  <TileForm v-if="board.tilePart === 'tile'" :job="job" :surface="surface" :laying="laying" :edited="edited" />
  <PatternForm v-else-if="board.tilePart === 'pattern'" :job="job" :surface="surface" :plan="plan" :laying="laying" :edited="edited" />
  <ColoursForm v-else-if="board.tilePart === 'colours'" :job="job" :surface="surface" :laying="laying" :edited="edited" />
  <PlaceForm v-else-if="board.tilePart === 'place'" :job="job" :surface="surface" />
  <SetInForm v-else :job="job" :surface="surface" :plan="plan" />
</template>
