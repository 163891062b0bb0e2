import { z } from 'zod';

/** One inch in mm (international inch, exact). */
export const MM_PER_INCH = 25.4;

/** How a job or a surface reads its tape. */
export const tapeSchema = z.strictObject({
  system: z.enum(['metric', 'imperial']).describe('Millimetres, or feet and inches'),
  metricStepMm: z
    .union([z.literal(1), z.literal(0.5), z.literal(0.1)])
    .default(0.5)
    .describe('Lengths are shown to this many mm'),
  fraction: z
    .union([z.literal(8), z.literal(16), z.literal(32)])
    .default(16)
    .describe('Inches are shown to one over this'),
  lightHeavy: z.boolean().default(false).describe('Show the half step under a mark as light, over it as heavy'),
});

/** How lengths are typed and shown. */
export type Tape = z.infer<typeof tapeSchema>;

/** A metric tape read to half a millimetre. */
export const METRIC_TAPE: Tape = { system: 'metric', metricStepMm: 0.5, fraction: 16, lightHeavy: false };

/** A tape in feet and inches read to a sixteenth. */
export const IMPERIAL_TAPE: Tape = { ...METRIC_TAPE, system: 'imperial' };
