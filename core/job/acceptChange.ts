import type { z } from 'zod';
import { issuesFromZod } from './zodIssues.ts';
import { accepted, issue, refused, type Issue, type Result } from '../result.ts';
import { productSchema } from '../tile/product.ts';
import { checkJob } from './checkJob.ts';
import { isRecord, type Identified } from './edit/edit.ts';
import { keepSame } from './edit/keepSame.ts';
import { jobSchema, MOST, surfaceSchema, type Job } from './job.ts';

/**
 * Takes a changed job, or says why not: reads only what is no longer the same as before, and refuses only
 * what the change made new. What a job held already, it may keep, even where today's checks are stricter.
 */
export function acceptChange(before: Job, after: Job): Result<Job> {
  const surfaces = readList(before.surfaces, after.surfaces, surfaceSchema, 'surfaces');
  const products = readList(before.products, after.products, productSchema, 'products');
  const bounds = jobSchema.safeParse({ ...after, surfaces: [], products: [] });
  if (!bounds.success || !surfaces.ok || !products.ok) {
    const found = [
      ...(bounds.success ? [] : issuesFromZod(bounds.error)),
      ...(surfaces.ok ? [] : surfaces.issues),
      ...(products.ok ? [] : products.issues),
    ];
    const made = onlyNew(found, after, issuesOfSchema(before), before);
    if (made.length > 0) return refused(...made);
  }
  const read = {
    ...(bounds.success ? bounds.data : after),
    surfaces: surfaces.ok ? surfaces.value : after.surfaces,
    products: products.ok ? products.value : after.products,
  };
  const untrue = checkJob(read);
  const made = untrue.length === 0 ? [] : onlyNew(untrue, read, checkJob(before), before);
  return made.length > 0 ? refused(...made) : accepted(read);
}

/** What the schema finds in a job as it is stored. */
function issuesOfSchema(job: Job): Issue[] {
  const read = jobSchema.safeParse(job);
  return read.success ? [] : issuesFromZod(read.error);
}

/** A list whose unchanged items are kept as they are; the list itself where none changed. */
function readList<Item extends Identified>(
  before: readonly Item[],
  after: unknown,
  schema: z.ZodType<Item>,
  key: 'surfaces' | 'products',
): Result<Item[]> {
  if (after === before) return accepted(before as Item[]);
  if (!Array.isArray(after)) return refused(issue('field/type', [key], { expected: 'a list' }));
  if (after.length > MOST[key]) return refused(issue('field/too-large', [key], { maximum: MOST[key] }));
  const known = new Set<unknown>(before);
  const old = new Map(before.map((item) => [item.id, item]));
  const issues: Issue[] = [];
  const items = after.map((item: unknown, k) => {
    if (known.has(item)) return item as Item;
    const read = schema.safeParse(item);
    if (read.success) return keepSame(old.get(read.data.id), read.data);
    issues.push(...issuesFromZod(read.error).map((found) => ({ ...found, path: [key, k, ...found.path] })));
    return item as Item;
  });
  return issues.length > 0 ? refused(...issues) : accepted(items);
}

/** Those of a changed job that the job before did not have, wherever its items stood. */
function onlyNew(issues: readonly Issue[], job: Job, old: readonly Issue[], before: Job): Issue[] {
  const known = new Set(old.map((found) => addressOf(found, before)));
  return issues.filter((found) => !known.has(addressOf(found, job)));
}

/** What and where, with ids in place of positions. */
function addressOf({ code, path }: Issue, job: Job): string {
  let at: unknown = job;
  const steps = path.map((key) => {
    at = Array.isArray(at) ? (at as unknown[])[Number(key)] : isRecord(at) ? at[String(key)] : undefined;
    return typeof key === 'number' && isRecord(at) && typeof at['id'] === 'string' ? `#${at['id']}` : key;
  });
  return JSON.stringify([code, ...steps]);
}
