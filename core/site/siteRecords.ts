import { z } from 'zod';
import { entrySchema, type Entry } from './entry.ts';
import { tickSchema, type Tick } from './tick.ts';

/** What is kept beside a job: pieces ticked, and the log. */
export const siteRecordsSchema = z.object({ ticks: z.array(tickSchema), entries: z.array(entrySchema) });

/** What is kept beside a job. */
export interface SiteRecords {
  readonly ticks: readonly Tick[];
  readonly entries: readonly Entry[];
}

/** A job that nobody has begun on. */
export const NO_RECORDS: SiteRecords = { ticks: [], entries: [] };

/** The records of a job for another one beside it: what lies on the shelf, or was taken from it, is there once. */
export const withoutShelf = ({ ticks, entries }: SiteRecords): SiteRecords => ({
  ticks,
  entries: entries.filter(({ data }) => data.kind !== 'leftOver' && data.kind !== 'taken'),
});
