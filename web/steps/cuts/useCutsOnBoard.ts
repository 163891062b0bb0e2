import { computed, type Ref } from 'vue';
import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import type { TickState } from '@azulejo/core/site/tick';
import { useBoardStore } from '../../stores/boardStore.ts';
import type { StepOnBoard } from '../stepOnBoard.ts';
import { FIND_FIELD } from './findField.ts';
import { useCutList } from './useCutList.ts';
import { useSeenSide } from './useSeenSide.ts';
import { useTicking } from './useTicking.ts';

/** What the drawing of the cuts is made from. */
interface Shown {
  readonly job: Ref<Job | null>;
  readonly surface: Ref<Surface | null>;
  readonly plan: Ref<SurfacePlan | null>;
  readonly toCut: Ref<readonly CutPiece[] | null>;
}

/** A piece on the drawing finds its line in the list of cuts, and a line its pieces. */
export function useCutsOnBoard({ job, surface, plan, toCut }: Shown): StepOnBoard {
  const board = useBoardStore();
  const { stateOf, tick: tickAll } = useTicking(surface, plan);
  const { turnOver } = useSeenSide();
  const list = useCutList(job, surface, plan);
  const chosenLabels = computed(() => {
    if (board.chosenLabel !== null) return [board.chosenLabel];
    return list.settingOf(board.chosenGroup)?.pieces.map(({ label }) => label) ?? [];
  });
  /** Ticks what is chosen; where all of it is that far already, takes it a step back. */
  function tick(state: TickState, before: TickState): void {
    const labels = chosenLabels.value;
    tickAll(labels, labels.every((label) => stateOf(label) === state) ? before : state);
  }
  const stepDry = (by: number): void => {
    if (board.cutPart === 'dry') board.stepDry(by);
  };
  return {
    show: computed(() => 'cuts'),
    chosenPieces: computed(() => {
      if (board.cutPart === 'dry' && board.dryPiece) return [board.dryPiece];
      const labels = new Set(chosenLabels.value);
      return (toCut.value ?? []).filter(({ label }) => labels.has(label));
    }),
    ticked: computed(() => new Map((toCut.value ?? []).map(({ label }) => [label, stateOf(label)]))),
    keys: {
      t: turnOver,
      ArrowRight: () => stepDry(1),
      ArrowLeft: () => stepDry(-1),
      c: () => tick('cut', 'open'),
      l: () => tick('laid', 'cut'),
      '/': () => document.getElementById(FIND_FIELD)?.focus(),
    },
    pickPiece: (label) => {
      board.chosenLabel = label;
      board.chosenGroup = list.settingWith(label)?.id ?? null;
    },
  };
}
