import type { Point } from '../../geometry/point.ts';
import type { MainEdges } from '../../surface/sides.ts';
import type { EdgeSummary } from '../edges/edgeCuts.ts';
import type { Field } from '../fields/field.ts';
import type { SettledTurn } from '../choice/turns.ts';
import type { SetoutFigures } from './figures.ts';
import type { Costs } from './scoreFigures.ts';
import type { AxisChoice } from '../choice/setoutChoice.ts';

/** An axis choice that names where the repeat lies. */
export type SettledAxis = Exclude<AxisChoice, { rule: 'best' }>;

/** A setout that was weighed: where it starts and how it comes out. What was laid for it is not kept. */
export interface Candidate {
  readonly x: SettledAxis;
  readonly y: SettledAxis;
  readonly turn: SettledTurn;
  /** How far the frame of the setout is turned, degrees. */
  readonly turnDeg: number;
  /** Where the repeat begins, in that frame, mm. */
  readonly at: Point;
  /** The same on the surface, mm. */
  readonly origin: Point;
  /** The edge that ends the rows on each side. */
  readonly sides: MainEdges;
  readonly figures: SetoutFigures;
  /** What speaks against it, by care. */
  readonly costs: Costs;
  /** All of it by the way of working; less is better. */
  readonly score: number;
}

/** What a setout lays: every field, the main one first, and how its edges are met. */
export interface LaidSetout {
  readonly fields: readonly Field[];
  readonly edges: readonly EdgeSummary[];
  /** The sides of what stands in the field. */
  readonly beside: readonly EdgeSummary[];
}

/** What a search found: the best start, and a few others that differ from it in kind, the better first. */
export interface FoundStarts {
  readonly best: Candidate;
  readonly others: readonly Candidate[];
}
