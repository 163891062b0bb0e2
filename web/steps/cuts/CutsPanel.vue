<script setup lang="ts">
import { useDocumentVisibility, useIntervalFn } from '@vueuse/core';
import { computed, watch } from 'vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { CUT_PARTS, useBoardStore } from '../../stores/boardStore.ts';
import { useTickStore } from '../../stores/tickStore.ts';
import PartTabs from '../../fields/PartTabs.vue';
import { useJobPlan } from '../../workers/useJobPlan.ts';
import CutPapers from './CutPapers.vue';
import DryLay from './DryLay.vue';
import OpenedTiles from './OpenedTiles.vue';
import PracticeMarks from './PracticeMarks.vue';
import PiecesToCut from './PiecesToCut.vue';

const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan | null }>();
const board = useBoardStore();
/** Surfaces that share a tile take from what another left: where pieces come from is planned for all together. */
const { plan: shared } = useJobPlan({ besideSurface: true });
const offCuts = computed(() => shared.value?.surfaces.find(({ surfaceId }) => surfaceId === props.surface.id)?.offCuts ?? null);

/** Another phone ticks too: looked at now and then while this is in sight. */
const LOOK_EVERY_MS = 15_000;
const ticks = useTickStore();
const sight = useDocumentVisibility();
const look = (): void => {
  if (sight.value === 'visible') void ticks.look(props.job.id);
};
watch([sight, () => props.job.id], look, { immediate: true });
useIntervalFn(look, LOOK_EVERY_MS);
</script>

<template>
  <template v-if="plan">
    <CutPapers :job="job" :surface="surface" :plan="plan" />
    <PartTabs v-model="board.cutPart" data-field="cuts" :parts="CUT_PARTS" label="Parts of cutting" />
    <PiecesToCut v-if="board.cutPart === 'pieces'" :job="job" :surface="surface" :plan="plan" :off-cuts="offCuts" />
    <DryLay v-else-if="board.cutPart === 'dry'" :job="job" :surface="surface" :plan="plan" />
    <PracticeMarks v-else-if="board.cutPart === 'practice'" :job="job" :plan="plan" />
    <template v-else>
      <OpenedTiles v-if="offCuts" :job="job" :surface="surface" :off-cuts="offCuts" />
      <p v-else class="soft" role="status">Sharing out off-cuts over all surfaces</p>
    </template>
  </template>
  <p v-else class="soft" role="status">Working out the cuts</p>
</template>
