import { ROUNDED_OFTEN, ROUNDING } from '../../tolerances.ts';
import { isBox } from '../../geometry/ring.ts';
import type { Repeat } from '../../pattern/repeat.ts';
import { differInKind } from './fewAndDifferent.ts';
import { OffsetSearch, type Effort, type StartPlace, type Range } from './searchOffsets.ts';
import { edgeSeenFirst } from './schools.ts';
import type { Turn } from '../choice/turns.ts';
import type { Candidate, FoundStarts } from '../tally/candidate.ts';
import type { Placer } from './placer.ts';
import type { SetoutChoice } from '../choice/setoutChoice.ts';

/** How much of a search belongs to every plan: enough for the best start of most rooms. */
export const QUICK: Effort = { trials: 400, refined: 3, rounds: 3, changes: 24 };

/** The same where good places lie scattered: for all but courses of rectangles. */
const QUICK_SCATTERED: Effort = { ...QUICK, trials: 1000, refined: 8 };

/** Plain courses have no more pieces in a cell. */
const PLAIN_PIECES = 2;

/** How much of a search belongs to a plan with a repeat. */
function quickFor({ fine }: Placer): Effort {
  const { pieces } = fine;
  const isPlain = pieces.length <= PLAIN_PIECES && hasStraightCourses(fine) && pieces.every(({ ring }) => isBox(ring));
  return isPlain ? QUICK : QUICK_SCATTERED;
}

/** Herringbones go up by steps in both directions. */
const hasStraightCourses = ({ vectors }: Repeat): boolean =>
  vectors.some(([x, y]) => Math.abs(x) < ROUNDED_OFTEN || Math.abs(y) < ROUNDED_OFTEN);

/** So many others are told of, out of so many that were tried. */
const MOST_OTHERS = 3;
const LOOKED_THROUGH = 12;

/** A place of one turn. */
interface Start {
  readonly turn: Turn;
  readonly search: OffsetSearch;
  readonly place: StartPlace;
}

/**
 * Sets a field out as chosen; what is left to the product is searched for, a step at a time. Every turn that is left
 * open is tried coarsely, and the best places of the likeliest are looked round.
 */
export function* choosing(placer: Placer, choice: SetoutChoice, effort: Effort): Generator<number, FoundStarts> {
  const searches = placer.turns(choice.turn ?? turnOfSchool(placer, choice)).map((turn) => {
    const range: Range = {
      x: placer.rangeOn('x', choice.x, turn.deg, choice.school),
      y: placer.rangeOn('y', choice.y, turn.deg, choice.school),
    };
    return { turn, search: new OffsetSearch(placer.trialsAt(turn.deg), range, placer.weights) };
  });
  const likely = searches.length > MOST_TURNS ? yield* likeliest(searches) : searches;
  const starts: Start[] = [];
  for (const { turn, search } of likely) {
    const places = yield* search.coarse(Math.ceil(effort.trials / likely.length));
    starts.push(...search.apart(places, LOOKED_THROUGH).map((place) => ({ turn, search, place })));
  }
  starts.sort(byScore);
  let [best] = starts;
  for (const [k, start] of starts.slice(0, effort.refined).entries()) {
    // What starts far behind seldom overtakes.
    if (start.place.score > best.place.score + FAR_BEHIND * Math.abs(best.place.score)) break;
    starts[k] = { ...start, place: start.search.refine(start.place, effort) };
    yield start.search.tried;
    if (starts[k].place.score < best.place.score - ROUNDING) best = starts[k];
  }
  const candidateOf = ({ place, turn }: Start): Candidate => placer.candidateAt(placer.home(place.at, turn.deg, choice), turn, choice);
  const writtenDown = ({ at, turnDeg, turn }: Candidate): Candidate => placer.writtenDown(at, { choice: turn, deg: turnDeg }, choice);
  const found = writtenDown(candidateOf(best));
  const rest = starts
    .filter((start) => start !== best)
    .sort(byScore)
    .slice(0, LOOKED_THROUGH);
  return { best: found, others: differentFrom(found, rest, candidateOf).map(writtenDown) };
}

