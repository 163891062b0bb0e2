import type { z } from 'zod';
import type { Module, Repeat } from './repeat.ts';

/** A way to lay tiles: what can be chosen, a first choice, and the repeat it makes. */
export interface PatternKind<Pattern extends { kind: string }> {
  readonly id: Pattern['kind'];
  readonly schema: z.ZodType<Pattern>;
  readonly defaults: Pattern;
  readonly repeat: (module: Module, pattern: Pattern) => Repeat;
  /** The joint within the pattern that the real sizes leave, where it can differ from the joint wanted, mm. */
  readonly innerJoint?: (module: Module, pattern: Pattern) => number;
}
