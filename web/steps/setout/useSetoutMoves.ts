import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import { watch, type Ref } from 'vue';
import type { Issue } from '@azulejo/core/result';
import type { Surface } from '@azulejo/core/job/job';
import type { Drawing } from '@azulejo/core/plan/planned';
import { motion, type Point } from '@azulejo/core/geometry/point';
import type { Axis } from '@azulejo/core/setout/choice/axisPlacement';
import { periodOf } from '@azulejo/core/setout/search/criticalOffsets';
import { startsTurned } from '@azulejo/core/setout/place/startsTurned';
import { normaliseOffset } from '@azulejo/core/setout/place/normaliseOffset';
import { BEST_SETOUT, type AxisChoice, type SetoutChoice, type TurnChoice } from '@azulejo/core/setout/choice/setoutChoice';
import type { School } from '@azulejo/core/setout/choice/school';
import type { Pin } from '@azulejo/core/setout/choice/pins';
import type { SetoutChange } from '@azulejo/core/compare/compareSetouts';
import type { Tape } from '@azulejo/core/units/tape';
import { useBoardStore } from '../../stores/boardStore.ts';
import { useJobStore } from '../../stores/jobStore.ts';
import { tapeStep, toTapeStep, withoutDust } from '../tapeStep.ts';

/** Tiles are led to a start that is as near as this, mm. */
const LED_MM = 4;

/** Tiles are turned by hand as far either way. */
const MOST_TURN_DEG = 90;

/** Moves of a setout by hand, and the rules that one key sets. */
export type SetoutMoves = ReturnType<typeof useSetoutMoves>;

