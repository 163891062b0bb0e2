import { z } from 'zod';
import { entrySchema } from './entry.ts';
import { tickSchema } from './tick.ts';

/** What is kept beside a job: pieces ticked, and the log. */
export const siteRecordsSchema = z.object({ ticks: z.array(tickSchema), entries: z.array(entrySchema) });
