import type { Box } from '../../geometry/ring.ts';
import type { Point } from '../../geometry/point.ts';
import { unitOf, type Repeat } from '../../pattern/repeat.ts';
import { firstPieceSpan, settledOrigin, spanOf, type Axis } from './axisPlacement.ts';
import { summariseEdges } from '../edges/edgeCuts.ts';
import type { Candidate, LaidSetout, SettledAxis } from './candidate.ts';
import { endCuts, leavesSliver, type EndCuts } from '../edges/endCuts.ts';
import type { OpenField } from '../fields/placeFields.ts';
import { explainSetout, type Reason } from './explainSetout.ts';
import { scoreSetout } from './scoreSetout.ts';
import { BEST_SETOUT, FIXED_RULES, type AxisChoice, type FixedRule, type SetoutChoice } from './setoutChoice.ts';

/** Weighs setouts of one field, and lays the one that was chosen. */
export interface Placer {
  /** Weighs a pair of rules; a pair that was weighed before is not laid again. */
  readonly weigh: (x: SettledAxis, y: SettledAxis) => Candidate;
  readonly lay: (candidate: Pick<Candidate, 'origin'>) => LaidSetout;
  /** The field without its perimeter gaps. */
  readonly limits: Box;
  /** What rules speak of: the first piece, or the block it belongs to. */
  readonly unit: Box;
  /** Whether it is a block of several pieces. */
  readonly ofBlocks: boolean;
}

/** Weighs the repeat as chosen; directions left to the product take the rule with the best score. */
export function chooseSetout({ weigh }: Placer, choice: SetoutChoice): Candidate {
  return best(rulesFor(choice.x).flatMap((x) => rulesFor(choice.y).map((y) => weigh(x, y))));
}

/** Every pair of rules, the best first. */
export const rankSetouts = ({ weigh }: Placer): Candidate[] =>
  FIXED_RULES.flatMap((x) => FIXED_RULES.map((y) => weigh({ rule: x }, { rule: y }))).sort((a, b) => a.score - b.score);

/** What speaks for a setout, and what the product would choose itself. */
export interface SetoutAdvice {
  readonly reasons: readonly Reason[];
  readonly proposed: { readonly x: SettledAxis; readonly y: SettledAxis };
  /** Every rule in each direction, with what it gives while the other direction stays. */
  readonly options: Readonly<Record<Axis, readonly SetoutOption[]>>;
}

/** One rule to compare. */
export interface SetoutOption {
  readonly rule: FixedRule;
  readonly ends: EndCuts;
  readonly sliver: boolean;
}

/** Every setout that advice about one has to weigh: all pairs of rules, and its own directions with each rule. */
export function rivalSetouts({ x, y }: Pick<Candidate, 'x' | 'y'>): { readonly x: SettledAxis; readonly y: SettledAxis }[] {
  const rules = FIXED_RULES.map((rule) => ({ rule }));
  return [
    ...rules.flatMap((a) => rules.map((b) => ({ x: a, y: b }))),
    ...rules.map((a) => ({ x: a, y })),
    ...rules.map((b) => ({ x, y: b })),
  ];
}

/** Holds a setout against its rivals in each direction. `roles` are those of the edges it was laid to. */
export function adviseSetout(place: Placer, chosen: Candidate, { edges }: Pick<LaidSetout, 'edges'>): SetoutAdvice {
  const alongX = FIXED_RULES.map((rule) => place.weigh({ rule }, chosen.y));
  const alongY = FIXED_RULES.map((rule) => place.weigh(chosen.x, { rule }));
  const others = (axis: Axis, all: readonly Candidate[]): Candidate[] => all.filter((c) => c[axis].rule !== chosen[axis].rule);
  const { x, y } = chooseSetout(place, BEST_SETOUT);
  return {
    proposed: { x, y },
    options: { x: alongX.map((candidate) => optionOf(candidate, 'x')), y: alongY.map((candidate) => optionOf(candidate, 'y')) },
    reasons: explainSetout(chosen, edges, { x: others('x', alongX), y: others('y', alongY) }, place),
  };
}

const optionOf = (candidate: Candidate, axis: Axis): SetoutOption => ({
  rule: candidate[axis].rule as FixedRule,
  ends: candidate.ends[axis],
  sliver: candidate.sliver[axis],
});

const rulesFor = (choice: AxisChoice): SettledAxis[] => (choice.rule === 'best' ? FIXED_RULES.map((rule) => ({ rule })) : [choice]);

const best = (candidates: readonly Candidate[]): Candidate => candidates.reduce((a, b) => (b.score < a.score - 1e-9 ? b : a));

/** A placer for one field. */
export function candidatePlacer({ ground, laid, place }: OpenField): Placer {
  const weighed = new Map<string, Candidate>();
  const { repeat } = laid;
  const { limits, sides } = ground;
  const gapMm = laid.jointMm * turnedStretch(repeat);
  const originOn = (axis: Axis, choice: SettledAxis): number =>
    settledOrigin(choice, firstPieceSpan(repeat, axis), spanOf(limits, axis), gapMm);
  const lay = ({ origin }: { readonly origin: Point }): LaidSetout => {
    const fields = place({ origin, turnDeg: 0 });
    const layouts = fields.map(({ layout }) => layout);
    return { fields, edges: summariseEdges(ground.edges, layouts), beside: summariseEdges(ground.beside, layouts) };
  };
  const weigh = (x: SettledAxis, y: SettledAxis): Candidate => {
    const origin: Point = [originOn('x', x), originOn('y', y)];
    const { fields, edges, beside } = lay({ origin });
    const layouts = fields.map(({ layout }) => layout);
    return {
      x,
      y,
      origin,
      sides,
      ends: { x: endCuts(edges, sides, 'x', x), y: endCuts(edges, sides, 'y', y) },
      sliver: { x: leavesSliver(edges, sides, 'x'), y: leavesSliver(edges, sides, 'y') },
      score: scoreSetout(edges, beside, layouts, sides),
    };
  };
  return {
    weigh: (x, y) => {
      const key = JSON.stringify([x, y]);
      const known = weighed.get(key) ?? weigh(x, y);
      weighed.set(key, known);
      return known;
    },
    lay,
    limits,
    unit: unitOf(repeat),
    ofBlocks: repeat.unit !== undefined,
  };
}

/** How much wider than the joint the gap between two neighbours is along a wall, once the pattern is turned. */
function turnedStretch({ turnedDeg = 0 }: Repeat): number {
  const turn = (turnedDeg * Math.PI) / 180;
  return Math.abs(Math.cos(turn)) + Math.abs(Math.sin(turn));
}
