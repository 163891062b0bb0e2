<script setup lang="ts">
import { computed, toRef, useTemplateRef, watch } from 'vue';
import type { Point } from '@azulejo/core/geometry/point';
import { productOf, tapeOf } from '@azulejo/core/job/job';
import { addressAt } from '@azulejo/core/setout/place/addressAt';
import { METRIC_TAPE } from '@azulejo/core/units/tape';
import { facesOf } from '../board/faces.ts';
import SetoutBoard from '../board/SetoutBoard.vue';
import type { SurfaceStep } from './surfaceSteps.ts';
import StepTape from '../shell/StepTape.vue';
import { provideTape } from '../fields/useTape.ts';
import { useBoardStore } from '../stores/boardStore.ts';
import { useSurfacePlan } from '../workers/useSurfacePlan.ts';
import CutsPanel from './cuts/CutsPanel.vue';
import FindingList from './FindingList.vue';
import PlanProgressBar from './PlanProgressBar.vue';
import LoadingState from './LoadingState.vue';
import MeasurePanel from './measure/MeasurePanel.vue';
import SetoutPanel from './setout/SetoutPanel.vue';
import { useMeasureMoves } from './measure/useMeasureMoves.ts';
import { useMeasureOverlay } from './measure/useMeasureOverlay.ts';
import { useSetoutMoves } from './setout/useSetoutMoves.ts';
import SurfaceHead from './SurfaceHead.vue';
import TilePanel from './tile/TilePanel.vue';
import { useInsetMoves } from './tile/setIn/useInsetMoves.ts';
import { useGiveNext } from './tile/colours/useGiveNext.ts';
import { useBoardKeys, type BoardHandle } from './useBoardKeys.ts';
import { useOpenJob } from './useOpenJob.ts';

const props = defineProps<{ jobId: string; surfaceId: string; step: SurfaceStep }>();
const { jobs, trouble } = useOpenJob(toRef(props, 'jobId'));
const board = useBoardStore();
const { surface, drawing, plan, cuts, failed, progress, isStopped, stop, again } = useSurfacePlan(toRef(props, 'surfaceId'));
watch(
  () => props.surfaceId,
  () => board.clear(),
  { immediate: true },
);

const product = computed(() => (jobs.job && surface.value ? productOf(jobs.job, surface.value) : null));
const faces = computed(() => facesOf(jobs.job ?? { products: [] }, surface.value ?? { jointColour: '#888888' }));
const tape = computed(() => (jobs.job && surface.value ? tapeOf(jobs.job, surface.value) : METRIC_TAPE));
provideTape(() => tape.value);
const moves = useSetoutMoves(surface, drawing, tape);
const measureMoves = useMeasureMoves(surface, drawing, tape);
const insetMoves = useInsetMoves(surface, tape);
/** What can be taken hold of on the drawing in this step. */
const held = computed(() => ({ measure: measureMoves, tile: insetMoves, setout: null, cuts: null })[props.step]);
const overlay = useMeasureOverlay(surface, drawing);
const giveNext = useGiveNext(surface, drawing);
const boardRef = useTemplateRef<BoardHandle>('boardRef');
useBoardKeys(
  computed(() => props.step),
  boardRef,
  moves,
  drawing,
);

const show = computed(() => {
  if (props.step === 'tile' && board.finished) return 'finished';
  return ({ measure: 'measures', tile: 'picture', setout: 'setout', cuts: 'cuts' } as const)[props.step];
});
const chosenPieces = computed(() => {
  if (props.step === 'tile' && board.tilePart === 'pattern' && board.chosenStones.length > 0) {
    const field = drawing.value?.fields.findIndex(({ id }) => id === (board.chosenInset ?? 'main'));
    return (cuts.value ?? []).filter((piece) => piece.field === field && board.chosenStones.includes(piece.address.piece));
  }
  if (props.step !== 'cuts' || !cuts.value || !plan.value) return [];
  const group = plan.value.groups.find(({ id }) => id === board.chosenGroup);
  const labels = new Set(group?.pieces.map(({ label }) => label));
  return cuts.value.filter(({ label }) => (board.chosenLabel ? label === board.chosenLabel : labels.has(label)));
});
const sheetParts = computed(() => (props.step === 'cuts' && plan.value ? plan.value.sheets.flatMap(({ parts }) => parts) : []));
const missing = computed(() => (jobs.job && !surface.value ? 'The job has no such surface. It may have been deleted.' : trouble.value));

function pickPiece(label: string | null): void {
  if (props.step !== 'cuts') return;
  board.chosenLabel = label;
  board.chosenGroup = plan.value?.groups.find(({ pieces }) => pieces.some((piece) => piece.label === label))?.id ?? null;
}
/** While colours are mixed, a tapped piece takes the next tile of its mix. */
function tap(at: Point): void {
  if (props.step === 'tile' && board.tilePart === 'colours') giveNext(at);
  if (props.step === 'tile' && board.tilePart === 'pattern') chooseStone(at);
}
/** A tapped stone of an ashlar is chosen, a second one with it; a third takes their place. */
function chooseStone(at: Point): void {
  const field = drawing.value?.fields.find(({ id }) => id === (board.chosenInset ?? 'main'));
  const address =
    field?.layout.repeat.pieces[0].cutFrom || surface.value?.pattern.kind === 'ashlar' ? field && addressAt(field.layout, at) : null;
  const stone = address?.piece;
  if (stone === undefined) board.chosenStones = [];
  else if (board.chosenStones.includes(stone)) board.chosenStones = board.chosenStones.filter((other) => other !== stone);
  else board.chosenStones = board.chosenStones.length === 1 ? [...board.chosenStones, stone] : [stone];
}
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
        :faces="faces"
        :show="show"
        :chosen-pieces="chosenPieces"
        :sheet-parts="sheetParts"
        :chosen-sheet="board.chosenSheet"
        :chosen-edge="step === 'setout' || (step === 'measure' && board.measurePart === 'edges') ? board.chosenEdge : null"
        :movable="step === 'setout'"
        :label="`${surface.name}, drawn to scale. The cut list and the lines to strike give the same in words.`"
        :measure="step === 'measure' ? overlay : null"
        :grips="held?.grips.value ?? []"
        @move="move"
        @drop="moves.drop"
        @move-grip="(id, by) => held?.move(id, by)"
        @drop-grip="held?.drop()"
        @pick-piece="pickPiece"
        @pick-edge="board.chosenEdge = $event"
        @tap="tap"
      >
        <p v-if="failed && board.layingPreview === null" class="failed" role="alert">
          This setout could not be computed. Undo the last change, or change a size; nothing is lost.
        </p>
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
        <MeasurePanel v-if="step === 'measure'" :job="jobs.job" :product="product" :surface="surface" :plan="plan" />
        <TilePanel v-else-if="step === 'tile'" :job="jobs.job" :surface="surface" :plan="plan" />
        <SetoutPanel v-else-if="step === 'setout'" :surface="surface" :plan="plan" :moves="moves" />
        <CutsPanel v-else :job="jobs.job" :surface="surface" :plan="plan" />
        <FindingList v-if="step !== 'cuts'" :job="jobs.job" :surface="surface" :plan="plan" />
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
</style>
