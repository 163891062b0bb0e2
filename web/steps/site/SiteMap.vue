<script setup lang="ts">
import { computed } from 'vue';
import { boxOf, type Polygon, type Ring } from '@azulejo/core/geometry/ring';
import type { SurfacePlan } from '@azulejo/core/planning/planned';
import type { TickState } from '@azulejo/core/site/tick';

/** Where a piece goes, with what is cut and laid already; its zone is outlined. */
const props = defineProps<{ plan: SurfacePlan; label: string; zone: string | null; stateOf: (label: string) => TickState }>();
const emit = defineEmits<{ choose: [label: string] }>();
const box = computed(() => boxOf(props.plan.traced.outline));
const around = computed(() => {
  const { minX, minY, maxX, maxY } = box.value;
  const rim = 0.02 * Math.max(maxX - minX, maxY - minY);
  return `${minX - rim} ${-maxY - rim} ${maxX - minX + 2 * rim} ${maxY - minY + 2 * rim}`;
});
const path = (rings: readonly Ring[]): string =>
  rings.map((ring) => `M${ring.map(([x, y]) => `${x.toFixed(1)} ${(-y).toFixed(1)}`).join('L')}Z`).join('');
const pathOf = (polygons: readonly Polygon[]): string => polygons.map(path).join('');
const zonePath = computed(() => pathOf(props.plan.zones.zones.find(({ id }) => id === props.zone)?.polygons ?? []));
</script>

<template>
  <svg class="map" :viewBox="around" role="img" :aria-label="`Where ${label} goes`">
    <path :d="path([plan.traced.outline])" class="ground" />
    <path :d="zonePath" class="zone" />
    <path
      v-for="cut in plan.cuts"
      :key="cut.label"
      :d="path(cut.polygon)"
      class="cut"
      :class="[stateOf(cut.label), { next: cut.label === label }]"
      @click="emit('choose', cut.label)"
    />
    <path v-for="{ fixture, ring } in plan.traced.fixtures" :key="fixture.id" :d="path([ring])" class="stands" />
  </svg>
</template>

<style scoped>
.map {
  width: 100%;
  height: 15rem;
}
.map path {
  vector-effect: non-scaling-stroke;
  stroke: var(--site-ink);
  stroke-width: 1;
  fill: none;
}
.map .ground {
  stroke-width: 2;
}
.map .zone {
  stroke-width: 3;
  fill: color-mix(in srgb, var(--site-ink) 10%, var(--site-ground));
}
.map .cut {
  fill: var(--site-ground);
}
.map .cut.cut {
  stroke-width: 1;
}
.map .cut.laid {
  fill: color-mix(in srgb, var(--site-ink) 45%, var(--site-ground));
}
.map .cut.next {
  fill: var(--site-ink);
}
.map .stands {
  stroke-dasharray: 3 3;
}
</style>
