import { z } from 'zod';
import { gapSchema, offsetSchema } from '../units/lengthSchema.ts';

/** What lies between the substrate and the finish, from below. */
export const buildUpSchema = z.strictObject({
  layers: z
    .array(
      z.strictObject({
        id: z.string().min(1).max(40),
        name: z.string().trim().min(1).max(60).describe('Board, membrane, bed'),
        thicknessMm: gapSchema.describe('As it ends up: a bed after the tile is beaten in, mm'),
      }),
    )
    .max(12),
  neighbour: z.string().trim().max(60).default('').describe('What it meets: "the hall floor"'),
  neighbourMm: offsetSchema.describe('Finish of the neighbour over the same substrate, mm'),
  adjust: z.string().nullable().default(null).describe('The layer that can be made thicker or thinner'),
});

/** A build-up as planned. */
export type BuildUp = z.infer<typeof buildUpSchema>;

/** How a finish meets its neighbour. */
export interface BuildUpFigures {
  /** All layers and the tile, mm. */
  readonly totalMm: number;
  /** Above zero where this floor finishes proud of its neighbour, mm. */
  readonly proudMm: number;
  /** The thickness of the adjustable layer that would make it flush, mm; null where no layer is, below zero where none can. */
  readonly flushMm: number | null;
}

/** Adds up a build-up under a tile of a thickness in mm. */
export function buildUpFigures({ layers, neighbourMm, adjust }: BuildUp, tileMm: number): BuildUpFigures {
  const totalMm = layers.reduce((sum, { thicknessMm }) => sum + thicknessMm, tileMm);
  const proudMm = totalMm - neighbourMm;
  const layer = layers.find(({ id }) => id === adjust);
  return { totalMm, proudMm, flushMm: layer ? layer.thicknessMm - proudMm : null };
}
