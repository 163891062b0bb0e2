import type { z } from 'zod';
import type { Module, Repeat } from './repeat.ts';

/** A way to lay tiles: what can be chosen, a first choice, and the repeat it makes. */
export interface PatternKind<Pattern extends { kind: string }> {
  readonly id: Pattern['kind'];
  readonly schema: z.ZodType<Pattern>;
  readonly defaults: Pattern;
  readonly repeat: (module: Module, pattern: Pattern) => Repeat;
}
