<script setup lang="ts">
import { changeLabel, type ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import { computed } from 'vue';
import { SHAPE_FIELDS } from '@azulejo/core/messages/en/shapes';
import type { Issue } from '@azulejo/core/result';
import type { Shape } from '@azulejo/core/surface/shapes/registry';
import FieldGrid from '../../../fields/FieldGrid.vue';
import LengthField from '../../../fields/LengthField.vue';
import { figuresOf } from '@azulejo/core/units/figuresOf';
import ChoiceField from '../../../fields/ChoiceField.vue';
import SwitchField from '../../../fields/SwitchField.vue';

type Plain = Exclude<Shape, { kind: 'walls' }>;

/** The figures of a shape with a quick form; every change is a whole shape. */
const props = defineProps<{ shape: Plain; commit: (shape: Shape, label: ChangeLabel) => readonly Issue[]; large?: boolean }>();
const fields = computed(() => SHAPE_FIELDS[props.shape.kind]);
const MAY_BE_ZERO = new Set(['cornerCutMm']);
const valueOf = (field: string): number => figuresOf(props.shape)[field] ?? 0;
const setField = (field: string) => (mm: number) =>
  props.commit({ ...props.shape, [field]: mm } as Shape, changeLabel('shapeLength', field));
const MISSING = [
  { value: 'top-left', label: 'Top left' },
  { value: 'top-right', label: 'Top right' },
  { value: 'bottom-left', label: 'Bottom left' },
  { value: 'bottom-right', label: 'Bottom right' },
] as const;
</script>

<template>
  <FieldGrid>
    <LengthField
      v-for="[field, label] in fields"
      :key="field"
      :label="label"
      :mm="valueOf(field)"
      :commit="setField(field)"
      :positive="!MAY_BE_ZERO.has(field)"
      :measures="`shape.${field}`"
      :large="large"
    />
    <ChoiceField
      v-if="shape.kind === 'lShape'"
      label="Missing corner"
      :value="shape.missing"
      :options="MISSING"
      @choose="(missing) => commit({ ...shape, missing } as Shape, 'missingCorner')"
    />
    <SwitchField
      v-if="shape.kind === 'counterRun'"
      label="The corner is on the"
      :value="shape.corner"
      :options="[
        { value: 'left', label: 'Left' },
        { value: 'right', label: 'Right' },
      ]"
      @choose="(corner) => commit({ ...shape, corner } as Shape, 'corner')"
    />
  </FieldGrid>
</template>
