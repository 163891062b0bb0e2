import { z } from 'zod';
import { checkJob } from '../job/checkJob.ts';
import { JOB_VERSION, jobSchema, type Job } from '../job/job.ts';
import { accepted, issue, refused, type Result } from '../result.ts';
import { bringForward } from './migrations.ts';
import { issuesFromZod } from './zodIssues.ts';

/**
 * Reads a job file. Issues: `file/not-json`, `file/not-a-job`, `file/newer-version`, one for every
 * field that is not as expected, or what can't be true of the whole.
 */
export function readJobFile(text: string): Result<Job> {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    return refused(issue('file/not-json', [], { reason: error instanceof Error ? error.message : 'unreadable' }));
  }
  return readJob(data);
}

/** Reads a job from parsed JSON; issues as for readJobFile. */
export function readJob(data: unknown): Result<Job> {
  if (typeof data !== 'object' || data === null || !('format' in data) || data.format !== 'azulejo-job') {
    return refused(issue('file/not-a-job', ['format']));
  }
  if ('version' in data && typeof data.version === 'number' && data.version > JOB_VERSION) {
    return refused(issue('file/newer-version', ['version'], { version: data.version, reads: JOB_VERSION }));
  }
  const parsed = jobSchema.safeParse(bringForward({ ...data }));
  if (!parsed.success) return refused(...issuesFromZod(parsed.error));
  const untrue = checkJob(parsed.data);
  return untrue.length > 0 ? refused(...untrue) : accepted(parsed.data);
}

/** Writes a job file that readJobFile reads back to the same job. */
export const writeJobFile = (job: Job): string => `${JSON.stringify(job, null, 2)}\n`;

/** The JSON Schema of a job file as it may be written by hand: lengths as numbers or tape strings. */
export const jobFileSchema = (): object => z.toJSONSchema(jobSchema, { io: 'input', target: 'draft-2020-12' });
