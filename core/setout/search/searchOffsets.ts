import { ON_LINE_TWICE_MM, ROUNDED_OFTEN, ROUNDING } from '../../tolerances.ts';
import type { Point } from '../../geometry/point.ts';
import type { Trials } from '../trial/trials.ts';
import { costsOf, pinCost, scoreOf } from '../tally/scoreFigures.ts';
import type { Weights } from '../choice/ways.ts';
import { criticalOffsets, periodOf, pinnedOffsets } from './criticalOffsets.ts';

/** A place of the origin in the frame of the setout, and what speaks against it; less is better. */
export interface StartPlace {
  readonly at: Point;
  readonly score: number;
}

/** What is searched: the places allowed in each direction; null for any. */
export interface Range {
  readonly x: readonly number[] | null;
  readonly y: readonly number[] | null;
}

/** How much is tried. */
export interface Effort {
  /** Trials of critical places. */
  readonly trials: number;
  /** Places that are looked round for better ones. */
  readonly refined: number;
  /** How often one of them goes on to where something changes, and so many changes are tried each way. */
  readonly rounds: number;
  readonly changes: number;
}

/** How much is tried where one waits for it. */
export const THOROUGH: Effort = { trials: 2500, refined: 12, rounds: 4, changes: 40 };

/** An even spread of places has so many each way. */
const SPREAD = 14;

/** So many places of pins are tried with each other in every case. */
const MOST_PINNED = 16;

/** A better score must be better by this. */
const BETTER = ROUNDING;

/** Where no place is critical, a direction is tried in so many steps. */
const STEPS = 24;

/** A place is moved by no less than this when it is looked round, mm. */
const FINEST_MM = ON_LINE_TWICE_MM;

/** A search for where a repeat may start, over the trials of one turn. */
export class OffsetSearch {
  tried = 0;
  private readonly trials: Trials;
  private readonly range: Range;
  private readonly weights: Weights;
  /** The first moves when a place is looked round, mm; 0 in a direction that is settled. */
  private readonly steps: Point;
  private readonly critical: readonly [readonly number[], readonly number[]];
  private readonly judged = new Map<string, number>();

  constructor(trials: Trials, range: Range, weights: Weights) {
    this.trials = trials;
    this.range = range;
    this.weights = weights;
    this.steps = [range.x ? 0 : stepOf(trials, 'x'), range.y ? 0 : stepOf(trials, 'y')];
    this.critical = [range.x ? [] : criticalOffsets(trials, 'x'), range.y ? [] : criticalOffsets(trials, 'y')];
  }

  /** Tries a place. */
  placeAt(x: number, y: number): StartPlace {
    return { at: [x, y], score: this.judge(x, y) };
  }

  /** What speaks against a place; asked again it is remembered, and the trials stay where they are. */
  private judge(x: number, y: number): number {
    const key = `${x} ${y}`;
    const known = this.judged.get(key);
    if (known !== undefined) return known;
    this.tried++;
    const figures = this.trials.judge(x, y);
    const score = scoreOf(costsOf(figures, this.trials.ground.sides), this.weights) + pinCost(figures);
    this.judged.set(key, score);
    return score;
  }

  /** Tries the places of the range where something changes, the best first. */
  *coarse(most: number): Generator<number, StartPlace[]> {
    const { trials, range } = this;
    const each = Math.max(8, Math.floor(most / 4));
    const pinned = [range.x ?? pinnedOffsets(trials, 'x'), range.y ?? pinnedOffsets(trials, 'y')];
    const xs = range.x ?? [...pinned[0], ...spread(this.offsetsOf('x'), each)];
    const ys = range.y ?? [...pinned[1], ...spread(this.offsetsOf('y'), each)];
    const places: StartPlace[] = [];
    const put = (x: number, y: number): void => void places.push(this.placeAt(x, y));
    const straight = periodOf(trials.repeat, 'x') !== null && periodOf(trials.repeat, 'y') !== null;
    if (!straight && !range.x && !range.y) {
      for (const [x, y] of cellOf(trials, Math.floor(Math.sqrt(most)))) put(x, y);
      yield this.tried;
    } else if (xs.length * ys.length <= most) {
      for (const x of xs) {
        for (const y of ys) put(x, y);
        yield this.tried;
      }
    } else {
      // Too many pairs: each direction by turns, beside the best of the other.
      const few = Math.max(2, Math.floor(most / (2 * (xs.length + ys.length))));
      const best = (k: 0 | 1): number[] => [...new Set([...places].sort(byScore).map(({ at }) => at[k]))].slice(0, few);
      if (trials.pins.length > 0)
        for (const x of pinned[0].slice(0, MOST_PINNED)) for (const y of pinned[1].slice(0, MOST_PINNED)) put(x, y);
      for (const y of spread(ys, few)) for (const x of xs) put(x, y);
      yield this.tried;
      for (const x of best(0)) for (const y of ys) put(x, y);
      yield this.tried;
      for (const y of best(1).slice(0, Math.ceil(few / 2))) for (const x of xs) put(x, y);
      yield this.tried;
    }
    return places.sort(byScore);
  }

  /** The best places of a list that lie apart, so that not all look round the same one. */
  apart(places: readonly StartPlace[], most: number): StartPlace[] {
    const [dx, dy] = this.steps;
    const kept: StartPlace[] = [];
    for (const place of places) {
      if (kept.length >= most) break;
      if (kept.every(({ at }) => Math.abs(at[0] - place.at[0]) > dx / 2 || Math.abs(at[1] - place.at[1]) > dy / 2)) kept.push(place);
    }
    return kept;
  }

