import { z } from 'zod';
import { lengthSchema } from '../../units/lengthSchema.ts';
import { corneredRing, mustBeUnder } from './corneredRing.ts';
import type { ShapeKind } from './shapeKind.ts';

const schema = z.strictObject({
  kind: z.literal('alcove'),
  widthMm: lengthSchema.describe('Left to right, mm'),
  heightMm: lengthSchema.describe('Bottom to the wall beside the alcove, mm'),
  alcoveWidthMm: lengthSchema.describe('Width of the alcove, mm'),
  alcoveDepthMm: lengthSchema.describe('From the wall into the alcove, mm'),
  alcoveFromLeftMm: lengthSchema.describe('From the left wall to the alcove, mm'),
});

/**
 * A rectangle with an alcove in its top wall:
 *
 *          +-----+      alcove-back
 *          |     |      alcove-left, alcove-right
 *      +---+     +---+  top-left, top-right
 *      |             |
 *      +-------------+
 */
export const alcove = {
  id: 'alcove',
  schema,
  defaults: { kind: 'alcove', widthMm: 3600, heightMm: 2700, alcoveWidthMm: 1400, alcoveDepthMm: 450, alcoveFromLeftMm: 1100 },
  check: (shape) => mustBeUnder('alcoveFromLeftMm', shape.alcoveFromLeftMm + shape.alcoveWidthMm, shape.widthMm),
  outline: ({ widthMm: w, heightMm: h, alcoveWidthMm, alcoveDepthMm, alcoveFromLeftMm: x }) =>
    corneredRing([
      [0, 0, 'bottom'],
      [w, 0, 'right'],
      [w, h, 'top-right'],
      [x + alcoveWidthMm, h, 'alcove-right'],
      [x + alcoveWidthMm, h + alcoveDepthMm, 'alcove-back'],
      [x, h + alcoveDepthMm, 'alcove-left'],
      [x, h, 'top-left'],
      [0, h, 'left'],
    ]),
} as const satisfies ShapeKind<z.infer<typeof schema>>;
