import { bringForward } from '@azulejo/core/formats/migrations';
import { JOB_VERSION, jobSchema, type Job } from '@azulejo/core/job/job';
import type { Database } from '../db/database.ts';
import { readQueries } from '../db/readQueries.ts';
import type { JobRepository } from './jobRepository.ts';

const SQL = readQueries(import.meta.url, ['listOldJobs']);

/**
 * Brings stored jobs to the version this code writes, without their history: its changes name places the
 * new form does not have. Nothing is refused, even where today's checks are stricter. Returns how many.
 */
export async function bringJobsForward(database: Database, jobs: JobRepository): Promise<number> {
  const old = await database.query<{ id: string }>(SQL.listOldJobs, [JOB_VERSION]);
  for (const { id } of old) await jobs.replace(id, broughtForward);
  return old.length;
}

/** Nothing where it was brought forward meanwhile, by a process that starts beside this one. */
function broughtForward(job: Job): Job | null {
  const { version }: { readonly version: number } = job;
  if (version === JOB_VERSION) return null;
  const forward = bringForward({ ...job });
  const read = jobSchema.safeParse(forward);
  return read.success ? read.data : (forward as unknown as Job);
}
