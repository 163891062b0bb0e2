import type { Repeat } from '../pattern/repeat.ts';
import type { Traced } from '../surface/traceSurface.ts';
import { firstPieceSpan, settledOrigin, spanOf, type Axis } from './axisPlacement.ts';
import { summariseEdges, type EdgeSummary } from './edgeCuts.ts';
import type { Layout } from './layout.ts';
import { placeRepeat } from './placeRepeat.ts';
import { explainSetout, type Reason } from './explainSetout.ts';
import { scoreSetout } from './scoreSetout.ts';
import { BEST_SETOUT, FIXED_RULES, type AxisChoice, type SetoutChoice } from './setoutChoice.ts';

/** An axis choice that names where the repeat lies. */
export type SettledAxis = Exclude<AxisChoice, { rule: 'best' }>;

/** A setout with every tile placed. */
export interface Candidate {
  readonly x: SettledAxis;
  readonly y: SettledAxis;
  readonly layout: Layout;
  readonly edges: readonly EdgeSummary[];
  /** What speaks against it; less is better. */
  readonly score: number;
}

/** Places pairs of rules, each once. */
export type Placer = (x: SettledAxis, y: SettledAxis) => Candidate;

/** Places the repeat as chosen; directions left to the product take the rule with the best score. */
export function chooseSetout(place: Placer, choice: SetoutChoice): Candidate {
  return best(rulesFor(choice.x).flatMap((x) => rulesFor(choice.y).map((y) => place(x, y))));
}

/** What speaks for a setout, and what the product would choose itself. */
export interface SetoutAdvice {
  readonly reasons: readonly Reason[];
  readonly proposed: { readonly x: SettledAxis; readonly y: SettledAxis };
}

/** Holds a setout against its rivals in each direction. */
export function adviseSetout(place: Placer, chosen: Candidate, traced: Traced): SetoutAdvice {
  const alongX = FIXED_RULES.map((rule) => place({ rule }, chosen.y));
  const alongY = FIXED_RULES.map((rule) => place(chosen.x, { rule }));
  const others = (axis: Axis, all: readonly Candidate[]): Candidate[] => all.filter((c) => c[axis].rule !== chosen[axis].rule);
  return {
    proposed: chooseProposal(place),
    reasons: explainSetout(chosen, { x: others('x', alongX), y: others('y', alongY) }, traced),
  };
}

function chooseProposal(place: Placer): SetoutAdvice['proposed'] {
  const { x, y } = chooseSetout(place, BEST_SETOUT);
  return { x, y };
}

const rulesFor = (choice: AxisChoice): SettledAxis[] =>
  choice.rule === 'best' ? FIXED_RULES.map((rule) => ({ rule })) : [choice];

const best = (candidates: readonly Candidate[]): Candidate =>
  candidates.reduce((a, b) => (b.score < a.score - 1e-9 ? b : a));

/** A placer for one surface and repeat; remembers what it placed. */
export function candidatePlacer(traced: Traced, repeat: Repeat, jointMm: number): Placer {
  const placed = new Map<string, Candidate>();
  const originOn = (axis: Axis, choice: SettledAxis): number =>
    settledOrigin(choice, firstPieceSpan(repeat, axis), spanOf(traced.limits, axis), jointMm);
  return (x, y) => {
    const key = JSON.stringify([x, y]);
    const known = placed.get(key);
    if (known) return known;
    const layout = placeRepeat(traced.region, repeat, { origin: [originOn('x', x), originOn('y', y)], turnDeg: 0 });
    const edges = summariseEdges(traced.edges, layout);
    const candidate = { x, y, layout, edges, score: scoreSetout(edges, layout) };
    placed.set(key, candidate);
    return candidate;
  };
}
