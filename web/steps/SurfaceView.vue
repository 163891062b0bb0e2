<script setup lang="ts">
import { computed, toRef, useTemplateRef, watch } from 'vue';
import type { Point } from '@azulejo/core/geometry/point';
import { productOf, tapeOf } from '@azulejo/core/job/job';
import { METRIC_TAPE } from '@azulejo/core/units/tape';
import { facesOf } from '../board/faces.ts';
import SetoutBoard from '../board/SetoutBoard.vue';
import type { SurfaceStep } from './surfaceSteps.ts';
import StepTape from '../shell/StepTape.vue';
import { provideTape } from '../fields/useTape.ts';
import { useBoardStore } from '../stores/boardStore.ts';
import { useSurfacePlan } from '../workers/useSurfacePlan.ts';
import CutsPanel from './cuts/CutsPanel.vue';
import { useCutsOnBoard } from './cuts/useCutsOnBoard.ts';
import FindingList from './FindingList.vue';
import PlanProgressBar from './PlanProgressBar.vue';
import LoadingState from './LoadingState.vue';
import MeasurePanel from './measure/MeasurePanel.vue';
import { useMeasureOnBoard } from './measure/useMeasureOnBoard.ts';
import SetoutPanel from './setout/SetoutPanel.vue';
import { useSetoutMoves } from './setout/useSetoutMoves.ts';
import { useSetoutOnBoard } from './setout/useSetoutOnBoard.ts';
import type { StepOnBoard } from './stepOnBoard.ts';
import SurfaceHead from './SurfaceHead.vue';
import { useArrival } from './useArrival.ts';
import TilePanel from './tile/TilePanel.vue';
import { useInsetMoves } from './tile/setIn/useInsetMoves.ts';
import { useTileOnBoard } from './tile/useTileOnBoard.ts';
import { useBoardKeys, type BoardHandle } from './useBoardKeys.ts';
import { useOpenJob } from './useOpenJob.ts';

const props = defineProps<{ jobId: string; surfaceId: string; step: SurfaceStep }>();
const { jobs, trouble } = useOpenJob(toRef(props, 'jobId'));
const board = useBoardStore();
const { surface, drawing, isBehind, plan, cuts, toCut, failed, progress, isStopped, stop, again } = useSurfacePlan(
  toRef(props, 'surfaceId'),
);
watch(
  () => props.surfaceId,
  () => board.clear(),
  { immediate: true },
);

useArrival(surface);

const product = computed(() => (jobs.job && surface.value ? productOf(jobs.job, surface.value) : null));
const faces = computed(() => facesOf(jobs.job ?? { products: [] }, surface.value ?? { jointColour: '#888888' }));
const tape = computed(() => (jobs.job && surface.value ? tapeOf(jobs.job, surface.value) : METRIC_TAPE));
provideTape(() => tape.value);
const moves = useSetoutMoves(surface, { drawing, isBehind }, tape);
const steps: Readonly<Record<SurfaceStep, StepOnBoard>> = {
  measure: useMeasureOnBoard(surface, drawing, tape),
  tile: useTileOnBoard({ job: computed(() => jobs.job), surface, drawing, cuts }, useInsetMoves(surface, tape)),
  setout: useSetoutOnBoard(drawing, moves),
  cuts: useCutsOnBoard({ job: computed(() => jobs.job), surface, plan, toCut }),
};
const onBoard = computed(() => steps[props.step]);
const boardRef = useTemplateRef<BoardHandle>('boardRef');
useBoardKeys(onBoard, boardRef);

const missing = computed(() => (jobs.job && !surface.value ? 'The job has no such surface. It may have been deleted.' : trouble.value));

const move = (by: Point): void => moves.moveBy(by);
</script>

<template>
  <LoadingState v-if="!jobs.job || !surface || !product" :trouble="missing" />
  <div v-else class="surface">
    <StepTape :job-id="jobId" :surface-id="surfaceId" :current="step" />
    <div class="work">
      <SetoutBoard
        ref="boardRef"
        :drawing="drawing"
        :cuts="cuts"
        :to-cut="toCut"
        :faces="faces"
        :show="onBoard.show.value"
        :chosen-pieces="onBoard.chosenPieces.value"
        :ticked="onBoard.ticked?.value ?? new Map()"
        :zones="plan?.zones.zones ?? []"
        :chosen-zone="board.chosenZone"
        :chosen-edge="onBoard.chosenEdge?.value ?? null"
        :movable="step === 'setout'"
        :label="`${surface.name}, drawn to scale. The cut list and the lines to strike give the same in words.`"
        :measure="onBoard.measure?.value ?? null"
        :grips="onBoard.holds?.grips.value ?? []"
        @move="move"
        @drop="moves.drop"
        @move-grip="(id, by) => onBoard.holds?.move(id, by)"
        @drop-grip="onBoard.holds?.drop()"
        @pick-piece="onBoard.pickPiece?.($event)"
        @pick-edge="board.chosenEdge = $event"
        @tap="onBoard.tap?.($event)"
      >
        <p v-if="failed && board.layingPreview === null" class="failed" role="alert">
          This setout could not be computed. Undo the last change, or change a size; nothing is lost.
        </p>
        <p class="heard" aria-live="polite">{{ onBoard.told?.value }}</p>
        <PlanProgressBar
          v-if="board.preview === null && board.measuredPreview === null && board.insetsPreview === null"
          :progress="progress"
          :stopped="isStopped"
          @stop="stop"
          @again="again"
        />
      </SetoutBoard>
      <main class="panel" :aria-label="`${surface.name}: ${step}`">
        <SurfaceHead :job="jobs.job" :surface="surface" :step="step" :plan="plan" />
        <FindingList :job="jobs.job" :surface="surface" :plan="plan" :step="step" />
        <MeasurePanel v-if="step === 'measure'" :job="jobs.job" :product="product" :surface="surface" :plan="plan" />
        <TilePanel v-else-if="step === 'tile'" :job="jobs.job" :surface="surface" :plan="plan" />
        <SetoutPanel v-else-if="step === 'setout'" :job="jobs.job" :surface="surface" :plan="plan" :drawing="drawing" :moves="moves" />
        <CutsPanel v-else :job="jobs.job" :surface="surface" :plan="plan" />
      </main>
    </div>
  </div>
</template>

<style scoped>
.failed {
  position: absolute;
  inset: 12px 12px auto;
  background: var(--bad-soft);
  color: var(--bad);
  padding: 0.6rem 0.9rem;
  border-radius: 4px;
}
.heard {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.surface {
  display: flex;
  flex-direction: column;
}
.work {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
}
.panel {
  background: var(--panel);
  overflow-y: auto;
  padding: 1.1rem 1.25rem 2rem;
  display: grid;
  gap: 1.1rem;
  align-content: start;
  min-width: 0;
}
@media print {
  .work {
    display: block;
  }
}
@media (max-width: 860px) {
  .work {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: 42% minmax(0, 1fr);
  }
  .panel {
    padding: 0.9rem 1rem 2rem;
  }
}
/* So low, as when the page is zoomed in, drawing and panel go by one after the other. */
@media (max-width: 860px) and (max-height: 560px) {
  .surface {
    overflow-y: auto;
  }
  .work {
    display: block;
    flex: none;
  }
  .work > :deep(.board) {
    height: min(17rem, 62vh);
  }
  .panel {
    overflow-y: visible;
  }
}
</style>
