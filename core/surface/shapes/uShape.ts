import { z } from 'zod';
import { lengthSchema } from '../../units/lengthSchema.ts';
import { corneredRing, mustBeUnder } from './corneredRing.ts';
import type { ShapeKind } from './shapeKind.ts';

const schema = z.strictObject({
  kind: z.literal('uShape'),
  widthMm: lengthSchema.describe('Left to right over all, mm'),
  heightMm: lengthSchema.describe('Bottom to top of the left arm, mm'),
  rightHeightMm: lengthSchema.describe('Bottom to top of the right arm, mm'),
  leftArmMm: lengthSchema.describe('Width of the left arm, mm'),
  rightArmMm: lengthSchema.describe('Width of the right arm, mm'),
  baseMm: lengthSchema.describe('From the bottom to the foot of the gap, mm'),
});

/**
 * Two arms on a base:
 *
 *      +---+         top-left
 *      |   |   +---+ top-right
 *      |   +---+   | gap-left, gap-bottom, gap-right
 *      +-----------+ bottom
 */
export const uShape = {
  id: 'uShape',
  schema,
  defaults: { kind: 'uShape', widthMm: 3600, heightMm: 2400, rightHeightMm: 2400, leftArmMm: 600, rightArmMm: 600, baseMm: 600 },
  check: (shape) => [
    ...mustBeUnder('rightArmMm', shape.leftArmMm + shape.rightArmMm, shape.widthMm),
    ...mustBeUnder('baseMm', shape.baseMm, Math.min(shape.heightMm, shape.rightHeightMm)),
  ],
  outline: ({ widthMm: w, heightMm: h, rightHeightMm, leftArmMm, rightArmMm, baseMm }) =>
    corneredRing([
      [0, 0, 'bottom'],
      [w, 0, 'right'],
      [w, rightHeightMm, 'top-right'],
      [w - rightArmMm, rightHeightMm, 'gap-right'],
      [w - rightArmMm, baseMm, 'gap-bottom'],
      [leftArmMm, baseMm, 'gap-left'],
      [leftArmMm, h, 'top-left'],
      [0, h, 'left'],
    ]),
} as const satisfies ShapeKind<z.infer<typeof schema>>;
