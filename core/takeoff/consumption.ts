import { z } from 'zod';
import { gapSchema, lengthSchema } from '../units/lengthSchema.ts';

/** Figures of use, each editable; defaults are typical and give way to the product's data sheet. */
export const consumptionSchema = z.strictObject({
  kerfMm: gapSchema.default(2.5).describe('Width the saw takes, mm'),
  offCutsKept: z.boolean().default(true).describe('Cut pieces may come from what another left'),
  breakagePercent: z
    .strictObject({
      straight: z.number().min(0).max(100).default(2),
      shaped: z.number().min(0).max(100).default(8).describe('Notches, U-cuts, holes and curves'),
    })
    .default({ straight: 2, shaped: 8 }),
  sparePieces: z.int().min(0).max(10_000).default(2).describe('Attic stock left with the client, per product'),
  trowelNotchMm: z
    .union([z.literal(6), z.literal(8), z.literal(10), z.literal(12)])
    .nullable()
    .default(null)
    .describe('Depth of the square trowel notch, mm; null chooses by the size of the tile'),
  backButtered: z.boolean().default(false),
  groutKgPerLitre: z.number().min(0.1).max(10).default(1.6),
  groutLeftPercent: z.number().min(0).max(100).default(10).describe('Left in the bucket'),
  sealantDepthMm: lengthSchema.default(6).describe('Depth of a sealant joint, mm, never more than the tile'),
});

/** Figures of use. */
export type Consumption = z.infer<typeof consumptionSchema>;
