import { SAME_SCORE } from '../tally/scoreFigures.ts';
import { HAIR_MM, ROUNDED_OFTEN } from '../../tolerances.ts';
import type { EndCuts, EndPieces } from '../edges/endCuts.ts';
import { differInKind } from '../search/fewAndDifferent.ts';
import type { Turn } from '../choice/turns.ts';
import type { Axis } from '../choice/axisPlacement.ts';
import type { Candidate, FoundStarts } from '../tally/candidate.ts';
import { chooseSetout } from '../search/chooseSetout.ts';
import { Placer } from '../search/placer.ts';
import { explainSetout, type Reasons } from './explainSetout.ts';
import { tallyOf, type EdgeTally } from '../tally/figures.ts';
import { KEPT_MM } from '../choice/pins.ts';
import { BEST_SETOUT, FIXED_RULES, type FixedRule } from '../choice/setoutChoice.ts';

/** What speaks for a setout, and what the product would choose itself. */
export interface SetoutAdvice {
  /** The setout in force, by what it lays. */
  readonly chosen: Candidate;
  /** What the product would choose. */
  readonly best: Candidate;
  /** Whether the setout in force is that, or even better: a longer search may have found it. */
  readonly isBest: boolean;
  readonly reasons: Reasons;
  /** By how much each pin is missed, mm; 0 where it is kept. */
  readonly missedPins: readonly number[];
  /** Pins that even the best start misses, and what keeps each from being kept. */
  readonly hindered: readonly HinderedPin[];
  /** Every rule in each direction, with what it gives while the other direction stays. */
  readonly options: Readonly<Record<Axis, readonly SetoutOption[]>>;
}

/** A pin that can't be kept, by its place: by itself, beside another one, or beside all the others together. */
export interface HinderedPin {
  readonly pin: number;
  readonly by: number | 'itself' | 'others';
}

/** One rule to compare. */
export interface SetoutOption {
  readonly rule: FixedRule;
  readonly ends: EndCuts;
  readonly sliver: boolean;
}

/**
 * Holds a setout, as it was tried and as it was laid, against its rivals: what the product would choose; where it is that,
 * what else was found, and each rule in each direction.
 */
export function adviseSetout(placer: Placer, chosen: Candidate, laid: Candidate, { best, others }: FoundStarts): SetoutAdvice {
  const turn: Turn = { choice: chosen.turn, deg: chosen.turnDeg };
  const alongX = FIXED_RULES.map((rule) => placer.weigh({ rule }, chosen.y, turn));
  const alongY = FIXED_RULES.map((rule) => placer.weigh(chosen.x, { rule }, turn));
  const isBest = isSameSetout(chosen, best) || chosen.score < best.score;
  const rivals = isBest ? [best, ...others, ...alongX, ...alongY].filter((rival) => differInKind(rival, chosen)) : [best];
  return {
    chosen: laid,
    best,
    isBest,
    options: { x: alongX.map((candidate) => optionOf(candidate, 'x')), y: alongY.map((candidate) => optionOf(candidate, 'y')) },
    missedPins: laid.figures.missedPins.map((mm) => (mm > KEPT_MM ? mm : 0)),
    hindered: hinderedPins(placer, best),
    reasons: explainSetout({ ...laid, costs: chosen.costs, score: chosen.score }, rivals, {
      weights: placer.weights,
      isBest,
      asLaid: (rival) => ({ ...placer.weighLaid(rival, placer.lay(rival)), costs: rival.costs, score: rival.score }),
    }),
  };
}

/** What keeps pins from being kept: each that is missed is tried by itself, then beside each that is kept. */
function hinderedPins({ open, weights, pins }: Placer, best: Candidate): HinderedPin[] {
  const isKept = best.figures.missedPins.map((mm) => mm <= KEPT_MM);
  const canKeep = (...some: readonly number[]): boolean => {
    const own = new Placer(
      open,
      weights,
      some.map((k) => pins[k]),
    );
    return chooseSetout(own, BEST_SETOUT).best.figures.missedPins.every((mm) => mm <= KEPT_MM);
  };
  const places = [...pins.keys()];
  return places
    .filter((pin) => !isKept[pin])
    .map((pin) => ({
      pin,
      by: canKeep(pin) ? (places.find((other) => isKept[other] && !canKeep(pin, other)) ?? 'others') : 'itself',
    }));
}

/** Whether two setouts come to the same place. */
export const isSameSetout = (a: Candidate, b: Candidate): boolean =>
  Math.abs(a.turnDeg - b.turnDeg) < ROUNDED_OFTEN && Math.abs(a.score - b.score) < SAME_SCORE && sameEnds(a, b);

const sameEnds = (a: Candidate, b: Candidate): boolean =>
  a.figures.edges.every(({ thinnestMm, cutMm }, k) => {
    const other = b.figures.edges[k];
    return Math.abs(cutMm - other.cutMm) < 1 && (cutMm < 1 || Math.abs(thinnestMm - other.thinnestMm) < HAIR_MM);
  });

const optionOf = (candidate: Candidate, axis: Axis): SetoutOption => {
  const { sides, figures } = candidate;
  const [start, end] = (axis === 'x' ? [sides.left, sides.right] : [sides.bottom, sides.top]).map((id) => tallyOf(figures, id));
  return {
    rule: candidate[axis].rule as FixedRule,
    ends: { start: piecesOf(start), end: piecesOf(end) },
    sliver: [start, end].some((tally) => (tally?.sliverMm ?? 0) > 0),
  };
};

/** An edge with less of it cut has full pieces too: the rest is joints. */
const ALL_CUT = 0.85;

/** The pieces along an edge as far as a trial tells: the widest and the narrowest of those it cuts. */
function piecesOf(tally: EdgeTally | undefined): EndPieces {
  if (!tally || tally.cutMm === 0) return { cutsMm: [], full: true };
  const { widestMm, thinnestMm, cutMm, owner } = tally;
  return { cutsMm: widestMm - thinnestMm < HAIR_MM ? [widestMm] : [widestMm, thinnestMm], full: cutMm < ALL_CUT * owner.lengthMm };
}
