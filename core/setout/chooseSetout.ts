import type { Box } from '../geometry/ring.ts';
import type { Repeat } from '../pattern/repeat.ts';
import { firstPieceSpan, settledOrigin, spanOf, type Axis } from './axisPlacement.ts';
import { summariseEdges } from './edgeCuts.ts';
import type { Candidate, SettledAxis } from './candidate.ts';
import type { OpenField } from './fields/placeFields.ts';
import { endCuts, explainSetout, leavesSliver, type EndCuts, type Reason } from './explainSetout.ts';
import { scoreSetout } from './scoreSetout.ts';
import { BEST_SETOUT, FIXED_RULES, type AxisChoice, type FixedRule, type SetoutChoice } from './setoutChoice.ts';

/** Places pairs of rules, each once. */
export type Placer = (x: SettledAxis, y: SettledAxis) => Candidate;

/** Places the repeat as chosen; directions left to the product take the rule with the best score. */
export function chooseSetout(place: Placer, choice: SetoutChoice): Candidate {
  return best(rulesFor(choice.x).flatMap((x) => rulesFor(choice.y).map((y) => place(x, y))));
}

/** Every pair of rules, the best first. */
export const rankSetouts = (place: Placer): Candidate[] =>
  FIXED_RULES.flatMap((x) => FIXED_RULES.map((y) => place({ rule: x }, { rule: y }))).sort((a, b) => a.score - b.score);

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

/** Every setout that advice about one has to place: all pairs of rules, and its own directions with each rule. */
export function rivalSetouts({ x, y }: Pick<Candidate, 'x' | 'y'>): { readonly x: SettledAxis; readonly y: SettledAxis }[] {
  const rules = FIXED_RULES.map((rule) => ({ rule }));
  return [
    ...rules.flatMap((a) => rules.map((b) => ({ x: a, y: b }))),
    ...rules.map((a) => ({ x: a, y })),
    ...rules.map((b) => ({ x, y: b })),
  ];
}

/** Holds a setout against its rivals in each direction. */
export function adviseSetout(place: Placer, chosen: Candidate, limits: Box): SetoutAdvice {
  const alongX = FIXED_RULES.map((rule) => place({ rule }, chosen.y));
  const alongY = FIXED_RULES.map((rule) => place(chosen.x, { rule }));
  const others = (axis: Axis, all: readonly Candidate[]): Candidate[] => all.filter((c) => c[axis].rule !== chosen[axis].rule);
  return {
    proposed: chooseProposal(place),
    options: { x: alongX.map((candidate) => optionOf(candidate, 'x')), y: alongY.map((candidate) => optionOf(candidate, 'y')) },
    reasons: explainSetout(chosen, { x: others('x', alongX), y: others('y', alongY) }, limits),
  };
}

const optionOf = (candidate: Candidate, axis: Axis): SetoutOption => ({
  rule: candidate[axis].rule as FixedRule,
  ends: endCuts(candidate, axis),
  sliver: leavesSliver(candidate, axis),
});

function chooseProposal(place: Placer): SetoutAdvice['proposed'] {
  const { x, y } = chooseSetout(place, BEST_SETOUT);
  return { x, y };
}

const rulesFor = (choice: AxisChoice): SettledAxis[] => (choice.rule === 'best' ? FIXED_RULES.map((rule) => ({ rule })) : [choice]);

const best = (candidates: readonly Candidate[]): Candidate => candidates.reduce((a, b) => (b.score < a.score - 1e-9 ? b : a));

/** A placer for one field; remembers what it placed. */
export function candidatePlacer({ ground, laid, place }: OpenField): Placer {
  const placed = new Map<string, Candidate>();
  const { repeat } = laid;
  const gapMm = laid.jointMm * turnedStretch(repeat);
  const originOn = (axis: Axis, choice: SettledAxis): number =>
    settledOrigin(choice, firstPieceSpan(repeat, axis), spanOf(ground.limits, axis), gapMm);
  return (x, y) => {
    const key = JSON.stringify([x, y]);
    const known = placed.get(key);
    if (known) return known;
    const fields = place({ origin: [originOn('x', x), originOn('y', y)], turnDeg: 0 });
    const layouts = fields.map(({ layout }) => layout);
    const edges = summariseEdges(ground.edges, layouts);
    const { sides } = ground;
    const score = scoreSetout(edges, summariseEdges(ground.beside, layouts), layouts, sides);
    const candidate = { x, y, layout: layouts[0], fields, edges, sides, score };
    placed.set(key, candidate);
    return candidate;
  };
}

/** How much wider than the joint the gap between two neighbours is along a wall, once the pattern is turned. */
function turnedStretch({ turnedDeg = 0 }: Repeat): number {
  const turn = (turnedDeg * Math.PI) / 180;
  return Math.abs(Math.cos(turn)) + Math.abs(Math.sin(turn));
}
