import { z } from 'zod';
import { rectangleRing } from '../../geometry/ring.ts';
import { lengthSchema } from '../../units/lengthSchema.ts';
import type { ShapeKind } from './shapeKind.ts';

const schema = z.strictObject({
  kind: z.literal('rectangle'),
  widthMm: lengthSchema.describe('Left to right, mm'),
  heightMm: lengthSchema.describe('Bottom to top as drawn, mm'),
});

/** A rectangle from two measured lengths, its bottom-left corner at the origin. */
export const rectangle = {
  id: 'rectangle',
  schema,
  defaults: { kind: 'rectangle', widthMm: 3000, heightMm: 2400 },
  outline: ({ widthMm, heightMm }) => ({
    ring: rectangleRing(0, 0, widthMm, heightMm),
    edgeIds: ['bottom', 'right', 'top', 'left'],
  }),
} as const satisfies ShapeKind<z.infer<typeof schema>>;
