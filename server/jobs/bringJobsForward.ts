import { readJob } from '@azulejo/core/formats/jobFile';
import { JOB_VERSION, type Job } from '@azulejo/core/job/job';
import type { Database } from '../db/database.ts';
import { readQueries } from '../db/readQueries.ts';

const SQL = readQueries(import.meta.url, ['listOldJobs', 'replaceJob', 'forgetHistory']);

/**
 * Brings stored jobs to the version this code writes. Their history is forgotten: its changes name
 * places the new form does not have. Returns how many; one that can't be read is left as it is.
 */
export async function bringJobsForward(database: Database): Promise<number> {
  const old = await database.query<{ job: Job }>(SQL.listOldJobs, [JOB_VERSION]);
  let brought = 0;
  for (const { job } of old) {
    const read = readJob(job);
    if (!read.ok) continue;
    await database.transaction(async (on) => {
      await on.query(SQL.forgetHistory, [job.id]);
      await on.query(SQL.replaceJob, [job.id, JSON.stringify(read.value)]);
    });
    brought++;
  }
  return brought;
}
