<script setup lang="ts">
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhArrowDown, PhArrowUp } from '@phosphor-icons/vue';
import type { Surface } from '@azulejo/core/job/job';
import { describeZone, describeZones } from '@azulejo/core/messages/en/zones';
import { thingNamesOf } from '@azulejo/core/messages/thingNames';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { USUAL_REACH_MM, type ZoneChoice } from '@azulejo/core/zones/zoneChoice';
import ChoiceField from '../../fields/ChoiceField.vue';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import NumberField from '../../fields/NumberField.vue';
import { useBoardStore } from '../../stores/boardStore.ts';
import { edgeTitle } from '../edgeTitle.ts';
import { useTape } from '../../fields/useTape.ts';
import { orderMoved, zonesWanted } from './model.ts';
import { useEditSurface } from '../useEditSurface.ts';

/** The zones in which a surface is laid, in their order; moved by hand, the proof is made again. */
const props = defineProps<{ surface: Surface; plan: SurfacePlan }>();
const board = useBoardStore();
const tape = useTape();
const edit = useEditSurface(() => props.surface.id);
/** As they are wanted now, also while the plan is still catching up with the hand. */
const zones = computed(() => zonesWanted(props.plan.zones.zones, props.surface.zones?.order));
const words = computed(() => describeZones(props.plan.zones, thingNamesOf(props.plan.traced)));
const set = (label: ChangeLabel, part: ZoneChoice) => edit(label, (target) => (target.zones = { ...target.zones, ...part }));
const largest = computed(() => Math.max(0, ...zones.value.map(({ areaMm2 }) => areaMm2)) / 1e6);

const MEASURED = 'measured';
const ways = computed(() => [
  { value: MEASURED, label: 'By the doorways' },
  ...new Map(
    props.plan.traced.edges.filter(({ isReveal }) => !isReveal).map(({ id }) => [id, { value: id, label: edgeTitle(props.plan, id) }]),
  ).values(),
]);

/** Lays a zone a turn earlier or later. */
const move = (k: number, by: number) => set('orderOfZones', { order: orderMoved(zones.value, k, by) });
function asProposed(): void {
  edit('zonesAsProposed', (target) => {
    if (target.zones) delete target.zones.order;
  });
}
function setExit(id: string): void {
  edit('wayOut', (target) => {
    target.zones = { ...target.zones, exit: id };
    if (id === MEASURED) delete target.zones.exit;
  });
}
</script>

<template>
  <section class="stack">
    <h2>Laying zones</h2>
    <p>{{ words }}</p>
    <FieldGrid>
      <LengthField
        label="Arm's reach"
        :mm="surface.zones?.reachMm ?? USUAL_REACH_MM"
        :commit="(reachMm) => set('reach', { reachMm })"
        positive
      />
      <NumberField
        data-field="zones.areaM2"
        label="A zone at most"
        unit="m²"
        :value="surface.zones?.areaM2 ?? Math.round(largest * 100) / 100"
        :commit="(areaM2) => set('sizeOfZones', { areaM2 })"
      />
      <ChoiceField
        v-if="surface.kind === 'floor'"
        data-field="zones.exit"
        label="One leaves"
        :value="surface.zones?.exit ?? MEASURED"
        :options="ways"
        @choose="setExit"
      />
    </FieldGrid>
    <p v-if="surface.zones?.areaM2 === undefined" class="small soft">
      No zone is larger than one mix of adhesive covers at this pace, nor deeper than the reach.
    </p>
    <Button v-if="surface.zones?.order" label="Take the proposed order" severity="secondary" outlined @click="asProposed" />
    <ol class="zones" data-field="zones.order">
      <li
        v-for="(zone, k) in zones"
        :key="zone.id"
        :class="{ caged: !zone.isReached }"
        @mouseenter="board.chosenZone = zone.id"
        @mouseleave="board.chosenZone = null"
        @focusin="board.chosenZone = zone.id"
        @focusout="board.chosenZone = null"
      >
        <b class="figure">{{ zone.number }}</b>
        <span class="grow">{{ describeZone(zone, tape) }}<span v-if="!zone.isReached" class="why">Nobody gets there any more.</span></span>
        <Button text rounded severity="secondary" :disabled="k === 0" :aria-label="`Lay zone ${zone.number} earlier`" @click="move(k, -1)"
          ><PhArrowUp
        /></Button>
        <Button
          text
          rounded
          severity="secondary"
          :disabled="k === zones.length - 1"
          :aria-label="`Lay zone ${zone.number} later`"
          @click="move(k, 1)"
          ><PhArrowDown
        /></Button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.zones {
  list-style: none;
  margin: 0;
  padding: 0;
}
.zones li {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 0.15rem 0;
}
.zones b {
  min-width: 1.6rem;
  text-align: right;
  font-size: 1.15rem;
}
.caged b {
  color: var(--warn);
}
</style>
