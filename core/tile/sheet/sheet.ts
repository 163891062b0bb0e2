import { z } from 'zod';
import { gapSchema, lengthSchema } from '../../units/lengthSchema.ts';
import { pieceShapeSchema } from '../pieceShape.ts';

const placeSchema = z.number().min(-2000).max(2000);
const vectorSchema = z.tuple([placeSchema, placeSchema]);

/** The most chips on one sheet. */
export const MOST_CHIPS = 1200;

const chipSchema = z.strictObject({
  type: z.int().min(0).describe('Which of the types, from 0'),
  xMm: placeSchema.describe('Middle of the chip from the left end of the sheet, mm'),
  yMm: placeSchema.describe('Middle of the chip from the bottom of the sheet, mm'),
  turnDeg: z.number().min(-360).max(360).default(0),
  colour: z.int().min(0).default(0).describe('Which of the palette, from 0'),
});

/** A mosaic sheet: small pieces held at their joint by a mesh behind or a paper in front. */
export const sheetSchema = z
  .strictObject({
    kind: z.literal('sheet'),
    jointMm: gapSchema.describe('Joint between the chips, mm'),
    across: vectorSchema.describe('From a sheet to the next on its right, one joint between them, mm'),
    up: vectorSchema.describe('From a sheet to the next above, mm'),
    mount: z.enum(['mesh', 'face']).default('mesh').describe('Held by a mesh behind, or by paper or film on the face'),
    figured: z.boolean().default(false).describe('Shows a motif: chips keep their place in the sheet'),
    types: z
      .array(z.strictObject({ shape: pieceShapeSchema, widthMm: lengthSchema, heightMm: lengthSchema }))
      .min(1)
      .max(12),
    palette: z
      .array(z.string().regex(/^#[0-9a-f]{6}$/i))
      .min(1)
      .max(24),
    chips: z.array(chipSchema).min(1).max(MOST_CHIPS),
  })
  .refine(({ chips, types, palette }) => chips.every(({ type, colour }) => type < types.length && colour < palette.length), {
    message: 'a chip names a type or a colour that the sheet does not have',
  });

/** A mosaic sheet; see the schema for what each field means. */
export type Sheet = z.infer<typeof sheetSchema>;

/** One chip of a sheet. */
export type Chip = Sheet['chips'][number];

/** One size and outline of chip. */
export type ChipType = Sheet['types'][number];
