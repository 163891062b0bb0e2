<script setup lang="ts">
import { computed } from 'vue';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { isZoneLaid } from '@azulejo/core/site/zoneTicks';
import type { TickState } from '@azulejo/core/site/tick';
import { words } from '../../words/useWords.ts';
import { frameOf, pathOf } from '../surfaceSvg.ts';

/** Where a piece goes, with what is cut and laid already; its zone is outlined. */
const props = defineProps<{ plan: SurfacePlan; label: string; zone: string | null; stateOf: (label: string) => TickState }>();
const emit = defineEmits<{ choose: [label: string] }>();
const strips = computed(() => props.plan.toCut.flatMap(({ strip, polygon }) => (strip ? polygon : [])));
const frame = computed(() => frameOf(props.plan.traced, 0.02, strips.value));
/** Zones that lie, whole tiles and all. */
const laidPath = computed(() =>
  pathOf(
    props.plan.zones.zones.flatMap((zone) => (isZoneLaid(zone, (label) => props.stateOf(label) === 'laid') ? zone.polygons.flat() : [])),
  ),
);
const zonePath = computed(() => pathOf((props.plan.zones.zones.find(({ id }) => id === props.zone)?.polygons ?? []).flat()));
</script>

<template>
  <svg class="map" :viewBox="frame.viewBox" role="img" :aria-label="words.say('site/whereGoes', { label })">
    <path :d="pathOf([plan.traced.outline])" class="ground" />
    <path :d="laidPath" class="laid" />
    <path :d="zonePath" class="zone" />
    <path
      v-for="cut in plan.toCut"
      :key="cut.label"
      :d="pathOf(cut.polygon)"
      class="cut"
      :class="[stateOf(cut.label), { next: cut.label === label }]"
      @click="emit('choose', cut.label)"
    />
    <path v-for="{ fixture, ring } in plan.traced.fixtures" :key="fixture.id" :d="pathOf([ring])" class="stands" />
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
.map .laid,
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
