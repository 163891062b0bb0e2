import { computed, type Ref } from 'vue';
import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import type { SurfacePlan } from '@azulejo/core/planning/planned';
import { useBoardStore } from '../../stores/boardStore.ts';
import type { StepOnBoard } from '../stepOnBoard.ts';
import { useSeenSide } from './useSeenSide.ts';

/** A piece on the drawing finds its line in the list of cuts, and a line its pieces. */
export function useCutsOnBoard(plan: Ref<SurfacePlan | null>, cuts: Ref<readonly CutPiece[] | null>): StepOnBoard {
  const board = useBoardStore();
  const { turnOver } = useSeenSide();
  return {
    show: computed(() => 'cuts'),
    chosenPieces: computed(() => {
      const group = plan.value?.groups.find(({ id }) => id === board.chosenGroup);
      const labels = new Set(group?.pieces.map(({ label }) => label));
      return (cuts.value ?? []).filter(({ label }) => (board.chosenLabel ? label === board.chosenLabel : labels.has(label)));
    }),
    sheetParts: computed(() => plan.value?.sheets.flatMap(({ parts }) => parts) ?? []),
    keys: { t: turnOver },
    pickPiece: (label) => {
      board.chosenLabel = label;
      board.chosenGroup = plan.value?.groups.find(({ pieces }) => pieces.some((piece) => piece.label === label))?.id ?? null;
    },
  };
}
