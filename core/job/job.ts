import { z } from 'zod';
import { cuttingSchema } from '../cuts/cutOrder.ts';
import { blankSchema, MOST_BLANKS } from '../cuts/offCuts/blank.ts';
import { keptCountSchema } from '../cuts/keptLabels.ts';
import { bandSchema, borderSchema } from '../pattern/edging.ts';
import { layingFields } from '../pattern/laying.ts';
import { insetSchema } from '../setout/choice/inset.ts';
import { allowedSchema } from '../setout/choice/allowed.ts';
import { setoutChoiceSchema } from '../setout/choice/setoutChoice.ts';
import { wayChoiceSchema } from '../setout/choice/ways.ts';
import { zoneChoiceSchema } from '../zones/zoneChoice.ts';
import { linkSchema } from '../surface/link.ts';
import { PRACTICES } from '../surface/levels/flatness.ts';
import { measuredSchema, SURFACE_KINDS } from '../surface/surface.ts';
import { labourSchema } from '../labour/workHours.ts';
import { buyingSchema } from '../money/buying.ts';
import { chargingSchema } from '../money/planMoney.ts';
import { programmeSchema } from '../programme/programmeChoice.ts';
import { mixingSchema } from '../takeoff/mixes/planMixes.ts';
import { productSchema } from '../tile/product.ts';
import { consumptionSchema } from '../takeoff/consumption.ts';
import { MOST_VARIANTS, variantSchema } from './variants/variant.ts';
import { materialsSchema } from '../takeoff/materialsSchema.ts';
import { trimsSchema } from '../takeoff/works/trims.ts';
import { worksSchema } from '../takeoff/works/works.ts';
import { tapeSchema } from '../units/tape.ts';

/** The version of the job file this code writes; files of a newer one are refused. */
export const JOB_VERSION = 7;

/** How many a job may hold of each. */
export const MOST = { surfaces: 200, products: 500, links: 400 } as const;

const idSchema = z.string().min(1).max(40);

/** One surface: what was measured, and what was chosen for it. */
export const surfaceSchema = z.strictObject({
  id: idSchema,
  name: z.string().trim().min(1).max(80),
  kind: z.enum(SURFACE_KINDS),
  tape: tapeSchema.nullable().default(null).describe('How this surface reads its tape; null follows the job'),
  roomId: idSchema.nullable().default(null).describe('The room it belongs to; null for none'),
  measured: measuredSchema,
  ...layingFields,
  jointColour: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i)
    .default('#8f969b')
    .describe('Colour of the grout, as #rrggbb'),
  setout: setoutChoiceSchema,
  allowed: allowedSchema.optional().describe('What a search for the best setout may change; only the start where left out'),
  apart: z.boolean().optional().describe('Taken out of its group: its joints need not meet those of the surfaces it meets'),
  border: borderSchema.nullable().default(null).describe('Tiles that frame the surface; null for none'),
  bands: z.array(bandSchema).max(20).default([]),
  insets: z.array(insetSchema).max(40).default([]).describe('Insets with a tiling of their own'),
  counted: z.array(keptCountSchema).max(80).optional().describe('How pieces were counted when cutting began, field by field'),
  works: worksSchema.optional().describe('Where it is and what is done to it; as its place and tile ask for it where left out'),
  trims: trimsSchema.optional().describe('What its edges end in, by name; as their role has it where left out'),
  known: z
    .record(z.string().max(60), z.string().trim().max(200))
    .optional()
    .describe('Findings that the person knows of, by code, each with a note'),
  zones: zoneChoiceSchema.optional().describe('How it is parted into zones that are laid one after the other'),
  laid: z.boolean().default(false).describe('Whether the work on it is done'),
});

/** A surface of a job. */
export type Surface = z.infer<typeof surfaceSchema>;

/** Own figures of a person, by material. */
export const habitsSchema = z
  .record(z.string().max(40), z.record(z.string().max(40), z.number()))
  .refine(({ pace = {} }) => Object.values(pace).every((one) => one >= 0.01 && one <= 1000), { path: ['pace'] })
  .describe(
    'Own figures of whoever made the job, by material, paces under "pace", breakage in percent under "breakage", how far use strays as "spread"; where neither a data sheet nor the job says otherwise',
  );

/** A whole job: everything that was measured and chosen. */
export const jobSchema = z.strictObject({
  format: z.literal('azulejo-job'),
  version: z.literal(JOB_VERSION),
  id: idSchema,
  name: z.string().trim().min(1).max(80),
  client: z.string().trim().max(120).default(''),
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/)
    .default('EUR')
    .describe('Three-letter code'),
  tape: tapeSchema,
  products: z.array(productSchema).max(MOST.products),
  practice: z.enum(PRACTICES).default('european').describe('Whose limits findings are held against'),
  rooms: z
    .array(z.strictObject({ id: idSchema, name: z.string().trim().min(1).max(80) }))
    .max(100)
    .default([]),
  surfaces: z.array(surfaceSchema).max(MOST.surfaces),
  links: z.array(linkSchema).max(MOST.links).default([]).describe('Edges at which surfaces meet'),
  way: wayChoiceSchema.default('carefulEye').describe('How setouts are weighed'),
  consumption: consumptionSchema,
  variants: z.array(variantSchema).max(MOST_VARIANTS).optional().describe('Other ways to do it, beside the one that stands'),
  standing: z.string().trim().min(1).max(80).optional().describe('What the way that stands is called'),
  blanks: z
    .array(blankSchema)
    .max(MOST_BLANKS)
    .optional()
    .describe('Pieces of tile that are there already: broken, or left over from elsewhere'),
  cutting: cuttingSchema.optional().describe('How it is cut: what first, and how much at a time'),
  materials: materialsSchema.default({}),
  buying: buyingSchema.optional(),
  mixing: mixingSchema.optional(),
  labour: labourSchema.optional(),
  charging: chargingSchema.optional(),
  programme: programmeSchema.optional(),
  habits: habitsSchema.optional(),
});

/** A job; plain data, the only input of plan(). */
export type Job = z.infer<typeof jobSchema>;

/** How a surface of a job reads its tape. */
export const tapeOf = (job: Job, surface: Surface): Job['tape'] => surface.tape ?? job.tape;

/** What a product of the job is called; its id where the job no longer has it. */
export const productName = (job: Job, productId: string): string => job.products.find(({ id }) => id === productId)?.name ?? productId;

/** The product laid on a surface; throws where the job has lost it (checkJob refuses such a job). */
export function productOf(job: Pick<Job, 'products'>, surface: Surface): Job['products'][number] {
  const product = job.products.find(({ id }) => id === surface.productId);
  if (!product) throw new Error(`a surface names a product the job does not have: ${surface.productId}`);
  return product;
}
