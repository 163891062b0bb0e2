import { z } from 'zod';
import { rectangle } from './rectangle.ts';
import type { NamedRing, ShapeKind } from './shapeKind.ts';

/** Every shape a surface can have. A new shape is a file beside this one and a line here. */
export const SHAPES = {
  rectangle,
} as const;

/** The name of a kind of shape. */
export type ShapeId = keyof typeof SHAPES;

/** The measured shape of a surface, told apart by `kind`. */
export type Shape = { [K in ShapeId]: z.infer<(typeof SHAPES)[K]['schema']> }[ShapeId];

const [first, ...others] = Object.values(SHAPES).map(({ schema }) => schema);

/** The measured shape of a surface. */
export const shapeSchema: z.ZodType<Shape> = z.discriminatedUnion('kind', [first, ...others]);

/** The corners and named edges of any shape. */
export function outlineOf(shape: Shape): NamedRing {
  const kind: ShapeKind<Shape> = SHAPES[shape.kind];
  return kind.outline(shape);
}
