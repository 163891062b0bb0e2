import { z } from 'zod';
import { gapSchema, lengthSchema, offsetSchema } from '../../units/lengthSchema.ts';

/** One reading from the level line down to the substrate. */
export const levelReadingSchema = z.strictObject({
  id: z.string().min(1).max(40),
  xMm: offsetSchema.describe('From the left of the surface, mm'),
  yMm: offsetSchema.describe('From its bottom, mm'),
  downMm: gapSchema.describe('From the level line down to the substrate, mm'),
});

/** Readings over a surface, and the bed or leveller that makes up for it. */
export const levelsSchema = z.strictObject({
  datum: z.string().trim().max(80).default('').describe('Where the level line is: "one metre line"'),
  readings: z.array(levelReadingSchema).max(200),
  fill: z.enum(['leveller', 'bed']).default('leveller').describe('What makes it level'),
  leastMm: lengthSchema.default(3).describe('Thickness over the highest spot, mm'),
});

/** One reading. */
export type LevelReading = z.infer<typeof levelReadingSchema>;

/** The levels of a surface as read. */
export type Levels = z.infer<typeof levelsSchema>;
