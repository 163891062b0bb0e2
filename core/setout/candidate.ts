import type { EdgeSummary } from './edgeCuts.ts';
import type { MainEdges } from '../surface/sides.ts';
import type { Field } from './field.ts';
import type { Layout } from './layout.ts';
import type { AxisChoice } from './setoutChoice.ts';

/** An axis choice that names where the repeat lies. */
export type SettledAxis = Exclude<AxisChoice, { rule: 'best' }>;

/** A setout with every tile placed. */
export interface Candidate {
  readonly x: SettledAxis;
  readonly y: SettledAxis;
  /** The main field as laid. */
  readonly layout: Layout;
  /** Every field that is laid, the main one first. */
  readonly fields: readonly Field[];
  readonly edges: readonly EdgeSummary[];
  /** The edge that ends the rows on each side. */
  readonly sides: MainEdges;
  /** What speaks against it; less is better. */
  readonly score: number;
}
