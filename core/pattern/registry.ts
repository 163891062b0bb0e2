import { z } from 'zod';
import { arabesque } from './kinds/arabesque.ts';
import { ashlar } from './kinds/ashlar.ts';
import { basketWeave } from './kinds/basketWeave.ts';
import { chevron } from './kinds/chevron.ts';
import { corridor } from './kinds/corridor.ts';
import { cubes } from './kinds/cubes.ts';
import { diamond } from './kinds/diamond.ts';
import { herringbone } from './kinds/herringbone.ts';
import { hexagon } from './kinds/hexagon.ts';
import { modularSet } from './kinds/modularSet.ts';
import { octagonDot } from './kinds/octagonDot.ts';
import { pennyRound } from './kinds/pennyRound.ts';
import { pinwheel } from './kinds/pinwheel.ts';
import { randomStagger } from './kinds/randomStagger.ts';
import { runningBond } from './kinds/runningBond.ts';
import { scallop } from './kinds/scallop.ts';
import { sheet } from './kinds/sheet.ts';
import { stack } from './kinds/stack.ts';
import { triangle } from './kinds/triangle.ts';
import { turnedSquares } from './kinds/turnedSquares.ts';
import { windmill } from './kinds/windmill.ts';
import { wovenDots } from './kinds/wovenDots.ts';
import type { Misfit, PatternKind } from './patternKind.ts';
import type { Size } from '../tile/product.ts';
import type { TileShapeKind } from '../tile/shape.ts';
import type { Module, Repeat } from './repeat.ts';

/** Every pattern a surface can be laid in. A new kind is a file in kinds/ and a line here. */
export const PATTERNS = {
  stack,
  runningBond,
  randomStagger,
  herringbone,
  chevron,
  basketWeave,
  turnedSquares,
  wovenDots,
  windmill,
  pinwheel,
  modularSet,
  corridor,
  ashlar,
  hexagon,
  octagonDot,
  arabesque,
  scallop,
  pennyRound,
  diamond,
  cubes,
  triangle,
  sheet,
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

/** The other tiles a pattern needs, by name, each with the size that keeps every joint, mm. */
export const partsOf = (pattern: Pattern, module: Module): Readonly<Record<string, Size>> => kindOf(pattern).parts?.(module, pattern) ?? {};

/** Whether a pattern lays tiles of an outline. */
export const takesShape = (kind: PatternId, shape: TileShapeKind): boolean =>
  (PATTERNS[kind].takes as readonly TileShapeKind[]).includes(shape);

/** What keeps a tile from being laid in a pattern; null where nothing does. */
export function misfitOf(pattern: Pattern, module: Module): Misfit | 'otherOutline' | null {
  if (!takesShape(pattern.kind, module.shape?.kind ?? 'rectangle')) return 'otherOutline';
  return kindOf(pattern).misfit?.(module, pattern) ?? null;
}
