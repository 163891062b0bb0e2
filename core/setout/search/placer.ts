import { ON_LINE_TWICE_MM, ROUNDING } from '../../tolerances.ts';
import { motion, type Point } from '../../geometry/point.ts';
import type { Repeat } from '../../pattern/repeat.ts';
import { summariseEdges } from '../edges/edgeCuts.ts';
import type { OpenField } from '../fields/placeFields.ts';
import { rulesOfSchool } from './schools.ts';
import { turnsOf, type Turn } from '../choice/turns.ts';
import { finerRepeat } from '../trial/finerRepeat.ts';
import { sheetStarts } from '../trial/sheetStarts.ts';
import { Trials } from '../trial/trials.ts';
import {
  firstPieceSpan,
  isOnePiece,
  limitsInFrame,
  originFor,
  placeOfRule,
  settledOrigin,
  spanOf,
  type Axis,
} from '../choice/axisPlacement.ts';
import type { Candidate, FoundStarts, LaidSetout, SettledAxis } from '../tally/candidate.ts';
import { keptFigures } from '../tally/figures.ts';
import { laidFigures } from '../tally/laidFigures.ts';
import { originBesideBands } from './originBesideBands.ts';
import { normaliseOffset } from '../place/normaliseOffset.ts';
import { costsOf, pinCost, SAME_SCORE, scoreOf } from '../tally/scoreFigures.ts';
import { periodOf } from './criticalOffsets.ts';
import { BEST_SETOUT, FIXED_RULES, type AxisChoice, type SetoutChoice } from '../choice/setoutChoice.ts';
import type { School } from '../choice/school.ts';
import type { Pin } from '../choice/pins.ts';
import { SHIPPED_WAYS, type Weights } from '../choice/ways.ts';

/** So little is a place moved each way so that it does not hang on the last digit, mm. */
const HAIRS_MM = [0, -0.003, 0.003] as const;

/** Weighs and lays setouts of one field. */
export class Placer {
  readonly open: OpenField;
  readonly weights: Weights;
  readonly pins: readonly Pin[];
  /** What trials lay: the outlines of the repeat in their smallest cell. */
  readonly fine: Repeat;
  private readonly trials = new Map<number, Trials>();
  /** What was chosen for a plan, by what was left to choose. */
  readonly chosen = new Map<string, FoundStarts>();
  private laid: { readonly candidate: Candidate; readonly laid: LaidSetout } | null = null;

  constructor(open: OpenField, weights: Weights = SHIPPED_WAYS.carefulEye, pins: readonly Pin[] = []) {
    this.pins = pins;
    this.open = open;
    this.weights = weights;
    const { repeat } = open.laid;
    this.fine = repeat.sheet?.figured || open.hasBands ? repeat : finerRepeat(repeat);
  }

  /** The trials of one turn, degrees. */
  trialsAt(turnDeg: number): Trials {
    const known =
      this.trials.get(turnDeg) ??
      new Trials(this.open.ground, this.fine, turnDeg, { letIns: this.open.letIns(turnDeg), jointMm: this.open.laid.jointMm }, this.pins);
    this.trials.set(turnDeg, known);
    return known;
  }

  /** The turns that a choice leaves. */
  turns(choice: SetoutChoice['turn'] = { rule: 'best' }): Turn[] {
    return turnsOf(this.open.ground.edges, choice, this.open.mayTurn);
  }

  /** Weighs the repeat where two settled directions put it. */
  weigh(x: SettledAxis, y: SettledAxis, turn: Turn): Candidate {
    return this.candidateAt([this.originOn('x', x, turn.deg), this.originOn('y', y, turn.deg)], turn, { x, y });
  }

  /** Weighs the repeat at a place of a frame; a direction that is not settled is named by a rule where one holds. */
  candidateAt(at: Point, turn: Turn, { x, y }: Pick<SetoutChoice, 'x' | 'y'> = BEST_SETOUT): Candidate {
    const trials = this.trialsAt(turn.deg);
    const figures = keptFigures(trials.judge(at[0], at[1]));
    const costs = costsOf(figures, this.open.ground.sides);
    return {
      x: x.rule === 'best' ? this.named('x', at, turn.deg) : x,
      y: y.rule === 'best' ? this.named('y', at, turn.deg) : y,
      turn: turn.choice,
      turnDeg: turn.deg,
      at,
      origin: motion(turn.deg, [0, 0]).turn(at),
      sides: this.open.ground.sides,
      figures,
      costs,
      score: scoreOf(costs, this.weights) + pinCost(figures),
    };
  }

