import { z } from 'zod';

const stepSchema = z.union([z.string().max(200), z.strictObject({ id: z.string().min(1).max(200) })]);
const pathSchema = z.array(stepSchema).min(1).max(20);

/** One edit of a job. A path names what a list holds by its id, never by its place. */
export const editSchema = z.discriminatedUnion('op', [
  z.strictObject({ op: z.literal('set'), path: pathSchema, value: z.unknown() }).describe('A field has this value'),
  z.strictObject({ op: z.literal('unset'), path: pathSchema }).describe('A field is no longer there'),
  z
    .strictObject({ op: z.literal('put'), path: pathSchema, value: z.unknown(), before: z.string().nullable() })
    .describe('A list holds this, ahead of the one named; at its end for null'),
  z.strictObject({ op: z.literal('drop'), path: pathSchema }).describe('A list no longer holds it'),
  z.strictObject({ op: z.literal('order'), path: pathSchema, ids: z.array(z.string()).max(1000) }).describe('A list stands in this order'),
]);

/** One step to a place in a job: a key, or what a list holds by its id. */
export type Step = z.infer<typeof stepSchema>;

/** A place in a job, outermost step first. */
export type EditPath = readonly Step[];

/** One edit of a job; see the schema. */
export type Edit = z.infer<typeof editSchema>;

/** Something a list holds by its id. */
export interface Identified {
  readonly id: string;
}

/** A list whose items all have an id of their own; an empty list is one too. */
export function isKeyed(value: unknown): value is readonly Identified[] {
  if (!Array.isArray(value)) return false;
  const ids = new Set<unknown>(value.map((item: unknown) => (isRecord(item) && typeof item['id'] === 'string' ? item['id'] : null)));
  return ids.size === value.length && !ids.has(null);
}

/** A plain object with keys. */
export const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * The part of a job that an edit touches: `surfaces/kitchen`, `products/tile`, `name`. What two people
 * change in different parts never meets.
 */
export function partOf({ path: [list, item] }: { readonly path: EditPath }): string {
  return typeof item === 'object' ? `${String(list)}/${item.id}` : String(list);
}

/** Whether two edits touch the same place, or one a place within the other's; the order of a list and what it holds are two things. */
export function meet(a: Edit, b: Edit): boolean {
  if ((a.op === 'order') !== (b.op === 'order') && a.path.length !== b.path.length) {
    const [order, other] = a.op === 'order' ? [a, b] : [b, a];
    if (order.path.length < other.path.length) return false;
  }
  const shared = Math.min(a.path.length, b.path.length);
  return a.path.slice(0, shared).every((step, k) => nameOf(step) === nameOf(b.path[k]));
}

const nameOf = (step: Step): string => (typeof step === 'string' ? step : `#${step.id}`);
