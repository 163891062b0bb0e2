import { z } from 'zod';
import { lengthSchema } from '../../units/lengthSchema.ts';
import { corneredRing, mirrored, mustBeUnder, upturned } from './corneredRing.ts';
import type { ShapeKind } from './shapeKind.ts';

const schema = z.strictObject({
  kind: z.literal('lShape'),
  widthMm: lengthSchema.describe('Left to right over all, mm'),
  heightMm: lengthSchema.describe('Bottom to top over all, mm'),
  missingWidthMm: lengthSchema.describe('Width of the corner that is missing, mm'),
  missingHeightMm: lengthSchema.describe('Height of the corner that is missing, mm'),
  missing: z.enum(['top-right', 'top-left', 'bottom-right', 'bottom-left']),
});

/**
 * A rectangle with one corner missing:
 *
 *      +------+            missing: top-right
 *      |      | inner-right
 *      |      +------+ inner-top
 *      +-------------+
 */
export const lShape = {
  id: 'lShape',
  schema,
  defaults: { kind: 'lShape', widthMm: 3600, heightMm: 3000, missingWidthMm: 1500, missingHeightMm: 1200, missing: 'top-right' },
  check: (shape) => [
    ...mustBeUnder('missingWidthMm', shape.missingWidthMm, shape.widthMm),
    ...mustBeUnder('missingHeightMm', shape.missingHeightMm, shape.heightMm),
  ],
  outline: ({ widthMm: w, heightMm: h, missingWidthMm, missingHeightMm, missing }) => {
    const [x, y] = [w - missingWidthMm, h - missingHeightMm];
    const topRight = corneredRing([
      [0, 0, 'bottom'],
      [w, 0, 'right'],
      [w, y, 'inner-top'],
      [x, y, 'inner-right'],
      [x, h, 'top'],
      [0, h, 'left'],
    ]);
    const sided = missing.endsWith('left') ? mirrored(topRight, w) : topRight;
    return missing.startsWith('bottom') ? upturned(sided, h) : sided;
  },
} as const satisfies ShapeKind<z.infer<typeof schema>>;
