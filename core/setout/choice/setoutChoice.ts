import { z } from 'zod';
import { schoolSchema } from './school.ts';
import { pinsSchema } from './pins.ts';
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

/** Which way the setout lies: as the surface is drawn, square to one of its edges or at half a right angle to it, or turned by hand. */
export const turnChoiceSchema = z.discriminatedUnion('rule', [
  z.strictObject({ rule: z.literal('best') }).describe('Square to the edge that gives the best setout'),
  z.strictObject({ rule: z.literal('asDrawn') }).describe('Level, as the surface is drawn'),
  z.strictObject({ rule: z.literal('edge'), edge: z.string().max(80), diagonal: z.boolean().default(false) }),
  z.strictObject({ rule: z.literal('byHand'), deg: z.number().min(-90).max(90).describe('Counter-clockwise, degrees') }),
]);

/** The turn of a setout. */
export type TurnChoice = z.infer<typeof turnChoiceSchema>;

/** How a setout is fixed: left to right (x) and bottom to top (y). */
export const setoutChoiceSchema = z.strictObject({
  x: axisChoiceSchema.default({ rule: 'best' }),
  y: axisChoiceSchema.default({ rule: 'best' }),
  school: schoolSchema.optional().describe('Holds directions that are left to the product to a school; none where left out'),
  pins: pinsSchema.optional().describe('What is asked of it, whatever else is best'),
  turn: turnChoiceSchema.optional().describe('The best where left out'),
});

/** The choice for both directions. */
export type SetoutChoice = z.infer<typeof setoutChoiceSchema>;

/** Leave both directions and the turn to the product. */
export const BEST_SETOUT: SetoutChoice = { x: { rule: 'best' }, y: { rule: 'best' } };
