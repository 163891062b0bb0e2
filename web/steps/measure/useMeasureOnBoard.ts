import { computed, type Ref } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import type { Drawing } from '@azulejo/core/plan/planned';
import type { Tape } from '@azulejo/core/units/tape';
import { useBoardStore } from '../../stores/boardStore.ts';
import type { StepOnBoard } from '../stepOnBoard.ts';
import { useMeasureMoves } from './useMeasureMoves.ts';
import { useMeasureOverlay } from './useMeasureOverlay.ts';

/** Corners, fixtures and level points are dragged; edges are chosen where they are told apart. */
export function useMeasureOnBoard(surface: Ref<Surface | null>, drawing: Ref<Drawing | null>, tape: Ref<Tape>): StepOnBoard {
  const board = useBoardStore();
  return {
    show: computed(() => 'measures'),
    chosenPieces: computed(() => []),
    chosenEdge: computed(() => (board.measurePart === 'edges' ? board.chosenEdge : null)),
    measure: useMeasureOverlay(surface, drawing),
    holds: useMeasureMoves(surface, drawing, tape),
  };
}
