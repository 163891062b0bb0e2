import { z } from 'zod';
import { basketWeave } from './kinds/basketWeave.ts';
import { herringbone } from './kinds/herringbone.ts';
import { randomStagger } from './kinds/randomStagger.ts';
import { runningBond } from './kinds/runningBond.ts';
import { stack } from './kinds/stack.ts';
import type { PatternKind } from './patternKind.ts';
import type { Module, Repeat } from './repeat.ts';

/** Every pattern a surface can be laid in. A new kind is a file in kinds/ and a line here. */
export const PATTERNS = {
  stack,
  runningBond,
  randomStagger,
  herringbone,
  basketWeave,
} as const;

/** The name of a kind of pattern. */
export type PatternId = keyof typeof PATTERNS;

/** A chosen pattern, told apart by `kind`. */
export type Pattern = { [K in PatternId]: z.infer<(typeof PATTERNS)[K]['schema']> }[PatternId];

const [first, ...others] = Object.values(PATTERNS).map(({ schema }) => schema);

/** The chosen pattern with its parameters. */
export const patternSchema: z.ZodType<Pattern> = z.discriminatedUnion('kind', [first, ...others]);

// A pattern's `kind` is the key of its own kind, which the compiler can't follow through the index.
const kindOf = (pattern: Pattern): PatternKind<Pattern> => PATTERNS[pattern.kind] as unknown as PatternKind<Pattern>;

/** The repeat that any pattern makes of a tile and a joint. */
export const repeatOf = (pattern: Pattern, module: Module): Repeat => kindOf(pattern).repeat(module, pattern);

/** The joint within the pattern that the real sizes leave, mm; null where all joints are as wanted. */
export const innerJointOf = (pattern: Pattern, module: Module): number | null => kindOf(pattern).innerJoint?.(module, pattern) ?? null;