const byScore = (a: Start, b: Start): number => a.place.score - b.place.score;

/** The first few that differ in kind from the best and from each other. */
function differentFrom(best: Candidate, ranked: readonly Start[], candidateOf: (start: Start) => Candidate): Candidate[] {
  const kept = [best];
  for (const start of ranked) {
    const candidate = candidateOf(start);
    if (kept.every((other) => differInKind(other, candidate))) kept.push(candidate);
    if (kept.length > MOST_OTHERS) break;
  }
  return kept.slice(1);
}

/** The turns that come out best after a few trials of each. */
function* likeliest<T extends { readonly search: OffsetSearch }>(searches: readonly T[]): Generator<number, readonly T[]> {
  const scouted: { readonly one: T; readonly score: number }[] = [];
  for (const one of searches) scouted.push({ one, score: (yield* one.search.coarse(SCOUTING_TRIALS))[0].score });
  scouted.sort((a, b) => a.score - b.score);
  const near = scouted[0].score + TURN_BEHIND * Math.abs(scouted[0].score);
  return scouted
    .slice(0, MOST_TURNS)
    .filter(({ score }) => score <= near)
    .map(({ one }) => one);
}

/** So many turns are searched to the end, chosen by so many trials of each; none that is so far behind by then, as a share of the score. */
const MOST_TURNS = 2;
const SCOUTING_TRIALS = 32;
const TURN_BEHIND = 0.1;

/** A school that begins at the edge seen first lies square to it. */
function turnOfSchool({ open }: Placer, { school }: SetoutChoice): SetoutChoice['turn'] {
  const seen = school === 'offTheSeenEdge' ? edgeSeenFirst(open.ground) : null;
  return seen ? { rule: 'edge', edge: seen.id, diagonal: false } : undefined;
}

/** A place this far behind the best is not looked round, as a share of its score. */
const FAR_BEHIND = 0.15;

/** What is laid may come out so much worse than it was tried before the next one is laid too. */
const AS_TRIED = 0.02;

/**
 * The same with as much search as belongs to a plan, remembered: a hand that moves leaves what is best where it is. Where
 * what is laid comes out worse than its trial told, as along curves, the next ones are laid too and the best of them is taken.
 */
export function* choosingForPlan(placer: Placer, choice: SetoutChoice): Generator<number, FoundStarts> {
  const { x, y, turn = null, school = null } = choice;
  const text = JSON.stringify([x, y, turn, school]);
  const known = placer.chosen.get(text) ?? bestAsLaid(placer, yield* choosing(placer, choice, quickFor(placer)));
  if (placer.chosen.size >= MOST_CHOSEN) placer.chosen.clear();
  placer.chosen.set(text, known);
  return known;
}

function bestAsLaid(placer: Placer, { best, others }: FoundStarts): FoundStarts {
  if (others.length === 0) return { best, others };
  const asLaid = (candidate: Candidate): Candidate => placer.weighLaid(candidate, placer.lay(candidate));
  let [first, firstLaid] = [best, asLaid(best)];
  if (firstLaid.score <= best.score + AS_TRIED) return { best, others };
  const behind: Candidate[] = [];
  for (const other of others) {
    const laid = other.score < firstLaid.score ? asLaid(other) : other;
    if (laid.score < firstLaid.score) {
      behind.push(firstLaid);
      [first, firstLaid] = [other, laid];
    } else behind.push(laid);
  }
  return { best: first, others: behind };
}

/** So many choices of one surface are remembered. */
const MOST_CHOSEN = 40;

/** Sets a field out as chosen, with as much search as belongs to a plan. */
export function chooseSetout(placer: Placer, choice: SetoutChoice): FoundStarts {
  const steps = choosingForPlan(placer, choice);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
