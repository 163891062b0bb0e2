import { z } from 'zod';
import { lengthSchema } from '../units/lengthSchema.ts';

/** What a tile can be made of. */
export const MATERIALS = ['ceramic', 'porcelain', 'natural stone', 'glass', 'terracotta', 'cement', 'metal'] as const;

const sizeSchema = z.strictObject({ widthMm: lengthSchema, heightMm: lengthSchema });

/** A tile as it is bought. */
export const productSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(80),
  material: z.enum(MATERIALS),
  nominal: sizeSchema.describe('The size on the box, mm'),
  measured: sizeSchema.nullable().default(null).describe('The mean of a handful of measured pieces, mm; null when nobody measured'),
  thicknessMm: lengthSchema,
  directional: z.boolean().default(false).describe('The face has a direction: pieces may not be turned'),
  piecesPerBox: z.int().min(1).max(10_000),
  boxPrice: z.number().min(0).max(1_000_000).describe('Price of a box in the job currency, before tax'),
  colour: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i)
    .default('#d9d4c7')
    .describe('For the drawing, as #rrggbb'),
});

/** A tile product; see the schema for what each field means. */
export type Product = z.infer<typeof productSchema>;

/** Sides of a piece in mm. */
export interface Size {
  readonly widthMm: number;
  readonly heightMm: number;
}

/** The size to compute with: measured where there is one, the one on the box where not. */
export const actualSize = (product: Product): Size => product.measured ?? product.nominal;
