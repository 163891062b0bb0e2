import type { z } from 'zod';
import type { Size } from '../tile/product.ts';
import type { TileShapeKind } from '../tile/shape.ts';
import type { Module, Repeat } from './repeat.ts';

/** Why a tile can't be laid in a pattern. */
export type Misfit =
  | 'tooSquare'
  | 'notSquare'
  | 'notSixtyDegrees'
  | 'pointsTooLong'
  | 'cornersTooLarge'
  | 'tooNarrow'
  | 'moduleTooLarge'
  | 'stonesLeaveGaps'
  | 'chipsOverlap'
  | 'chipsDoNotRepeat'
  | 'sheetOfOtherSize'
  | 'sheetsOverlap';

/** A way to lay tiles: what can be chosen, a first choice, and the repeat it makes. */
export interface PatternKind<Pattern extends { kind: string }> {
  readonly id: Pattern['kind'];
  readonly schema: z.ZodType<Pattern>;
  readonly defaults: Pattern;
  /** The outlines it lays. */
  readonly takes: readonly TileShapeKind[];
  readonly repeat: (module: Module, pattern: Pattern) => Repeat;
  /** The other tiles it needs, by name, each with the size that keeps every joint, mm. */
  readonly parts?: (module: Module, pattern: Pattern) => Readonly<Record<string, Size>>;
  /** The joint within the pattern that the real sizes leave, where it can differ from the joint wanted, mm. */
  readonly innerJoint?: (module: Module, pattern: Pattern) => number;
  /** What keeps a tile of a suitable outline from being laid so; null where nothing does. */
  readonly misfit?: (module: Module, pattern: Pattern) => Misfit | null;
}
