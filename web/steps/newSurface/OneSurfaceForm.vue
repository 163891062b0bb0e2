<script setup lang="ts">
import { computed, ref, watch, watchEffect } from 'vue';
import { SHAPE_FIELDS, SHAPE_NAMES } from '@azulejo/core/messages/en/shapes';
import { checkShape, SHAPES, type Shape, type ShapeId } from '@azulejo/core/surface/shapes/registry';
import type { Issue } from '@azulejo/core/result';
import { figuresOf } from '@azulejo/core/units/figuresOf';
import ChoiceField from '../../fields/ChoiceField.vue';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import PictureChoice from '../../fields/PictureChoice.vue';
import ShapeGlyph from './ShapeGlyph.vue';
import WallWalk from './WallWalk.vue';
import type { SurfaceToBe } from './surfaceToBe.ts';
import type { Walked } from './walk.ts';

/** One surface by a quick form, or wall by wall; emits its shape once every length is there. */
const emit = defineEmits<{ shape: [shape: Shape | null]; walk: [walked: Walked | null]; toBe: [toBe: SurfaceToBe | null] }>();
const kind = ref<ShapeId>('rectangle');
const lengths = ref<Record<string, number>>({});
const side = ref<'left' | 'right'>('left');
const missing = ref<'top-left' | 'top-right' | 'bottom-left' | 'bottom-right'>('top-right');
const kinds = (Object.keys(SHAPES) as ShapeId[]).map((value) => ({ value, label: SHAPE_NAMES[value] }));
const MISSING = [
  { value: 'top-left', label: 'Top left' },
  { value: 'top-right', label: 'Top right' },
  { value: 'bottom-left', label: 'Bottom left' },
  { value: 'bottom-right', label: 'Bottom right' },
] as const;
const SIDES = [
  { value: 'left', label: 'Left' },
  { value: 'right', label: 'Right' },
] as const;
/** Two lengths need no more words than their direction. */
const fields = computed(() =>
  kind.value === 'rectangle'
    ? ([
        ['widthMm', 'Left to right'],
        ['heightMm', 'Bottom to top'],
      ] as const)
    : kind.value === 'walls'
      ? []
      : SHAPE_FIELDS[kind.value],
);

function shapeWith(entered: Record<string, number>): Shape | null {
  if (kind.value === 'walls') return null;
  const full = kind.value === 'counterRun' ? { cornerCutMm: 0, ...entered } : entered;
  if (fields.value.some(([field]) => (full as Record<string, number>)[field] === undefined)) return null;
  const choices = kind.value === 'lShape' ? { missing: missing.value } : kind.value === 'counterRun' ? { corner: side.value } : {};
  return { kind: kind.value, ...full, ...choices } as Shape;
}
const setField =
  (field: string) =>
  (mm: number): readonly Issue[] => {
    const next = { ...lengths.value, [field]: mm };
    const shape = shapeWith(next);
    const issues = shape ? checkShape(shape) : [];
    if (issues.length === 0) lengths.value = next;
    return issues;
  };
watch([lengths, missing, side, kind], () => emit('shape', shapeWith(lengths.value)));
watchEffect(() => emit('toBe', toBe()));

/** The shape that is coming: what is entered, the usual figures for the rest as long as they go together. */
function toBe(): SurfaceToBe | null {
  if (kind.value === 'walls') return null;
  const entered = lengths.value;
  const usual = figuresOf(SHAPES[kind.value].defaults);
  const toGo = fields.value.filter(([field]) => entered[field] === undefined && field !== 'cornerCutMm').map(([, label]) => label);
  const shape = shapeWith({ ...usual, ...entered });
  const fits = shape !== null && checkShape(shape).length === 0;
  return { shape: fits ? shape : SHAPES[kind.value].defaults, toGo };
}

function choose(next: ShapeId): void {
  kind.value = next;
  lengths.value = {};
  emit('walk', null);
}
</script>

<template>
  <PictureChoice v-slot="{ value }" label="Shape" :value="kind" :options="kinds" @choose="choose">
    <ShapeGlyph :kind="value" />
  </PictureChoice>
  <WallWalk v-if="kind === 'walls'" @shape="emit('shape', $event)" @walk="emit('walk', $event)" />
  <FieldGrid v-else>
    <LengthField
      v-for="[field, label] in fields"
      :key="`${kind} ${field}`"
      :label="label"
      :mm="lengths[field] ?? (field === 'cornerCutMm' ? 0 : null)"
      :commit="setField(field)"
      :positive="field !== 'cornerCutMm'"
      large
    />
    <ChoiceField v-if="kind === 'lShape'" label="Missing corner" :value="missing" :options="MISSING" @choose="missing = $event" />
    <ChoiceField v-if="kind === 'counterRun'" label="The corner is on the" :value="side" :options="SIDES" @choose="side = $event" />
  </FieldGrid>
</template>
