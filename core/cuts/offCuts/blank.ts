import { z } from 'zod';
import type { Box } from '../../geometry/ring.ts';
import { lengthSchema } from '../../units/lengthSchema.ts';
import type { Size } from '../../tile/product.ts';
import type { Side } from '../cutKind.ts';

const SIDES = ['left', 'right', 'bottom', 'top'] as const;

/** The most blanks a job has. */
export const MOST_BLANKS = 200;

/** A piece of tile that is there already: broken, or left over from elsewhere. */
export const blankSchema = z.strictObject({
  id: z.string().min(1).max(40),
  productId: z.string().min(1).max(40),
  widthMm: lengthSchema.describe('Of its largest rectangle, as the tile lies, mm'),
  heightMm: lengthSchema,
  sides: z.array(z.enum(SIDES)).max(4).default([]).describe('Its sides that are edges of the factory'),
  pieces: z.int().min(1).max(500).default(1),
  from: z.string().trim().max(80).default('').describe('Where it comes from'),
});

/** A piece of tile that is there already. */
export type Blank = z.infer<typeof blankSchema>;

/** Where a blank lies in the tile it was: against its factory sides, else in the middle. */
export function boxOfBlank({ widthMm, heightMm, sides }: Pick<Blank, 'widthMm' | 'heightMm' | 'sides'>, tile: Size): Box {
  const start = (low: Side, high: Side, own: number, whole: number): number =>
    sides.includes(low) ? 0 : sides.includes(high) ? whole - own : (whole - own) / 2;
  const minX = start('left', 'right', widthMm, tile.widthMm);
  const minY = start('bottom', 'top', heightMm, tile.heightMm);
  return { minX, minY, maxX: minX + widthMm, maxY: minY + heightMm };
}

/** Whether a blank is a whole tile, to a millimetre. */
export const isWholeTile = ({ widthMm, heightMm }: Size, tile: Size): boolean =>
  Math.abs(widthMm - tile.widthMm) < 1 && Math.abs(heightMm - tile.heightMm) < 1;
