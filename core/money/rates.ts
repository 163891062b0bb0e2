import { z } from 'zod';
import { PATTERNS, type PatternId } from '../pattern/registry.ts';

const percent = (most: number) => z.number().min(0).max(most);
const amount = z.number().min(0).max(1_000_000);

/** What work is charged at. */
export const rateSetSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().trim().min(1).max(60),
  by: z.enum(['hours', 'area']).describe('Labour by the hours it takes, or by the square metre'),
  perHour: amount.default(48),
  perM2: amount.default(62).describe('Straight joints; patterns have a surcharge'),
  surcharges: z
    .partialRecord(z.enum(Object.keys(PATTERNS) as PatternId[]), percent(500))
    .optional()
    .describe('Percent more by pattern, where it is not as much as the pattern takes longer'),
  trips: z.int().min(0).max(1000).default(0),
  perTrip: amount.default(25),
  minimum: amount.default(0).describe('Labour is never charged less'),
  overheadPercent: percent(200).default(0).describe('On everything'),
  markupPercent: percent(200).default(0).describe('On materials'),
  discountPercent: percent(100).default(0),
  taxPercent: percent(50).default(20).describe('On labour and all that is no material'),
  materialTaxPercent: percent(50).default(20),
});

/** What work is charged at. */
export type RateSet = z.infer<typeof rateSetSchema>;

/** The sets that a job begins with: one's own hands, and hired ones by the hour and by the area. All figures made up. */
export const USUAL_RATES: readonly RateSet[] = [
  rateSetSchema.parse({ id: 'hours', name: 'By the hour', by: 'hours', trips: 2, minimum: 180, overheadPercent: 8 }),
  rateSetSchema.parse({ id: 'area', name: 'By the square metre', by: 'area', trips: 2, minimum: 180, overheadPercent: 8 }),
  rateSetSchema.parse({ id: 'own', name: 'Own hands', by: 'hours', perHour: 0, perTrip: 0 }),
];

/** Percent more for a pattern: as set, or as much as it takes longer. */
export const surchargeOf = ({ surcharges }: RateSet, pattern: PatternId): number =>
  surcharges?.[pattern] ?? Math.round((PATTERNS[pattern].slower - 1) * 100);
