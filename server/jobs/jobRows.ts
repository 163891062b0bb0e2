import type { Identified } from '@azulejo/core/job/edit/edit';
import type { Job } from '@azulejo/core/job/job';

/** A job as it lies in the database: what each surface and tile is in rows, all else in a document with their order. */
export interface JobRows {
  readonly doc: object;
  readonly surfaces: readonly Identified[];
  readonly products: readonly Identified[];
}

/** What a job leaves in its document: surfaces and tiles by id, in their order. */
export const documentOf = (job: Job): object => ({ ...job, surfaces: idsOf(job.surfaces), products: idsOf(job.products) });

/** Puts a job together from its rows; a row that is missing is left out. */
export function jobOfRows({ doc, surfaces, products }: JobRows): Job {
  const { surfaces: surfaceIds, products: productIds } = doc as { surfaces: string[]; products: string[] };
  return { ...doc, surfaces: inOrder(surfaces, surfaceIds), products: inOrder(products, productIds) } as unknown as Job;
}

/** The rows of one list that a change writes, and those it takes away. */
export function changedRows(before: readonly Identified[], after: readonly Identified[]): { kept: readonly Identified[]; gone: string[] } {
  const [old, ids] = [new Set(before), new Set(idsOf(after))];
  return { kept: after.filter((item) => !old.has(item)), gone: idsOf(before).filter((id) => !ids.has(id)) };
}

const idsOf = (items: readonly Identified[]): string[] => items.map(({ id }) => id);

function inOrder(items: readonly Identified[], ids: readonly string[]): Identified[] {
  const byId = new Map(items.map((item) => [item.id, item]));
  return ids.flatMap((id) => byId.get(id) ?? []);
}
