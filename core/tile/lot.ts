import { z } from 'zod';

/** A production batch: pieces of one shade and one calibre. */
export const lotSchema = z.strictObject({
  id: z.string().min(1).max(40),
  code: z.string().trim().min(1).max(40).describe('As printed on the box'),
  shade: z.string().trim().max(20).default(''),
  calibre: z.string().trim().max(20).default(''),
  pieces: z.int().min(0).max(1_000_000).describe('Pieces of it in hand or on offer'),
});

/** A production batch of a tile. */
export type Lot = z.infer<typeof lotSchema>;

/** The smallest lot that covers a number of pieces by itself; null when none does. */
export const lotFor = (lots: readonly Lot[], pieces: number): Lot | null =>
  [...lots].filter((lot) => lot.pieces >= pieces).sort((a, b) => a.pieces - b.pieces)[0] ?? null;