  /**
   * A place weighed as it is written down: by a rule where one holds, else to a ten-thousandth of a millimetre. Where that
   * alone makes it worse, as a tile is no longer quite full, it is moved by a hair.
   */
  writtenDown(at: Point, turn: Turn, choice: Pick<SetoutChoice, 'x' | 'y'>): Candidate {
    const found = this.candidateAt(at, turn, choice);
    let best = this.weigh(found.x, found.y, turn);
    if (best.score <= found.score + SAME_SCORE) return best;
    const free = (axis: Axis, by: number): SettledAxis => {
      const own = choice[axis];
      if (own.rule !== 'best') return own;
      const low = spanOf(limitsInFrame(this.open.ground, turn.deg), axis).low;
      return { rule: 'free', offsetMm: tidied(at[axis === 'x' ? 0 : 1] + by + firstPieceSpan(this.open.laid.repeat, axis).low - low) };
    };
    for (const dx of HAIRS_MM)
      for (const dy of HAIRS_MM) {
        const moved = this.weigh(free('x', dx), free('y', dy), turn);
        if (moved.score < best.score) best = moved;
      }
    return best;
  }

  /** Lays a setout; the last one is kept. */
  lay(candidate: Candidate): LaidSetout {
    if (this.laid?.candidate === candidate) return this.laid.laid;
    const { ground } = this.open;
    const fields = this.open.place(candidate);
    const layouts = fields.map(({ layout }) => layout);
    const laid = { fields, edges: summariseEdges(ground.edges, layouts), beside: summariseEdges(ground.beside, layouts) };
    this.laid = { candidate, laid };
    return laid;
  }

  /** The same setout weighed by what it lays. */
  weighLaid(candidate: Candidate, { fields, edges, beside }: LaidSetout): Candidate {
    const figures = laidFigures(candidate.figures, { edges, beside, layouts: fields.map(({ layout }) => layout) });
    const costs = costsOf(figures, candidate.sides);
    return { ...candidate, figures, costs, score: scoreOf(costs, this.weights) + pinCost(figures) };
  }

  /** Where a full piece starts in each direction, from the low limit of the field, mm. */
  startsMm({ at, turnDeg }: Pick<Candidate, 'at' | 'turnDeg'>): Point {
    const limits = limitsInFrame(this.open.ground, turnDeg);
    const { repeat } = this.open.laid;
    return [at[0] + firstPieceSpan(repeat, 'x').low - limits.minX, at[1] + firstPieceSpan(repeat, 'y').low - limits.minY];
  }

  /** The starts that a hand is led to: every rule, full pieces off what stands in the field, what is seen as the middle; mm. */
  snapsMm(axis: Axis, turnDeg: number): number[] {
    const k = axis === 'x' ? 0 : 1;
    const { repeat } = this.open.laid;
    const limits = spanOf(limitsInFrame(this.open.ground, turnDeg), axis);
    const { low, high } = firstPieceSpan(repeat, axis);
    const { boundary, middles } = this.trialsAt(turnDeg);
    const sides = boundary.lines
      .filter(({ owner, from, to }) => boundary.owners[owner].kind === 'beside' && Math.abs(from[k] - to[k]) < ON_LINE_TWICE_MM)
      .flatMap(({ from }) => [from[k] - low, from[k] - high].map((origin) => originBesideBands(this.open, turnDeg, axis, origin, from[k])));
    const centres = middles
      .filter((middle) => middle.axis === axis)
      .flatMap(({ atMm, stepMm, at }) => [atMm, atMm + stepMm].map((origin) => originBesideBands(this.open, turnDeg, axis, origin, at[k])));
    const rules = FIXED_RULES.map((rule) => this.originOn(axis, { rule }, turnDeg));
    return [...rules, ...sides, ...centres].map((at) => at + low - limits.low);
  }

  /** Where a direction that is settled puts the origin, in the frame, mm. */
  originOn(axis: Axis, choice: SettledAxis, turnDeg: number): number {
    const { repeat, jointMm } = this.open.laid;
    const limits = spanOf(limitsInFrame(this.open.ground, turnDeg), axis);
    const origin = settledOrigin(choice, firstPieceSpan(repeat, axis), limits, jointMm * turnedStretch(repeat));
    return choice.rule === 'free' ? origin : originBesideBands(this.open, turnDeg, axis, origin, placeOfRule(choice.rule, limits));
  }