/** Every move becomes one change that can be undone; while the hand is on it, it is a preview. */
export function useSetoutMoves(
  surface: Ref<Surface | null>,
  { drawing, isBehind }: { readonly drawing: Ref<Drawing | null>; readonly isBehind: Ref<boolean> },
  tape: Ref<Tape>,
) {
  const jobs = useJobStore();
  const board = useBoardStore();

  function commit(label: ChangeLabel, choice: SetoutChoice): readonly Issue[] {
    const id = surface.value?.id;
    const issues = jobs.change(label, (draft) => {
      const target = draft.surfaces.find((other) => other.id === id);
      if (target) target.setout = choice;
    });
    board.preview = null;
    return issues;
  }

  /** Pins stay, however the tiles are moved. */
  const keptPins = (): Pick<SetoutChoice, 'pins'> => {
    const pins = surface.value?.setout.pins;
    return pins ? { pins } : {};
  };

  /** As it was asked for last: what is drawn may be a press behind. A turn that is left to the product stays as it lies. */
  const keptTurn = (): TurnChoice => {
    const own = surface.value?.setout.turn;
    return own && own.rule !== 'best' ? own : (drawing.value?.choice.turn ?? { rule: 'best' });
  };

  /** Where the setout lies now, as offsets from the left and bottom limits, mm. */
  function offsets(): Point | null {
    const now = board.preview ?? null;
    if (now?.x.rule === 'free' && now.y.rule === 'free') return [now.x.offsetMm, now.y.offsetMm];
    if (!drawing.value) return null;
    return drawing.value.choice.startsMm;
  }

  const free = ([x, y]: Point): SetoutChoice => ({
    x: { rule: 'free', offsetMm: x },
    y: { rule: 'free', offsetMm: y },
    turn: keptTurn(),
    ...keptPins(),
  });

  /** Moves the tiles while a hand drags them, mm on the surface. */
  function moveBy(by: Point): void {
    const now = held ?? offsets();
    const [x, y] = motion(drawing.value?.choice.turnDeg ?? 0, [0, 0]).unturn(by);
    if (!now) return;
    held = [now[0] + x, now[1] + y];
    board.preview = free([led('x', held[0]), led('y', held[1])]);
  }
  /** Where the hand itself is, while tiles are led to something near. */
  let held: Point | null = null;

  /** The nearest start that a hand is led to, where it is near enough, mm. */
  function led(axis: Axis, mm: number): number {
    if (!drawing.value) return mm;
    const { choice, layout } = drawing.value;
    const period = periodOf(layout.repeat, axis);
    const found = choice.snapsMm[axis]
      .map((snap) => (period === null ? snap : snap + period * Math.round((mm - snap) / period)))
      .reduce((a, b) => (Math.abs(b - mm) < Math.abs(a - mm) ? b : a), Infinity);
    return Math.abs(found - mm) <= LED_MM ? found : mm;
  }

  /** Lets go of dragged tiles, on the nearest step of the tape. */
  function drop(): void {
    const now = board.preview ? offsets() : null;
    held = null;
    if (now && drawing.value) commit('moveSetout', free(tidy(now)));
  }

  /** Steps that were pressed before what they start from was drawn. */
  const owed: [Axis, number][] = [];
  watch(isBehind, (behind) => {
    if (!behind) for (const [axis, steps] of owed.splice(0)) nudge(axis, steps);
  });

  /** Moves by whole steps of the tape in one direction; the other keeps its rule. */
  function nudge(axis: Axis, steps: number): void {
    const own = surface.value?.setout[axis];
    const isKnown = own?.rule === 'free' && !board.preview;
    // Where a rule puts it is known once that is drawn.
    if (!isKnown && isBehind.value) return void owed.push([axis, steps]);
    // From where it was asked to be last: what is drawn may be a press behind.
    const now = isKnown ? own.offsetMm : offsets()?.[axis === 'x' ? 0 : 1];
    if (now === undefined || !surface.value) return;
    commit('nudgeSetout', { ...settled(), [axis]: { rule: 'free', offsetMm: withoutDust(now + steps * tapeStep(tape.value)) } });
  }

  /** Turns the tiles about the middle of their field, degrees from how the surface is drawn; no more than a right angle either way. */
  function turnTo(deg: number): readonly Issue[] {
    if (!drawing.value?.choice.mayTurn) return [];
    const { layout, choice } = drawing.value;
    const to = Math.round(deg * 100) / 100;
    const [x, y] = normaliseOffset(layout.repeat, startsTurned(layout, choice.frame, to)).map(withoutDust);
    return commit('turnSetout', { ...free([x, y]), turn: { rule: 'byHand', deg: to } });
  }

  /** Turns the tiles further, degrees counter-clockwise, as far as they go. */
  function turnBy(deg: number): void {
    const { turn } = surface.value?.setout ?? {};
    // From where it was asked to be last: what is drawn may be a press behind.
    const now = turn?.rule === 'byHand' ? turn.deg : (drawing.value?.choice.turnDeg ?? 0);
    turnTo(Math.max(-MOST_TURN_DEG, Math.min(MOST_TURN_DEG, now + deg)));
  }

  /** Best directions take the rule in force, so that moving one does not turn the other. */
  function settled(): SetoutChoice {
    const { setout } = surface.value ?? {};
    const keep = (axis: Axis): AxisChoice =>
      setout && setout[axis].rule !== 'best' ? setout[axis] : (drawing.value?.choice[axis] ?? { rule: 'best' });
    return { x: keep('x'), y: keep('y'), turn: keptTurn(), ...keptPins() };
  }

  const setRule = (axis: Axis, choice: AxisChoice): void => {
    if (surface.value) commit('setoutRule', { ...surface.value.setout, [axis]: choice });
  };

  const tidy = ([x, y]: Point): Point => {
    const [a, b] = drawing.value ? normaliseOffset(drawing.value.layout.repeat, [x, y]) : [x, y];
    return [toTapeStep(a, tape.value), toTapeStep(b, tape.value)];
  };

  /** Lays a start that was compared, with the joint and the pattern that belong to it. */
  function take({ setout, jointMm, pattern }: SetoutChange): void {
    const id = surface.value?.id;
    jobs.change('layAStart', (draft) => {
      const target = draft.surfaces.find((other) => other.id === id);
      if (target) Object.assign(target, JSON.parse(JSON.stringify({ setout, jointMm, pattern })));
    });
    board.preview = null;
  }

  const setPins = (pins: readonly Pin[], label: ChangeLabel = 'pin'): void => {
    if (surface.value) commit(label, { ...surface.value.setout, pins: JSON.parse(JSON.stringify(pins)) as Pin[] });
  };

  return {
    setPins,
    addPin: (pin: Pin) => setPins([...(surface.value?.setout.pins ?? []), pin]),
    take,
    moveBy,
    drop,
    nudge,
    turnTo,
    turnBy,
    setRule,
    school: (school: School) => commit('schoolOfTheSetout', { ...BEST_SETOUT, school, ...keptPins() }),
    best: () => commit('bestSetout', { ...BEST_SETOUT, ...keptPins() }),
    turn: (turn: TurnChoice) => commit('turnOfTheSetout', { ...(surface.value?.setout ?? BEST_SETOUT), turn }),
  };
}
