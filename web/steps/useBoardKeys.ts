import { useEventListener } from '@vueuse/core';
import { computed, type Ref } from 'vue';
import type { Drawing } from '@azulejo/core/planning/planned';
import type { Axis } from '@azulejo/core/setout/weigh/axisPlacement';
import { isTyping } from '../shell/isTyping.ts';
import { useBoardStore } from '../stores/boardStore.ts';
import { sideAxis, sideIsStart, sideOfEdge, WALKED_SIDES } from './setout/edgeDirections.ts';
import type { SetoutMoves } from './setout/useSetoutMoves.ts';

/** What keys can ask of the board. */
export interface BoardHandle {
  fit: () => void;
  zoomBy: (factor: number) => void;
}

/** The keys of the drawing, and those that set it out where that is the step. */
export function useBoardKeys(
  step: Ref<string>,
  boardRef: Readonly<Ref<BoardHandle | null>>,
  moves: SetoutMoves,
  drawing: Ref<Drawing | null>,
): void {
  const board = useBoardStore();
  const side = computed(() => (drawing.value ? sideOfEdge(drawing.value.traced.sides, board.chosenEdge) : 'left'));
  const axis = computed<Axis>(() => sideAxis(side.value));

  function nextEdge(): void {
    const sides = drawing.value?.traced.sides;
    const ids = sides ? WALKED_SIDES.flatMap((one) => sides[one] ?? []) : [];
    board.chosenEdge = ids[(ids.indexOf(board.chosenEdge) + 1) % ids.length] ?? 'left';
  }

  const drawingKeys: Record<string, () => void> = {
    '+': () => boardRef.value?.zoomBy(1.35),
    '=': () => boardRef.value?.zoomBy(1.35),
    '-': () => boardRef.value?.zoomBy(1 / 1.35),
    0: () => boardRef.value?.fit(),
  };
  const setoutKeys: Record<string, (event: KeyboardEvent) => void> = {
    ArrowLeft: (event) => moves.nudge('x', event.shiftKey ? -10 : -1),
    ArrowRight: (event) => moves.nudge('x', event.shiftKey ? 10 : 1),
    ArrowUp: (event) => moves.nudge('y', event.shiftKey ? 10 : 1),
    ArrowDown: (event) => moves.nudge('y', event.shiftKey ? -10 : -1),
    e: nextEdge,
    p: () => moves.setRule(axis.value, { rule: 'pieceCentred' }),
    j: () => moves.setRule(axis.value, { rule: 'jointCentred' }),
    f: () => moves.setRule(axis.value, { rule: sideIsStart(side.value) ? 'fullFromStart' : 'fullFromEnd' }),
    b: () => moves.best(),
  };

  useEventListener('keydown', (event: KeyboardEvent) => {
    if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.target instanceof HTMLInputElement && event.key.startsWith('Arrow')) return;
    const act =
      (step.value === 'setout' ? setoutKeys[event.key.length === 1 ? event.key.toLowerCase() : event.key] : undefined) ??
      drawingKeys[event.key];
    if (!act) return;
    event.preventDefault();
    act(event);
  });
}
