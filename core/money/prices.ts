import { z } from 'zod';

const price = z.number().min(0).max(1_000_000);

/** Pack sizes and prices of what goes with the tiles, in the job's currency, before tax. */
export const pricesSchema = z.strictObject({
  adhesive: z.strictObject({ bagKg: z.number().min(0.1).max(1000), price }).default({ bagKg: 20, price: 18.5 }),
  grout: z.strictObject({ bagKg: z.number().min(0.1).max(1000), price }).default({ bagKg: 5, price: 14.9 }),
  sealant: z.strictObject({ cartridgeMl: z.number().min(10).max(10_000), price }).default({ cartridgeMl: 310, price: 9.8 }),
});

/** Pack sizes and prices. */
export type Prices = z.infer<typeof pricesSchema>;
