import { z } from 'zod';

/** How a job is bought. */
export const buyingSchema = z.strictObject({
  mostRunOutPercent: z
    .number()
    .min(0.1)
    .max(50)
    .optional()
    .describe('More is bought until no line runs out with more than this chance; the bare need where left out'),
});

/** How a job is bought. */
export type Buying = z.infer<typeof buyingSchema>;