  /** The places that a direction may take; null for any. */
  rangeOn(axis: Axis, choice: AxisChoice, turnDeg: number, school?: School): number[] | null {
    if (choice.rule !== 'best') return [this.originOn(axis, choice, turnDeg)];
    const ruled = school ? rulesOfSchool(school, this.open.ground, axis) : null;
    if (ruled) return ruled.map((rule) => this.originOn(axis, { rule }, turnDeg));
    const piece = firstPieceSpan(this.open.laid.repeat, axis);
    const limits = spanOf(limitsInFrame(this.open.ground, turnDeg), axis);
    if (!isOnePiece(limits, piece)) return null;
    return (['fullFromStart', 'fullFromEnd'] as const).map((rule) => originFor(rule, piece, limits, 0));
  }

  /** The same place by a translate of the repeat, near the corner of the limits, so that one setout has one name. */
  home([x, y]: Point, turnDeg: number, choice: Pick<SetoutChoice, 'x' | 'y'> = BEST_SETOUT): Point {
    const { repeat } = this.open.laid;
    const { fine } = this;
    const limits = limitsInFrame(this.open.ground, turnDeg);
    const low: Point = [limits.minX - firstPieceSpan(repeat, 'x').low, limits.minY - firstPieceSpan(repeat, 'y').low];
    const into = (axis: Axis, mm: number): number => {
      const period = periodOf(fine, axis);
      return choice[axis].rule !== 'best' || period === null ? mm : mm - period * Math.floor(mm / period + ROUNDING);
    };
    const isFree = choice.x.rule === 'best' && choice.y.rule === 'best';
    const [dx, dy] = isFree ? normaliseOffset(fine, [x - low[0], y - low[1]]) : [into('x', x - low[0]), into('y', y - low[1])];
    return [dx + low[0], dy + low[1]];
  }

  /** Other starts that lay the same chips with the sheets elsewhere over them, those that touch the fewest sheets first. */
  otherSheetStarts(candidate: Candidate, most: number): Candidate[] {
    const { repeat } = this.open.laid;
    const { at, turn, turnDeg } = candidate;
    if (!repeat.sheet || this.fine === repeat) return [];
    const limits = limitsInFrame(this.open.ground, turnDeg);
    const starts = sheetStarts(repeat, this.fine, this.trialsAt(turnDeg).boundary, at, [limits.minX, limits.minY]);
    return starts.slice(0, most).map((start) => this.writtenDown(start, { choice: turn, deg: turnDeg }, BEST_SETOUT));
  }

  /** A direction of a place, by the rule that holds there. */
  private named(axis: Axis, at: Point, turnDeg: number): SettledAxis {
    const { repeat } = this.open.laid;
    const k = axis === 'x' ? 0 : 1;
    for (const rule of FIXED_RULES) {
      const off = this.originOn(axis, { rule }, turnDeg) - at[k];
      if (isSamePlace(repeat, axis === 'x' ? [off, 0] : [0, off])) return { rule };
    }
    const limits = spanOf(limitsInFrame(this.open.ground, turnDeg), axis);
    return { rule: 'free', offsetMm: tidied(at[k] + firstPieceSpan(repeat, axis).low - limits.low) };
  }
}

/** Offsets are kept to a ten-thousandth of a millimetre. */
const tidied = (mm: number): number => Math.round(mm * 1e4) / 1e4;

/** Whether a move brings a repeat onto itself. */
function isSamePlace(repeat: Repeat, moved: Point): boolean {
  const [x, y] = normaliseOffset(repeat, [moved[0] + ON_LINE_TWICE_MM / 2, moved[1] + ON_LINE_TWICE_MM / 2]);
  return Math.abs(x - ON_LINE_TWICE_MM / 2) < ON_LINE_TWICE_MM && Math.abs(y - ON_LINE_TWICE_MM / 2) < ON_LINE_TWICE_MM;
}

/** How much wider than the joint the gap between two neighbours is along a wall, once the pattern is turned. */
function turnedStretch({ turnedDeg = 0 }: Repeat): number {
  const turn = (turnedDeg * Math.PI) / 180;
  return Math.abs(Math.cos(turn)) + Math.abs(Math.sin(turn));
}
