import { z } from 'zod';
import { lengthSchema } from '../../units/lengthSchema.ts';
import { corneredRing, mustBeUnder } from './corneredRing.ts';
import type { ShapeKind } from './shapeKind.ts';

const schema = z.strictObject({
  kind: z.literal('tShape'),
  widthMm: lengthSchema.describe('Left to right of the bar, mm'),
  barMm: lengthSchema.describe('Bottom to top of the bar, mm'),
  stemWidthMm: lengthSchema.describe('Left to right of the stem, mm'),
  stemMm: lengthSchema.describe('From the bar down to the end of the stem, mm'),
  stemFromLeftMm: lengthSchema.describe('From the left of the bar to the stem, mm'),
});

/**
 * A bar with a stem below it:
 *
 *      +-------------+  top
 *      +---+     +---+  bar-left, bar-right
 *          |     |      stem-left, stem-right
 *          +-----+      bottom
 */
export const tShape = {
  id: 'tShape',
  schema,
  defaults: { kind: 'tShape', widthMm: 4200, barMm: 1500, stemWidthMm: 1400, stemMm: 1800, stemFromLeftMm: 1400 },
  check: (shape) => mustBeUnder('stemFromLeftMm', shape.stemFromLeftMm + shape.stemWidthMm, shape.widthMm),
  outline: ({ widthMm: w, barMm, stemWidthMm, stemMm, stemFromLeftMm: x }) =>
    corneredRing([
      [x, 0, 'bottom'],
      [x + stemWidthMm, 0, 'stem-right'],
      [x + stemWidthMm, stemMm, 'bar-right'],
      [w, stemMm, 'right'],
      [w, stemMm + barMm, 'top'],
      [0, stemMm + barMm, 'left'],
      [0, stemMm, 'bar-left'],
      [x, stemMm, 'stem-left'],
    ]),
} as const satisfies ShapeKind<z.infer<typeof schema>>;
