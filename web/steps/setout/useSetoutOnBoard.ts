import { computed, type Ref } from 'vue';
import { distance, type Point } from '@azulejo/core/geometry/point';
import type { Drawing } from '@azulejo/core/plan/planned';
import { SCHOOLS } from '@azulejo/core/setout/choice/school';
import type { Axis } from '@azulejo/core/setout/choice/axisPlacement';
import { useBoardStore } from '../../stores/boardStore.ts';
import type { StepOnBoard } from '../stepOnBoard.ts';
import { sideAxis, sideIsStart, sideOfEdge, WALKED_SIDES } from './edgeDirections.ts';
import type { SetoutMoves } from './useSetoutMoves.ts';

/** Something round is meant where it is pointed at within this of its edge, mm. */
const NEAR_MM = 25;

/** One press turns the tiles by so much, degrees: a finger's breadth over ten metres. */
const TURN_DEG = 0.1;

/** The centre of something round that is pointed at: a valve, a pipe; else the place itself. */
function onFixture({ traced }: Drawing, at: Point): Point {
  const round = traced.fixtures.find(
    ({ clearCircle }) => clearCircle && distance(clearCircle.centre, at) <= clearCircle.radiusMm + NEAR_MM,
  );
  return round?.clearCircle?.centre ?? at;
}

/** The tiles are moved by the arrow keys, and set out by a letter from the chosen edge. */
export function useSetoutOnBoard(drawing: Ref<Drawing | null>, moves: SetoutMoves): StepOnBoard {
  const board = useBoardStore();
  const side = computed(() => (drawing.value ? sideOfEdge(drawing.value.traced.sides, board.chosenEdge) : 'left'));
  const axis = computed<Axis>(() => sideAxis(side.value));

  function nextEdge(): void {
    const sides = drawing.value?.traced.sides;
    const ids = sides ? WALKED_SIDES.flatMap((one) => sides[one] ?? []) : [];
    board.chosenEdge = ids[(ids.indexOf(board.chosenEdge) + 1) % ids.length] ?? 'left';
  }
  return {
    show: computed(() => (board.setoutPart === 'lines' || board.setoutPart === 'zones' ? board.setoutPart : 'setout')),
    chosenPieces: computed(() => []),
    chosenEdge: computed(() => board.chosenEdge),
    tap: (at) => {
      const kind = board.pinTool;
      if (kind === null || !drawing.value) return;
      const [x, y] = onFixture(drawing.value, at);
      moves.addPin({ kind, at: [Math.round(x * 10) / 10, Math.round(y * 10) / 10] });
      board.pinTool = null;
    },
    keys: {
      ArrowLeft: (event) => moves.nudge('x', event.shiftKey ? -10 : -1),
      ArrowRight: (event) => moves.nudge('x', event.shiftKey ? 10 : 1),
      ArrowUp: (event) => moves.nudge('y', event.shiftKey ? 10 : 1),
      ArrowDown: (event) => moves.nudge('y', event.shiftKey ? -10 : -1),
      ',': () => moves.turnBy(TURN_DEG),
      '.': () => moves.turnBy(-TURN_DEG),
      // The same keys with Shift, on one keyboard or another.
      ';': () => moves.turnBy(10 * TURN_DEG),
      '<': () => moves.turnBy(10 * TURN_DEG),
      ':': () => moves.turnBy(-10 * TURN_DEG),
      '>': () => moves.turnBy(-10 * TURN_DEG),
      e: nextEdge,
      p: () => moves.setRule(axis.value, { rule: 'pieceCentred' }),
      j: () => moves.setRule(axis.value, { rule: 'jointCentred' }),
      f: () => moves.setRule(axis.value, { rule: sideIsStart(side.value) ? 'fullFromStart' : 'fullFromEnd' }),
      b: () => moves.best(),
      ...Object.fromEntries(SCHOOLS.map((school, k) => [String(k + 1), () => moves.school(school)])),
    },
  };
}
