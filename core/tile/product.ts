import { z } from 'zod';
import { lengthSchema } from '../units/lengthSchema.ts';
import { lotSchema } from './lot.ts';
import { tileShapeSchema } from './shape.ts';

/** What a tile can be made of. */
export const MATERIALS = ['ceramic', 'porcelain', 'natural stone', 'glass', 'terracotta', 'cement', 'metal'] as const;

/** How the edges of a tile were made. */
export const TILE_EDGES = ['rectified', 'pressed', 'bevelled', 'bullnose'] as const;

/** What the face shows: a directional or printed one has a way up. */
export const FACES = ['plain', 'directional', 'veined', 'printed'] as const;

const sizeSchema = z.strictObject({ widthMm: lengthSchema, heightMm: lengthSchema });

const colourSchema = z.string().regex(/^#[0-9a-f]{6}$/i);

/** Faces of tiles that the list no longer has, #rrggbb. */
export const UNKNOWN_COLOUR = '#cccccc';

/** Characters a picture of a face may take in the job, as a data address. */
export const LONGEST_PICTURE = 60_000;

/** A tile as it is bought. */
export const productSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(80),
  material: z.enum(MATERIALS),
  shape: tileShapeSchema.default({ kind: 'rectangle' }),
  nominal: sizeSchema.describe('The size on the box, mm'),
  measured: sizeSchema.nullable().default(null).describe('The mean of a handful of measured pieces, mm; null when nobody measured'),
  sample: z.array(sizeSchema).max(60).default([]).describe('The pieces that were measured, mm'),
  thicknessMm: lengthSchema,
  edge: z.enum(TILE_EDGES).default('pressed'),
  face: z.enum(FACES).default('plain'),
  backArrow: z.boolean().default(false).describe('An arrow on the back: all of them point one way'),
  porous: z.boolean().default(false).describe('Has to be sealed before it is grouted'),
  polished: z.boolean().optional().describe('A polished face, which sand scratches; no where left out'),
  massKg: z.number().positive().max(1000).nullable().default(null).describe('Mass of a piece or sheet, kg'),
  piecesPerBox: z.int().min(1).max(10_000).describe('Pieces in a box; sheets for mosaic'),
  boxPrice: z.number().min(0).max(1_000_000).describe('Price of a box in the job currency, before tax'),
  lots: z.array(lotSchema).max(40).default([]).describe('Production batches in hand or offered'),
  colour: colourSchema.default('#d9d4c7').describe('For the drawing, as #rrggbb'),
  picture: z
    .string()
    .regex(/^data:image\/(png|jpeg|webp);base64,[A-Za-z0-9+/=]+$/)
    .max(LONGEST_PICTURE)
    .nullable()
    .default(null)
    .describe('A picture of the face as a data address; null for the plain colour'),
});

/** A tile product; see the schema for what each field means. */
export type Product = z.infer<typeof productSchema>;

/** Sides of a piece in mm. */
export interface Size {
  readonly widthMm: number;
  readonly heightMm: number;
}

/** The size to compute with: measured where there is one, the one on the box where not. */
export const actualSize = (product: Pick<Product, 'measured' | 'nominal'>): Size => product.measured ?? product.nominal;

/** Whether pieces may not be turned, because the face has a way up. */
export const facesOneWay = ({ face }: Pick<Product, 'face'>): boolean => face === 'directional' || face === 'printed';

/** Whether sand in a grout scratches the face: glass, metal, and whatever is polished (trade practice). */
export const isScratchable = ({ material, polished = false }: Pick<Product, 'material' | 'polished'>): boolean =>
  polished || material === 'glass' || material === 'metal';

/** Whether it has to be seen which way up a piece lies: by its face, or by the arrow on its back. */
export const hasWayUp = (product: Pick<Product, 'face' | 'backArrow'>): boolean => facesOneWay(product) || product.backArrow;

/** The tile of a name; throws where the job has lost it (checkJob refuses such a job). */
export function productNamed(products: readonly Product[], id: string): Product {
  const found = products.find((product) => product.id === id);
  if (!found) throw new Error(`a piece names a product the job does not have: ${id}`);
  return found;
}
