<script setup lang="ts">
import { computed } from 'vue';
import { SHAPE_NAMES } from '@azulejo/core/messages/en/shapes';
import type { Issue } from '@azulejo/core/result';
import { fixtureSize, type Fixture } from '@azulejo/core/surface/fixture';
import { SHAPES, type Shape, type ShapeId } from '@azulejo/core/surface/shapes/registry';
import { reshape } from '@azulejo/core/surface/shapes/reshape';
import ChoiceField from '../../fields/ChoiceField.vue';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import TroubleNote from '../../fields/TroubleNote.vue';
import { useTape } from '../../fields/useTape.ts';
import { useAttempt } from '../useAttempt.ts';
import ShapeFields from './shape/ShapeFields.vue';
import WallsForm from './shape/WallsForm.vue';

/** The outline of what is placed on a surface, a fixture or an inset, with its sizes; the slot has fields beside them. */
const props = defineProps<{
  outline: Fixture['outline'];
  commit: (outline: Fixture['outline'], part: 'outline' | 'size') => readonly Issue[];
}>();
const tape = useTape();
const { trouble, attempt } = useAttempt(() => tape.value);

const OUTLINES = [
  { value: 'rectangle', label: 'Rectangle' },
  { value: 'round', label: 'Round' },
  ...(Object.keys(SHAPES) as ShapeId[]).filter((id) => id !== 'rectangle').map((value) => ({ value, label: SHAPE_NAMES[value] })),
];
const kind = computed(() => (props.outline.kind === 'shape' ? props.outline.shape.kind : props.outline.kind));
function setKind(next: string): void {
  const { widthMm, heightMm } = fixtureSize(props.outline);
  if (next === 'round') attempt(props.commit({ kind: next, diameterMm: Math.min(widthMm, heightMm) }, 'outline'));
  else if (next === 'rectangle') attempt(props.commit({ kind: next, widthMm, heightMm }, 'outline'));
  else setShape(reshape({ kind: 'rectangle', widthMm, heightMm }, next as ShapeId));
}
const setSize = (size: Partial<Record<'widthMm' | 'heightMm' | 'diameterMm', number>>) =>
  props.commit({ ...props.outline, ...size } as Fixture['outline'], 'size');
const putShape = (shape: Shape) => props.commit({ kind: 'shape', shape }, 'outline');
const setShape = (shape: Shape): void => attempt(putShape(shape));
</script>

<template>
  <FieldGrid>
    <ChoiceField label="Outline" :value="kind" :options="OUTLINES" @choose="setKind" />
    <template v-if="outline.kind === 'rectangle'">
      <LengthField label="Width" :mm="outline.widthMm" :commit="(widthMm) => setSize({ widthMm })" positive />
      <LengthField label="Height" :mm="outline.heightMm" :commit="(heightMm) => setSize({ heightMm })" positive />
    </template>
    <LengthField
      v-if="outline.kind === 'round'"
      label="Outer diameter"
      :mm="outline.diameterMm"
      :commit="(diameterMm) => setSize({ diameterMm })"
      positive
    />
    <slot />
  </FieldGrid>
  <TroubleNote :why="trouble" />
  <template v-if="outline.kind === 'shape'">
    <WallsForm v-if="outline.shape.kind === 'walls'" :shape="outline.shape" :commit="putShape" />
    <ShapeFields v-else :shape="outline.shape" :commit="putShape" />
  </template>
</template>
