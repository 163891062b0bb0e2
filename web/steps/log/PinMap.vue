<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import type { Point } from '@azulejo/core/geometry/point';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { frameOf, pathOf } from '../surfaceSvg.ts';

/** A surface in small with a place on it; where it is to be said, a tap says it. */
const props = defineProps<{ plan: SurfacePlan; pin: Point | null; picks?: boolean; label: string }>();
const emit = defineEmits<{ pick: [at: Point] }>();
const picture = useTemplateRef<SVGSVGElement>('picture');
const frame = computed(() => frameOf(props.plan.traced, 0.03));

function pick(event: MouseEvent): void {
  const matrix = picture.value?.getScreenCTM();
  if (!props.picks || !matrix) return;
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  emit('pick', [Math.round(x), Math.round(-y)]);
}
</script>

<template>
  <svg ref="picture" class="pin" :class="{ picks }" :viewBox="frame.viewBox" role="img" :aria-label="label" @click="pick">
    <path :d="pathOf([plan.traced.outline])" class="ground" />
    <path v-for="{ fixture, ring } in plan.traced.fixtures" :key="fixture.id" :d="pathOf([ring])" class="stands" />
    <circle v-if="pin" :cx="pin[0]" :cy="-pin[1]" :r="frame.rimMm * 1.3" class="here" />
  </svg>
</template>

<style scoped>
.pin {
  width: 100%;
  height: 9rem;
}
.picks {
  cursor: crosshair;
}
.pin path {
  vector-effect: non-scaling-stroke;
  stroke: var(--ink);
  fill: var(--paper);
}
.pin .stands {
  stroke: var(--ink-soft);
  stroke-dasharray: 3 3;
}
.here {
  fill: var(--chalk);
  stroke: var(--paper);
  vector-effect: non-scaling-stroke;
  stroke-width: 2;
}
</style>
