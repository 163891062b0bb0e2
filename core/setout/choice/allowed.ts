import { z } from 'zod';
import { gapSchema } from '../../units/lengthSchema.ts';

/** What a search may change beside where the tiles start. */
export const allowedSchema = z.strictObject({
  otherWay: z.boolean().default(false).describe('Lying as well as upright'),
  diagonal: z.boolean().default(false).describe('At half a right angle to an edge'),
  jointMm: z
    .tuple([gapSchema, gapSchema])
    .nullable()
    .default(null)
    .refine((range) => range === null || range[0] <= range[1], {
      params: { code: 'setout/joint-range' },
      message: 'the narrowest joint first',
    })
    .describe('The narrowest and the widest joint; null for the chosen one alone'),
  shares: z.array(z.number().gt(0).lt(1)).max(8).default([]).describe('Shares that courses of a running bond may be shifted by'),
});

/** What a search may change. */
export type Allowed = z.infer<typeof allowedSchema>;

/** Nothing but the start. */
export const ONLY_THE_START: Allowed = { otherWay: false, diagonal: false, jointMm: null, shares: [] };
