import { z } from 'zod';
import { offsetSchema } from '../../units/lengthSchema.ts';

/** How the setout is fixed in one direction. */
export const axisChoiceSchema = z.discriminatedUnion('rule', [
  z.strictObject({ rule: z.literal('best') }),
  z.strictObject({ rule: z.literal('pieceCentred') }),
  z.strictObject({ rule: z.literal('jointCentred') }),
  z.strictObject({ rule: z.literal('fullFromStart') }).describe('Full piece off the left or bottom edge'),
  z.strictObject({ rule: z.literal('fullFromEnd') }).describe('Full piece off the right or top edge'),
  z.strictObject({
    rule: z.literal('free'),
    offsetMm: offsetSchema.describe('From the left or bottom limit of the field to the near side of a full piece, mm'),
  }),
]);

/** The rule of one direction. */
export type AxisChoice = z.infer<typeof axisChoiceSchema>;

/** The rules that need no figure, in the order they are tried. */
export const FIXED_RULES = ['pieceCentred', 'jointCentred', 'fullFromStart', 'fullFromEnd'] as const;

/** One of the rules that need no figure. */
export type FixedRule = (typeof FIXED_RULES)[number];

/** How a setout is fixed: left to right (x) and bottom to top (y). */
export const setoutChoiceSchema = z.strictObject({
  x: axisChoiceSchema.default({ rule: 'best' }),
  y: axisChoiceSchema.default({ rule: 'best' }),
});

/** The choice for both directions. */
export type SetoutChoice = z.infer<typeof setoutChoiceSchema>;

/** Leave both directions to the product. */
export const BEST_SETOUT: SetoutChoice = { x: { rule: 'best' }, y: { rule: 'best' } };
