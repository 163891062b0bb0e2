<script setup lang="ts">
import { computed } from 'vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import { useTape } from '../../fields/useTape.ts';
import YesNoField from '../../fields/YesNoField.vue';
import { useEditSurface } from '../useEditSurface.ts';

/** Whether joints run on into the surfaces that this one meets. */
const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan }>();
const tape = useTape();
const edit = useEditSurface(() => props.surface.id);
const names = computed(() =>
  props.plan.group.surfaceIds.flatMap((id) => props.job.surfaces.find((surface) => surface.id === id)?.name ?? []).join(', '),
);
const set = (runOn: boolean): void => {
  edit(runOn ? 'intoItsGroup' : 'outOfItsGroup', (target) => {
    if (runOn) delete target.apart;
    else target.apart = true;
  });
};
const kerfMm = computed(() => props.job.consumption.kerfMm);
const nameOf = (id: string): string => props.job.surfaces.find((surface) => surface.id === id)?.name ?? id;
const setRunsOn = (linkId: string, runsOn: boolean): void => {
  edit(runsOn ? 'offCutsRunOn' : 'offCutsStay', (_, job) => {
    const link = job.links.find(({ id }) => id === linkId);
    if (link && runsOn) link.runsOn = true;
    else if (link) delete link.runsOn;
  });
};
</script>

<template>
  <section v-if="names" class="stack">
    <YesNoField label="Joints run on from surface to surface" :value="!surface.apart" @choose="set" />
    <p class="small soft">{{ surface.apart ? 'Set out by itself, beside' : 'Set out together with' }} {{ names }}.</p>
    <template v-if="!surface.apart">
      <YesNoField
        v-for="{ linkId, surfaceId, runsOn } in plan.group.corners"
        :key="linkId"
        :label="`What is cut off runs on round the corner, to ${nameOf(surfaceId)}`"
        :value="runsOn"
        @choose="setRunsOn(linkId, $event)"
      />
      <p v-if="kerfMm > 0 && plan.group.corners.some(({ runsOn }) => runsOn)" class="small soft">
        The pattern meets at the corner as if one tile were bent round it. The saw takes {{ formatLengthWithUnit(kerfMm, tape) }} between
        the two pieces, so each comes from a tile of its own.
      </p>
    </template>
    <p v-if="plan.group.offMm > 1 && !surface.apart" class="why">
      The levels do not agree all the way round: they are {{ formatLengthWithUnit(plan.group.offMm, tape) }} apart where the ring closes, so
      each is set out by itself. Measure the heights again, or take one out.
    </p>
  </section>
</template>
