import { z } from 'zod';
import { gapSchema, lengthSchema } from '../units/lengthSchema.ts';

/** Depths of trowel notches there are, mm; those of 3 to 5 for mosaic, also as V. */
export const NOTCHES = [3, 4, 5, 6, 8, 10, 12] as const;

/** Depth of a trowel notch, mm. */
export type Notch = (typeof NOTCHES)[number];

/** The most rounds in which a plan of off-cuts is improved. */
export const MOST_ROUNDS = 4000;

/** Figures of use, each editable; defaults are typical and give way to the product's data sheet. */
export const consumptionSchema = z.strictObject({
  kerfMm: gapSchema.default(2.5).describe('Width the saw takes, mm'),
  offCutsKept: z.boolean().default(true).describe('Cut pieces may come from what another left'),
  offCutRounds: z
    .int()
    .min(0)
    .max(MOST_ROUNDS)
    .default(0)
    .describe('Rounds in which a plan of off-cuts is improved where that is more than the usual'),
  breakagePercent: z
    .strictObject({
      straight: z.number().min(0).max(100).default(2),
      shaped: z.number().min(0).max(100).default(8).describe('Notches, U-cuts, holes and curves'),
    })
    .default({ straight: 2, shaped: 8 }),
  sparePieces: z.int().min(0).max(10_000).default(2).describe('Attic stock left with the client, per product'),
  coreBitsMm: z
    .array(lengthSchema)
    .max(80)
    .optional()
    .describe('Core bits at hand, mm; the usual ones where left out. A hole takes the smallest that clears it'),
  skirtingMm: lengthSchema.default(80).describe('Height of skirting cut from tiles, mm'),
  nosingMm: lengthSchema.default(40).describe('Depth of nosing strips cut from tiles, mm'),
  stripEdge: z
    .enum(['dressed', 'factory'])
    .default('dressed')
    .describe('The edge of such strips that shows: dressed by hand, or of the factory'),
  stripJoints: z
    .enum(['carryOn', 'byHalf', 'longest'])
    .optional()
    .describe(
      'Where joints of such strips stand: on those of the tiles, which is meant where it is left out, half a tile off, or as far apart as can be',
    ),
});

/** Figures of use. */
export type Consumption = z.infer<typeof consumptionSchema>;
