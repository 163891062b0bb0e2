import type { Point } from '../../geometry/point.ts';
import type { MainEdges } from '../../surface/sides.ts';
import type { Axis } from './axisPlacement.ts';
import type { EdgeSummary } from '../edges/edgeCuts.ts';
import type { EndCuts } from '../edges/endCuts.ts';
import type { Field } from '../fields/field.ts';
import type { AxisChoice } from './setoutChoice.ts';

/** An axis choice that names where the repeat lies. */
export type SettledAxis = Exclude<AxisChoice, { rule: 'best' }>;

/** A setout that was weighed: where it starts and how it came out. What was laid for it is not kept. */
export interface Candidate {
  readonly x: SettledAxis;
  readonly y: SettledAxis;
  /** Where the repeat begins, mm. */
  readonly origin: Point;
  /** The edge that ends the rows on each side. */
  readonly sides: MainEdges;
  readonly ends: Readonly<Record<Axis, EndCuts>>;
  /** Whether either end of a direction gets pieces too narrow to look right. */
  readonly sliver: Readonly<Record<Axis, boolean>>;
  /** What speaks against it; less is better. */
  readonly score: number;
}

/** What a setout lays: every field, the main one first, and how its edges are met. */
export interface LaidSetout {
  readonly fields: readonly Field[];
  readonly edges: readonly EdgeSummary[];
  /** The sides of what stands in the field. */
  readonly beside: readonly EdgeSummary[];
}
