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

/** By what one tells how a pattern lies. */
export type LiesBy = 'longSide' | 'flats' | 'points';

/** A way to lay tiles: what can be chosen, a first choice, and the repeat it makes. */
export interface PatternKind<Pattern extends { kind: string }> {
  readonly id: Pattern['kind'];
  readonly schema: z.ZodType<Pattern>;
  readonly defaults: Pattern;
  /** The outlines it lays. */
  readonly takes: readonly TileShapeKind[];
  /** How much longer it takes than straight joints, tile for tile (typical; own pace replaces it). */
  readonly slower: number;
  /** Whether a start decides how narrow the pieces at an edge are; in other patterns some are narrow wherever it begins. */
  readonly startDecidesEnds: boolean;
  /** Hard cuts come first where the rest is laid to them, else last, when there is time for them (trade practice). */
  readonly hardCuts: 'hardestFirst' | 'hardestLast';
  /** Whether chips are mounted in it: every piece is a chip as it was made, none a mirror image of another. */
  readonly isMounted: boolean;
  /** What tells how it lies: its long side, or which way its flats or points look; null where it lies in one way. */
  readonly liesBy: LiesBy | null;
  readonly repeat: (module: Module, pattern: Pattern) => Repeat;
  /** The other tiles it needs, by name, each with the size that keeps every joint, mm. */
  readonly parts?: (module: Module, pattern: Pattern) => Readonly<Record<string, Size>>;
  /** The joint within the pattern that the real sizes leave, where it can differ from the joint wanted, mm. */
  readonly innerJoint?: (module: Module, pattern: Pattern) => number;
  /** What keeps a tile of a suitable outline from being laid so; null where nothing does. */
  readonly misfit?: (module: Module, pattern: Pattern) => Misfit | null;
}
