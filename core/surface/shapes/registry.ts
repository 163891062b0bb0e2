import { oncePer } from '../../oncePer.ts';
import { z } from 'zod';
import type { Issue } from '../../result.ts';
import { alcove } from './alcove.ts';
import { counterRun } from './counterRun.ts';
import { lShape } from './lShape.ts';
import { rectangle } from './rectangle.ts';
import type { NamedRing, ShapeKind } from './shapeKind.ts';
import { tShape } from './tShape.ts';
import { uShape } from './uShape.ts';
import { walls } from './walls.ts';

/** Every shape a surface can have. A new shape is a file beside this one and a line here. */
export const SHAPES = { rectangle, lShape, uShape, tShape, alcove, counterRun, walls } as const;

/** The name of a kind of shape. */
export type ShapeId = keyof typeof SHAPES;

/** The measured shape of a surface, told apart by `kind`. */
export type Shape = { [K in ShapeId]: z.infer<(typeof SHAPES)[K]['schema']> }[ShapeId];

const [first, ...others] = Object.values(SHAPES).map(({ schema }) => schema);

/** The measured shape of a surface. */
export const shapeSchema: z.ZodType<Shape> = z.discriminatedUnion('kind', [first, ...others]);

const kindOf = (shape: Shape): ShapeKind<Shape> => SHAPES[shape.kind] as unknown as ShapeKind<Shape>;

/** The corners and named edges of any shape. */
export const outlineOf = oncePer((shape: Shape): NamedRing => kindOf(shape).outline(shape));

/** What can't be true of a shape whose figures are each readable; paths within the shape. */
export const checkShape = (shape: Shape): readonly Issue[] => kindOf(shape).check?.(shape) ?? [];
