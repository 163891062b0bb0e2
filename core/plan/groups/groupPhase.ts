import { HAIR_MM, ROUNDING } from '../../tolerances.ts';
import type { Memory, Shelf } from '../../memory.ts';
import type { Surface } from '../../job/job.ts';
import { criticalOffsets } from '../../setout/search/criticalOffsets.ts';
import { AS_DRAWN } from '../../setout/choice/turns.ts';
import type { Axis } from '../../setout/choice/axisPlacement.ts';
import { costsOf, pinCost, scoreOf } from '../../setout/tally/scoreFigures.ts';
import { weightsOf, type Weights } from '../../setout/choice/ways.ts';
import type { PlanRules } from '../planned.ts';
import type { OpenSurface } from '../prepare/prepareSurface.ts';

/** One direction of one surface. */
export interface Member {
  readonly surface: Surface;
  readonly axis: Axis;
  readonly open: OpenSurface;
  /** Where its origin lies for the phase of the group: at = sign * phase + offMm. */
  readonly sign: 1 | -1;
  readonly offMm: number;
}

/** What joints of a group are in step with: its members, and from one joint to the next, mm. */
interface InStep {
  readonly members: readonly Member[];
  readonly stepMm: number;
}

/** So many phases of a group are weighed, and so many places of each member in its other direction. */
const MOST_PHASES = 36;
const MOST_ACROSS = 8;

/** Phases of groups that were weighed. */
const PHASES: Shelf<number> = { most: 200 };

/** The phase that costs a group least. */
export function phaseOf(group: InStep, { way }: Pick<PlanRules, 'way'>, memory: Memory): number {
  const { members } = group;
  const text = JSON.stringify([
    members.map(({ open, axis, sign, offMm, surface: { setout } }) => [open.key, axis, sign, offMm, setout]),
    way,
  ]);
  return memory.recall(PHASES, text, () => cheapestPhase(group, weightsOf(way)));
}

/** Each member is weighed with the best of a few places in its other direction. */
function cheapestPhase({ members, stepMm }: InStep, weights: Weights): number {
  const settled = members.find(({ surface, axis }) => surface.setout[axis].rule !== 'best');
  if (settled) {
    const { surface, axis, open, sign, offMm } = settled;
    const choice = surface.setout[axis];
    if (choice.rule !== 'best') return sign * (open.placer.originOn(axis, choice, 0) - offMm);
  }
  const starts = distinctPhases(
    members.flatMap(({ open, axis, sign, offMm }) => criticalOffsets(open.placer.trialsAt(0), axis).map((at) => sign * (at - offMm))),
    stepMm,
  );
  const across = members.map(({ open: { placer }, axis, surface }) => {
    const other: Axis = axis === 'x' ? 'y' : 'x';
    const range = placer.rangeOn(other, surface.setout[other], AS_DRAWN.deg);
    return evenly(range ?? criticalOffsets(placer.trialsAt(0), other), MOST_ACROSS);
  });
  let best = { phase: 0, cost: Infinity };
  for (const phase of starts) {
    const cost = members.reduce((sum, { open: { placer }, axis, sign, offMm }, k) => {
      const at = sign * phase + offMm;
      const scores = across[k].map((other) => {
        const figures = axis === 'x' ? placer.trialsAt(0).judge(at, other) : placer.trialsAt(0).judge(other, at);
        return scoreOf(costsOf(figures, placer.open.ground.sides), weights) + pinCost(figures);
      });
      return sum + Math.min(...scores);
    }, 0);
    if (cost < best.cost - ROUNDING) best = { phase, cost };
  }
  return best.phase;
}

function distinctPhases(values: readonly number[], stepMm: number): readonly number[] {
  const within = values.map((mm) => mm - stepMm * Math.floor(mm / stepMm)).sort((a, b) => a - b);
  return evenly(
    within.filter((mm, k) => k === 0 || mm - within[k - 1] > HAIR_MM),
    MOST_PHASES,
  );
}

const evenly = (values: readonly number[], most: number): readonly number[] =>
  values.length <= most ? values : Array.from({ length: most }, (_, k) => values[Math.floor((k * values.length) / most)]);
