import { z } from 'zod';
import { gapSchema, offsetSchema } from '../units/lengthSchema.ts';

const idSchema = z.string().min(1).max(40);

/** Tiles with their long side along the run, or standing across it as soldiers. */
const runSchema = z.enum(['along', 'soldier']);

/** A frame of tiles round a field. */
export const borderSchema = z.strictObject({
  productId: idSchema,
  run: runSchema.default('along'),
  corners: z.enum(['mitred', 'butted']).default('mitred').describe('Cut to the bisector, or one side run past the other'),
  fromEdgeMm: gapSchema.default(0).describe('From the edge of the field to the border; tiles of the field fill what lies between, mm'),
});

/** A frame of tiles round a field; see the schema. */
export type Border = z.infer<typeof borderSchema>;

/** A row of other tiles let in between two courses; the courses beyond move on by its width. */
export const bandSchema = z.strictObject({
  id: idSchema,
  productId: idSchema,
  run: runSchema.default('along'),
  way: z.enum(['level', 'upright']).describe('Which way the band runs'),
  atMm: offsetSchema.describe('From the bottom or left limit of the field; it goes into the nearest joint, mm'),
});

/** A band of other tiles; see the schema. */
export type Band = z.infer<typeof bandSchema>;
