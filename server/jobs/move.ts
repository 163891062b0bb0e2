import type { SentChange } from '@azulejo/core/formats/apiTypes';
import { differences } from '@azulejo/core/job/edit/differences';
import { partOf, type Edit } from '@azulejo/core/job/edit/edit';
import type { Job } from '@azulejo/core/job/job';
import type { Queryable } from '../db/database.ts';
import type { KnownJob } from './jobMemory.ts';
import { changedRows, documentOf } from './jobRows.ts';

/** Where a change takes a job. */
export interface Move {
  readonly after: Job;
  readonly edits: readonly Edit[];
  readonly position: number;
  /** What is kept in the history; null for a step along it. */
  readonly change: SentChange | null;
  /** What is written with it, or not at all. */
  readonly beside?: (on: Queryable) => Promise<unknown>;
}

/** What writeJob.sql is told of a move. */
export function writeParameters({ job, version, made }: KnownJob, { after, edits, position, change }: Move): unknown[] {
  const surfaces = changedRows(job.surfaces, after.surfaces);
  const products = changedRows(job.products, after.products);
  const rows = [surfaces.kept, surfaces.gone, products.kept, products.gone].map((part) => JSON.stringify(part));
  const parts = edits.map(partOf).filter((part) => !/^(surfaces|products)\//.test(part));
  const history = change
    ? [change.id, change.label, JSON.stringify(change.edits), JSON.stringify(differences(after, job)), change.by ?? '', change.person ?? '']
    : [null, null, null, null, null, null];
  return [
    job.id,
    JSON.stringify(documentOf(after)),
    position,
    version + 1,
    ...rows,
    JSON.stringify(Object.fromEntries(parts.map((part) => [part, version + 1]))),
    version,
    made,
    ...history,
  ];
}

/** What is known of a job after a move was written. */
export function movedOn({ version, made, parts, hasUndone }: KnownJob, { after, edits, position, change }: Move): KnownJob {
  const touched = Object.fromEntries(edits.map((edit) => [partOf(edit), version + 1]));
  return { job: after, version: version + 1, made, position, parts: { ...parts, ...touched }, hasUndone: hasUndone || change === null };
}
