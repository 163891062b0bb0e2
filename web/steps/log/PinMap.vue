<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import type { Point } from '@azulejo/core/geometry/point';
import { boxOf, type Ring } from '@azulejo/core/geometry/ring';
import type { SurfacePlan } from '@azulejo/core/planning/planned';

/** A surface in small with a place on it; where it is to be said, a tap says it. */
const props = defineProps<{ plan: SurfacePlan; pin: Point | null; picks?: boolean; label: string }>();
const emit = defineEmits<{ pick: [at: Point] }>();
const picture = useTemplateRef<SVGSVGElement>('picture');
const box = computed(() => boxOf(props.plan.traced.outline));
const rim = computed(() => 0.03 * Math.max(box.value.maxX - box.value.minX, box.value.maxY - box.value.minY));
const around = computed(() => {
  const { minX, minY, maxX, maxY } = box.value;
  return `${minX - rim.value} ${-maxY - rim.value} ${maxX - minX + 2 * rim.value} ${maxY - minY + 2 * rim.value}`;
});
const path = (ring: Ring): string => `M${ring.map(([x, y]) => `${x.toFixed(1)} ${(-y).toFixed(1)}`).join('L')}Z`;

function pick(event: MouseEvent): void {
  const matrix = picture.value?.getScreenCTM();
  if (!props.picks || !matrix) return;
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  emit('pick', [Math.round(x), Math.round(-y)]);
}
</script>

<template>
  <svg ref="picture" class="pin" :class="{ picks }" :viewBox="around" role="img" :aria-label="label" @click="pick">
    <path :d="path(plan.traced.outline)" class="ground" />
    <path v-for="{ fixture, ring } in plan.traced.fixtures" :key="fixture.id" :d="path(ring)" class="stands" />
    <circle v-if="pin" :cx="pin[0]" :cy="-pin[1]" :r="rim * 1.3" class="here" />
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
