import { z } from 'zod';
import { pieceShapeSchema } from './pieceShape.ts';
import { sheetSchema } from './sheet/sheet.ts';

/** What a tile is as it is bought: one piece with an outline, or a sheet of chips. */
export const tileShapeSchema = z.discriminatedUnion('kind', [...pieceShapeSchema.options, sheetSchema]);

/** The outline of a tile, or the chips of a sheet. */
export type TileShape = z.infer<typeof tileShapeSchema>;

/** One of the outlines. */
export type TileShapeKind = TileShape['kind'];

/** The outlines of single pieces, plain first. */
export const PIECE_SHAPES = pieceShapeSchema.options.map(({ shape }) => shape.kind.value);
