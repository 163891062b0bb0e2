import { z } from 'zod';
import { lengthSchema } from '../units/lengthSchema.ts';

/**
 * The outlines a single piece can have. Its two sizes are those of the box round it as it lies in its carton:
 *
 *   hexagon    flats left and right: width across the flats, height from point to point
 *   octagon    width and height across the flats, corners cut off by cornerMm along each side
 *   lantern    width and height from tip to tip; swell 0 is a diamond, 1 the roundest
 *   scallop    width across, height from the round top to the point below
 *   diamond    width and height from corner to corner
 *   triangle   width of the base, height above it
 *   chevron    length of the long side, width of the strip; the ends cut at cutDeg to the long side
 */
export const pieceShapeSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('rectangle') }),
  z.strictObject({
    kind: z.literal('hexagon'),
    tipMm: lengthSchema.nullable().default(null).describe('Height of each point above the flats, mm; null for a regular hexagon'),
  }),
  z.strictObject({ kind: z.literal('octagon'), cornerMm: lengthSchema.describe('Length cut off each side at a corner, mm') }),
  z.strictObject({ kind: z.literal('lantern'), swell: z.number().min(0.1).max(1).default(0.8) }),
  z.strictObject({ kind: z.literal('round') }),
  z.strictObject({ kind: z.literal('scallop') }),
  z.strictObject({ kind: z.literal('diamond') }),
  z.strictObject({ kind: z.literal('triangle') }),
  z.strictObject({
    kind: z.literal('chevron'),
    cutDeg: z.number().min(25).max(75).describe('Angle of the cut ends to the long side, degrees'),
  }),
]);

/** The outline of a piece. */
export type PieceShape = z.infer<typeof pieceShapeSchema>;
