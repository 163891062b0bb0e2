<script setup lang="ts">
import { computed, ref } from 'vue';
import { issue } from '@azulejo/core/result';
import { handyPart, largestTriangle, readThirdSide } from '@azulejo/core/surface/squareTriangle';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import LengthField from '../../../fields/LengthField.vue';
import { useTape } from '../../../fields/useTape.ts';

/** The 3-4-5 triangle for a corner between two walls. */
const props = defineProps<{ firstMm: number; secondMm: number }>();
const tape = useTape();
/** No room was ever built so far off square by its corner: the marks were mixed up, degrees. */
const FAR_OFF_DEG = 20;
const acrossMm = ref<number | null>(null);
const triangle = computed(() => largestTriangle(props.firstMm, props.secondMm, handyPart(tape.value)));
const reading = computed(() =>
  triangle.value && acrossMm.value !== null ? readThirdSide(triangle.value, acrossMm.value, props.secondMm) : null,
);
const show = (mm: number): string => formatLength(mm, tape.value);
const setAcross = (mm: number) => {
  const { value } = triangle;
  if (value && !readThirdSide(value, mm, props.secondMm)) {
    const togetherMm = value.firstMm + value.secondMm;
    return [issue('shape/no-triangle', [], { longest: 'across', longestMm: mm, first: 'one leg', second: 'the other', togetherMm })];
  }
  const angle = value && readThirdSide(value, mm, props.secondMm)?.angleDeg;
  if (value && angle && Math.abs(angle - 90) > FAR_OFF_DEG) {
    return [issue('shape/far-off-square', [], { acrossMm: mm, squareMm: value.acrossMm, deg: Math.round(angle) })];
  }
  acrossMm.value = mm;
  return [];
};
</script>

<template>
  <section class="stack">
    <h3>Is it square?</h3>
    <template v-if="triangle">
      <p class="small">
        Mark <b class="figure">{{ show(triangle.firstMm) }}</b> along the first wall and
        <b class="figure">{{ show(triangle.secondMm) }}</b> along the second. Square, the marks are
        <b class="figure">{{ show(triangle.acrossMm) }}</b> apart.
      </p>
      <LengthField label="They are apart" :mm="acrossMm" :commit="setAcross" positive />
      <p v-if="reading" data-testid="square-reading">
        {{ reading.angleDeg.toFixed(2) }}°: over its {{ formatLengthWithUnit(secondMm, tape) }} the second wall runs
        <b class="figure">{{ formatLengthWithUnit(Math.abs(reading.runOffMm), tape) }}</b>
        {{ Math.abs(reading.runOffMm) < 0.25 ? 'off: square' : reading.runOffMm > 0 ? 'outwards' : 'inwards' }}.
      </p>
    </template>
    <p v-else class="soft small">The walls are too short for a 3-4-5 triangle.</p>
  </section>
</template>
