import { z } from 'zod';
import { runningBond } from './kinds/runningBond.ts';
import { stack } from './kinds/stack.ts';
import type { PatternKind } from './patternKind.ts';
import type { Module, Repeat } from './repeat.ts';

/** Every pattern a surface can be laid in. A new kind is a file in kinds/ and a line here. */
export const PATTERNS = {
  stack,
  runningBond,
} as const;

/** The name of a kind of pattern. */
export type PatternId = keyof typeof PATTERNS;

/** A chosen pattern, told apart by `kind`. */
export type Pattern = { [K in PatternId]: z.infer<(typeof PATTERNS)[K]['schema']> }[PatternId];

const [first, ...others] = Object.values(PATTERNS).map(({ schema }) => schema);

/** The chosen pattern with its parameters. */
export const patternSchema: z.ZodType<Pattern> = z.discriminatedUnion('kind', [first, ...others]);

/** The repeat that any pattern makes of a tile and a joint. */
export function repeatOf(pattern: Pattern, module: Module): Repeat {
  // A pattern's `kind` is the key of its own kind, which the compiler can't follow through the index.
  const kind = PATTERNS[pattern.kind] as unknown as PatternKind<Pattern>;
  return kind.repeat(module, pattern);
}
