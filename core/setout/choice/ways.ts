import { z } from 'zod';

/** What setouts are weighed by, in the order they are told. */
export const CARES = [
  'slivers',
  'ends',
  'fullSeen',
  'balance',
  'square',
  'middle',
  'beside',
  'rounds',
  'ears',
  'work',
  'pieces',
  'motifs',
] as const;

/** One of the things setouts are weighed by. */
export type Care = (typeof CARES)[number];

const weight = z.number().min(0).max(5);

/** How much each counts: 1 as it comes, 0 not at all. */
export const weightsSchema = z
  .strictObject(Object.fromEntries(CARES.map((care) => [care, weight])) as Record<Care, typeof weight>)
  .refine((weights) => CARES.some((care) => weights[care] > 0), {
    params: { code: 'setout/nothing-counts' },
    message: 'something that counts',
  });

/** How much each counts. */
export type Weights = z.infer<typeof weightsSchema>;

const EVEN: Weights = {
  slivers: 1,
  ends: 1,
  fullSeen: 1,
  balance: 1,
  square: 1,
  middle: 1,
  beside: 1,
  rounds: 1,
  ears: 1,
  work: 1,
  pieces: 1,
  motifs: 1,
};

/** The ways of working that ship: looks before hours, and hours before looks. */
export const SHIPPED_WAYS = {
  carefulEye: EVEN,
  quickJob: { ...EVEN, ends: 0.5, fullSeen: 0.5, balance: 0.4, middle: 0.5, work: 4, pieces: 3 },
} as const satisfies Readonly<Record<string, Weights>>;

/** A way of working of one's own, by name. */
export const wayOfWorkingSchema = z.strictObject({ name: z.string().trim().min(1).max(40), weights: weightsSchema });

/** A way of working of one's own. */
export type WayOfWorking = z.infer<typeof wayOfWorkingSchema>;

/** How setouts of a job are weighed: a way that ships, or one's own. */
export const wayChoiceSchema = z.union([z.enum(['carefulEye', 'quickJob']), wayOfWorkingSchema]);

/** The choice. */
export type WayChoice = z.infer<typeof wayChoiceSchema>;

/** The weights of a choice. */
export const weightsOf = (way: WayChoice): Weights => (typeof way === 'string' ? SHIPPED_WAYS[way] : way.weights);
