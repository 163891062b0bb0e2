import type { Candidate } from './candidate.ts';
import { endsStatement, fullSeenStatement } from './endStatements.ts';
import { speaksAgainst } from './speaksAgainst.ts';
import { speaksFor } from './speaksFor.ts';
import { sameThing, type Statement } from './statement.ts';
import { CARES, type Care, type Weights } from './ways.ts';

/** Why a setout: what it gains, what it costs, and what decides against the next one. */
export interface Reasons {
  readonly gain: Statement;
  readonly cost: Statement | null;
  /** What the better rival has instead, where nothing can be said of the cost by itself. */
  readonly instead: Statement | null;
  /** What speaks against the rival: the runner-up of what the product chose; null where that is nothing. */
  readonly rival: Statement | null;
  /** That rival itself, as it was tried; null where there is none. */
  readonly than: Candidate | null;
  /** Whether the rival is what the product would choose, and so the better one. */
  readonly rivalIsBest: boolean;
  /** How much better the rival is; negative where it is worse. */
  readonly behind: number;
}

/** Less than this decides nothing. */
const NOTICEABLE = 0.02;

/** Explains a setout against the best of its rivals that comes out otherwise; `isBest` where it is what the product chose. */
export function explainSetout(chosen: Candidate, rivals: readonly Candidate[], weights: Weights, isBest: boolean): Reasons {
  const others = rivals.filter((rival) => Math.abs(rival.score - chosen.score) > 1e-6 || rivals.length === 1);
  const rival = others.length === 0 ? null : others.reduce((a, b) => (b.score < a.score ? b : a));
  if (!rival) {
    const gain = endsStatement(chosen);
    return { gain, cost: leastGood(chosen, weights, gain), instead: null, rival: null, than: null, rivalIsBest: false, behind: 0 };
  }
  const behind = chosen.score - rival.score;
  const [gains, losses] = differences(chosen, rival, weights);
  const told = firstOf(gains, (care) => speaksFor(care, chosen, rival)) ?? endsStatement(chosen, rival);
  const gain = isBare(told) ? (fullSeenStatement(chosen) ?? told) : told;
  const isNew = (one: Statement | null): Statement | null => (one && !sameThing(one, gain) ? one : null);
  const rivalIsBest = !isBest && behind > NOTICEABLE;
  const against = firstOf(losses, (care) => isNew(speaksAgainst(care, chosen, rival)));
  return {
    gain,
    // What is held against a better one is what that one has not.
    cost: against ?? (rivalIsBest ? null : leastGood(chosen, weights, gain)),
    instead: rivalIsBest && !against ? firstOf(losses, (care) => isNew(speaksFor(care, rival, chosen))) : null,
    rival: firstOf(gains, (care) => {
      const one = speaksAgainst(care, rival, chosen);
      // That it takes longer is told with the gain.
      return one?.says === 'moreWork' && gain.says === 'work' ? null : one;
    }),
    than: rival,
    rivalIsBest,
    behind,
  };
}

/** Whether a statement gives figures with hardly a word of what is good about them. */
const isBare = ({ says }: Statement): boolean => says === 'ends' || says === 'work' || says === 'narrowest';

/** The cares by which a setout is better than a rival, and those by which it is worse; what differs most first. */
function differences(chosen: Candidate, rival: Candidate, weights: Weights): readonly [readonly Care[], readonly Care[]] {
  const by = CARES.map((care) => ({ care, gain: weights[care] * (rival.costs[care] - chosen.costs[care]) })).sort(
    (a, b) => b.gain - a.gain,
  );
  const careOf = ({ care }: { readonly care: Care }): Care => care;
  return [
    by.filter(({ gain }) => gain > NOTICEABLE).map(careOf),
    by
      .filter(({ gain }) => gain < -NOTICEABLE)
      .reverse()
      .map(careOf),
  ];
}

/** What is least good about a setout by itself. */
function leastGood(chosen: Candidate, weights: Weights, gain: Statement): Statement | null {
  const ranked = CARES.map((care) => ({ care, cost: weights[care] * chosen.costs[care] }))
    .filter(({ care, cost }) => cost > NOTICEABLE && care !== 'pieces')
    .sort((a, b) => b.cost - a.cost);
  return firstOf(
    ranked.map(({ care }) => care),
    (care) => {
      const one = speaksAgainst(care, chosen, null);
      return one && !sameThing(one, gain) ? one : null;
    },
  );
}

function firstOf(cares: readonly Care[], say: (care: Care) => Statement | null): Statement | null {
  for (const care of cares) {
    const said = say(care);
    if (said) return said;
  }
  return null;
}
