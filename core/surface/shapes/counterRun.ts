import { z } from 'zod';
import { gapSchema, lengthSchema } from '../../units/lengthSchema.ts';
import { corneredRing, mirrored, mustBeUnder } from './corneredRing.ts';
import type { ShapeKind } from './shapeKind.ts';

const schema = z.strictObject({
  kind: z.literal('counterRun'),
  backMm: lengthSchema.describe('Along the back wall, from the corner, mm'),
  backDepthMm: lengthSchema.describe('Depth along the back wall, mm'),
  sideMm: lengthSchema.describe('Along the side wall, from the corner, mm'),
  sideDepthMm: lengthSchema.describe('Depth along the side wall, mm'),
  cornerCutMm: gapSchema.describe('How far a slanting front cuts the inner corner along each leg; 0 for a square one, mm'),
  corner: z.enum(['left', 'right']).describe('Which end of the back wall the corner is at'),
});

/**
 * A countertop round a corner, seen from above:
 *
 *      +-------------+  back
 *      |     /-------+  back-front, with or without corner-front
 *      |    |           side-front
 *      +----+           side-foot
 */
export const counterRun = {
  id: 'counterRun',
  schema,
  defaults: { kind: 'counterRun', backMm: 2400, backDepthMm: 620, sideMm: 1800, sideDepthMm: 620, cornerCutMm: 0, corner: 'left' },
  check: (shape) => [
    ...mustBeUnder('sideDepthMm', shape.sideDepthMm + shape.cornerCutMm, shape.backMm),
    ...mustBeUnder('backDepthMm', shape.backDepthMm + shape.cornerCutMm, shape.sideMm),
  ],
  outline: ({ backMm, backDepthMm, sideMm, sideDepthMm, cornerCutMm: cut, corner }) => {
    const front = sideMm - backDepthMm;
    const run = corneredRing([
      [0, 0, 'side-foot'],
      [sideDepthMm, 0, 'side-front'],
      ...(cut > 0 ? ([[sideDepthMm, front - cut, 'corner-front']] as const) : []),
      [sideDepthMm + cut, front, 'back-front'],
      [backMm, front, 'back-foot'],
      [backMm, sideMm, 'back'],
      [0, sideMm, 'side'],
    ]);
    return corner === 'left' ? run : mirrored(run, backMm);
  },
} as const satisfies ShapeKind<z.infer<typeof schema>>;