  /** Goes from a place to where something changes, one direction by turns, and moves about there, while that makes it better. */
  refine(start: StartPlace, { rounds, changes }: Pick<Effort, 'rounds' | 'changes'>): StartPlace {
    const judge = (x: number, y: number): number => this.judge(x, y);
    let best = moveAbout(start, this.steps, judge);
    for (let round = 0; round < rounds; round++) {
      const before = best.score;
      for (const k of [0, 1] as const) {
        if (this.steps[k] === 0) continue;
        const from = best.at;
        for (const by of nearest(this.changes(from, k), 4 * this.steps[k], changes)) {
          const at: Point = k === 0 ? [from[0] + by, from[1]] : [from[0], from[1] + by];
          const score = judge(at[0], at[1]);
          if (score < best.score - BETTER) best = { at, score };
        }
      }
      if (best.score > before - BETTER) break;
      best = moveAbout(best, [this.steps[0] / 8, this.steps[1] / 8], judge);
    }
    return best;
  }

  /** How far it is from a place to where something changes in a direction, mm. */
  private changes(at: Point, k: 0 | 1): number[] {
    const axis = k === 0 ? 'x' : 'y';
    this.trials.judge(at[0], at[1]);
    return [...this.trials.nextChanges(axis), ...movesTo(this.critical[k], at[k], periodOf(this.trials.repeat, axis))];
  }

  private offsetsOf(axis: 'x' | 'y'): readonly number[] {
    const critical = this.critical[axis === 'x' ? 0 : 1];
    if (critical.length > 0 && periodOf(this.trials.repeat, axis) !== null) return critical;
    const step = stepOf(this.trials, axis);
    return [...critical.slice(0, STEPS), ...Array.from({ length: STEPS }, (_, k) => (k * 8 * step) / STEPS)];
  }
}

/** Tries the places of a range, and looks round the best of them; the best first. A step at a time, so that it can be stopped. */
export function* searchOffsets(trials: Trials, range: Range, weights: Weights, effort: Effort): Generator<number, StartPlace[]> {
  const search = new OffsetSearch(trials, range, weights);
  const places = yield* search.coarse(effort.trials);
  // Some starts come from an even spread: what changes nearby leads on from there, whatever was critical.
  const spreadOut = [...cellOf(trials, SPREAD)].map(([x, y]) => search.placeAt(range.x?.[0] ?? x, range.y?.[0] ?? y)).sort(byScore);
  const starts = [...search.apart(places, effort.refined), ...search.apart(spreadOut, Math.ceil(effort.refined / 2))];
  for (const place of starts) {
    places.push(search.refine(place, effort));
    yield search.tried;
  }
  return places.sort(byScore);
}

const byScore = (a: StartPlace, b: StartPlace): number => a.score - b.score;

/** Places spread evenly over a cell of the repeat. */
function* cellOf({ repeat }: Trials, steps: number): Generator<Point> {
  const [a, b] = repeat.vectors;
  for (let i = 0; i < steps; i++) for (let j = 0; j < steps; j++) yield [(i * a[0] + j * b[0]) / steps, (i * a[1] + j * b[1]) / steps];
}

/** The first move when a place is looked round, mm: an eighth of how far the repeat goes in a direction. */
function stepOf({ repeat }: Trials, axis: 'x' | 'y'): number {
  const k = axis === 'x' ? 0 : 1;
  return (periodOf(repeat, axis) ?? Math.max(...repeat.vectors.map((v) => Math.abs(v[k])))) / 8;
}

function spread(values: readonly number[], count: number): number[] {
  if (values.length <= count) return [...values];
  return Array.from({ length: count }, (_, k) => values[Math.floor((k * values.length) / count)]);
}

/** How far it is from a place to others of a period, mm. */
const movesTo = (values: readonly number[], from: number, period: number | null): number[] =>
  values.map((mm) => (period === null ? mm - from : mm - from - period * Math.round((mm - from) / period)));

const nearest = (moves: readonly number[], within: number, most: number): number[] =>
  moves
    .filter((mm) => Math.abs(mm) <= within && Math.abs(mm) > ROUNDED_OFTEN)
    .sort((a, b) => Math.abs(a) - Math.abs(b))
    .slice(0, most);

/** Moves a place by smaller and smaller steps while that makes it better: straight, and aslant where that does not help. */
function moveAbout(start: StartPlace, steps: Point, judge: (x: number, y: number) => number): StartPlace {
  let best = start;
  for (let [dx, dy] = steps; Math.max(dx, dy) >= FINEST_MM;) {
    const better = bestOf(best, STRAIGHT, dx, dy, judge) ?? (dx > 0 && dy > 0 ? bestOf(best, ASLANT, dx, dy, judge) : null);
    if (better) best = better;
    else [dx, dy] = [dx / 2, dy / 2];
  }
  return best;
}

const STRAIGHT: readonly Point[] = [
  [-1, 0],
  [1, 0],
  [0, -1],
  [0, 1],
];
const ASLANT: readonly Point[] = [
  [-1, -1],
  [1, 1],
  [-1, 1],
  [1, -1],
];

/** The best of some moves; null where none is better. */
function bestOf(
  from: StartPlace,
  moves: readonly Point[],
  dx: number,
  dy: number,
  judge: (x: number, y: number) => number,
): StartPlace | null {
  let better: StartPlace | null = null;
  for (const [i, j] of moves) {
    const at: Point = [from.at[0] + i * dx, from.at[1] + j * dy];
    if (at[0] === from.at[0] && at[1] === from.at[1]) continue;
    const score = judge(at[0], at[1]);
    if (score < (better ?? from).score - BETTER) better = { at, score };
  }
  return better;
}
