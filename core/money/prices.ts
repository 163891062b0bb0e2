import { z } from 'zod';

const packsOf = (unit: string, size: number, price: number) =>
  z
    .strictObject({
      packs: z
        .array(
          z.strictObject({
            size: z.number().min(0.05).max(100_000).describe(`What it holds, ${unit}`),
            price: z.number().min(0).max(1_000_000),
          }),
        )
        .min(1)
        .max(8)
        .describe('The packs it is sold in; the cheapest that cover the need are bought'),
    })
    .default({ packs: [{ size, price }] });

/** Packs and prices of what goes with the tiles, in the job's currency, before tax. */
export const pricesSchema = z.strictObject({
  adhesive: packsOf('kg', 20, 18.5),
  grout: packsOf('kg', 5, 14.9),
  sealant: packsOf('ml', 310, 9.8),
});

/** Packs and prices. */
export type Prices = z.infer<typeof pricesSchema>;
