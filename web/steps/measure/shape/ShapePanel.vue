<script setup lang="ts">
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { PhPencilSimpleLine } from '@phosphor-icons/vue';
import { SHAPE_NAMES } from '@azulejo/core/messages/en/shapes';
import type { Surface } from '@azulejo/core/job/job';
import { asWalls } from '@azulejo/core/surface/shapes/asWalls';
import { reshape } from '@azulejo/core/surface/shapes/reshape';
import { SHAPES, type Shape, type ShapeId } from '@azulejo/core/surface/shapes/registry';
import { computed } from 'vue';
import ChoiceField from '../../../fields/ChoiceField.vue';
import { useAttempt } from '../../useAttempt.ts';
import { useEditSurface } from '../../useEditSurface.ts';
import ShapeFields from './ShapeFields.vue';
import SquareHelper from './SquareHelper.vue';
import WallsForm from './WallsForm.vue';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

const props = defineProps<{ surface: Surface }>();
const tape = useTape();
const edit = useEditSurface(() => props.surface.id);
const { trouble, attempt } = useAttempt(() => tape.value);
const kinds = (Object.keys(SHAPES) as ShapeId[]).map((value) => ({ value, label: SHAPE_NAMES[value] }));
const shape = computed(() => props.surface.measured.shape);

const commit = (next: Shape, label: ChangeLabel) =>
  edit(label, ({ measured }) => {
    measured.shape = next;
  });

/** Another kind of shape keeps the size; what stood on edges it does not have keeps it from being chosen. */
function choose(kind: ShapeId): void {
  const issues = kind === shape.value.kind ? [] : commit(reshape(shape.value, kind), 'shape');
  attempt(issues);
}
</script>

<template>
  <div class="stack" data-field="measured.shape">
    <ChoiceField label="Shape" :value="shape.kind" :options="kinds" @choose="choose" />
    <TroubleNote :why="trouble" />
    <template v-if="shape.kind === 'walls'">
      <WallsForm :shape="shape" :commit="commit" />
      <p v-if="shape.checks.length === 0" class="soft small">Corners can be dragged on the drawing; every length can be typed over.</p>
    </template>
    <template v-else>
      <ShapeFields :shape="shape" :commit="commit" large />
      <Button severity="secondary" outlined @click="commit(asWalls(shape), 'measureWallByWall')"
        ><PhPencilSimpleLine :size="18" />Measure it wall by wall: out of square, curves, diagonals</Button
      >
      <SquareHelper v-if="shape.kind === 'rectangle'" :first-mm="shape.widthMm" :second-mm="shape.heightMm" />
    </template>
  </div>
</template>
