import { ROUNDED_OFTEN } from '../../tolerances.ts';
import type { Candidate } from '../tally/candidate.ts';
import { bothEndsStatements, endsStatement, fullSeenStatement, narrowestStatement } from './endStatements.ts';
import { hasToo } from './hasToo.ts';
import { speaksAgainst } from './speaksAgainst.ts';
import { speaksFor } from './speaksFor.ts';
import { startName, type StartName } from './startName.ts';
import { sameThing, type Statement } from './statement.ts';
import { CARES, type Care, type Weights } from '../choice/ways.ts';

/** Why a setout: what it gains, what it costs, and what decides against another one. */
export interface Reasons {
  readonly gain: Statement;
  readonly cost: Statement | null;
  /** What the better rival has instead, where nothing can be said of the cost by itself. */
  readonly instead: Statement | null;
  /** What speaks against the rival alone: the runner-up of what the product chose; null where that is nothing. */
  readonly rival: Statement | null;
  /** That rival itself, as it was tried; null where there is none. */
  readonly than: Candidate | null;
  /** What the rival is called, where its name tells it from the setout itself; null where it does not. */
  readonly thanName: StartName | null;
  /** Whether the rival is what the product would choose, and so the better one. */
  readonly rivalIsBest: boolean;
  /** How much better the rival is; negative where it is worse. */
  readonly behind: number;
}

/** Less than this decides nothing. */
const NOTICEABLE = 0.02;

/** What a setout is explained with, besides its rivals. */
interface Explaining {
  readonly weights: Weights;
  /** Whether it is what the product chose. */
  readonly isBest: boolean;
  /** What was said of others that stand beside it: not said of this one too, where there is anything else. */
  readonly told?: readonly Statement[];
  /** A rival with the figures of what it lays, where it was only tried. */
  readonly asLaid?: (rival: Candidate) => Candidate;
}

/** Explains a setout against the best of its rivals that comes out otherwise. */
export function explainSetout(
  chosen: Candidate,
  rivals: readonly Candidate[],
  { weights, isBest, told = [], asLaid = (rival) => rival }: Explaining,
): Reasons {
  const others = rivals.filter((rival) => Math.abs(rival.score - chosen.score) > ROUNDED_OFTEN || rivals.length === 1);
  const rival = others.length === 0 ? null : asLaid(others.reduce((a, b) => (b.score < a.score ? b : a)));
  const isSaid = (one: Statement): boolean => told.some((other) => JSON.stringify(other) === JSON.stringify(one));
  const isNews = (one: Statement | null): Statement | null => (one && !isSaid(one) ? one : null);
  /** What may be said where nothing tells it from the rival: how its ends come out. */
  const plain = (): Statement =>
    [endsStatement(chosen, rival), ...bothEndsStatements(chosen), narrowestStatement(chosen, null)].find(
      (one): one is Statement => one !== null && !isSaid(one),
    ) ?? endsStatement(chosen, rival);
  if (!rival) {
    const gain = plain();
    const cost = leastGood(chosen, weights, gain);
    return { gain, cost, instead: null, rival: null, than: null, thanName: null, rivalIsBest: false, behind: 0 };
  }
  const behind = chosen.score - rival.score;
  const [gains, losses] = differences(chosen, rival, weights);
  const not = (one: Statement | null, other: Candidate): Statement | null => (one && !hasToo(one, other) ? one : null);
  const apart = (one: Statement | null): Statement | null => isNews(not(one, rival));
  const own = firstOf(gains, (care) => apart(speaksFor(care, chosen, rival))) ?? plain();
  const gain = isBare(own) ? (apart(fullSeenStatement(chosen)) ?? own) : own;
  const isNew = (one: Statement | null): Statement | null => (one && !sameThing(one, gain) ? one : null);
  const rivalIsBest = !isBest && behind > NOTICEABLE;
  const against = firstOf(losses, (care) => isNew(speaksAgainst(care, chosen, rival)));
  // What the better one has says more than that this one takes longer, or than the same pieces told twice.
  const isWeak = against === null || against.says === 'moreWork';
  const better = (): Statement | null =>
    firstOf(losses, (care) => not(speaksFor(care, rival, chosen), chosen)) ?? not(endsStatement(rival, chosen), chosen);
  const instead = rivalIsBest && isWeak ? better() : null;
  return {
    gain,
    // What is held against a better one is what that one has not.
    cost: instead ? null : (against ?? (rivalIsBest ? null : leastGood(chosen, weights, gain))),
    instead,
    rival: firstOf(gains, (care) => {
      const one = speaksAgainst(care, rival, chosen);
      // That it takes longer is told with the gain.
      return one?.says === 'moreWork' && gain.says === 'work' ? null : one;
    }),
    than: rival,
    thanName: nameApart(chosen, rival),
    rivalIsBest,
    behind,
  };
}

/** What a rival is called; null where the setout itself is called so too. */
function nameApart(chosen: Candidate, rival: Candidate): StartName | null {
  const [own, other] = [chosen, rival].map(startName);
  return JSON.stringify(own) === JSON.stringify(other) ? null : other;
}

/** Whether a statement gives figures with hardly a word of what is good about them. */
const isBare = ({ says }: Statement): boolean => says === 'ends' || says === 'work' || says === 'narrowest';

/** Cares told after all others: minutes hide no sliver. */
const TOLD_LAST: ReadonlySet<Care> = new Set(['work', 'pieces']);

/** The cares by which a setout is better than a rival, and those by which it is worse; slivers first, then what differs most, minutes last. */
function differences(chosen: Candidate, rival: Candidate, weights: Weights): readonly [readonly Care[], readonly Care[]] {
  const by = CARES.map((care) => ({ care, gain: weights[care] * (rival.costs[care] - chosen.costs[care]) }));
  const rank = (care: Care): number => (care === 'slivers' ? 0 : TOLD_LAST.has(care) ? 2 : 1);
  const inOrder = (sign: 1 | -1): Care[] =>
    by
      .filter(({ gain }) => sign * gain > NOTICEABLE)
      .sort((a, b) => rank(a.care) - rank(b.care) || sign * (b.gain - a.gain))
      .map(({ care }) => care);
  return [inOrder(1), inOrder(-1)];
}

/** What is least good about a setout by itself. */
function leastGood(chosen: Candidate, weights: Weights, gain: Statement): Statement | null {
  const ranked = CARES.map((care) => ({ care, cost: weights[care] * chosen.costs[care] }))
    .filter(({ care, cost }) => cost > NOTICEABLE && !TOLD_LAST.has(care))
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
