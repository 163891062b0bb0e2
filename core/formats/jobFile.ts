import { z } from 'zod';
import { checkJob } from '../job/checkJob.ts';
import { JOB_VERSION, jobSchema, type Job } from '../job/job.ts';
import { accepted, issue, refused, type Result } from '../result.ts';
import { NO_RECORDS, siteRecordsSchema, type SiteRecords } from '../site/siteRecords.ts';
import { bringForward } from './migrations.ts';
import { issuesFromZod } from '../job/zodIssues.ts';

/**
 * Reads a job file. Issues: `file/not-json`, `file/cut-short`, `file/not-a-job`, `file/newer-version`, one for every
 * field that is not as expected, or what can't be true of the whole.
 */
export function readJobFile(text: string): Result<Job> {
  const data = readJson(text);
  return data.ok ? readJob(data.value) : data;
}

/** Reads what was ticked and written down beside the job of a file; nothing where it holds none. Issues as for readJobFile. */
export function readSiteOfFile(text: string): Result<SiteRecords> {
  const data = readJson(text);
  if (!data.ok) return data;
  if (typeof data.value !== 'object' || data.value === null || !('site' in data.value)) return accepted(NO_RECORDS);
  const parsed = siteRecordsSchema.safeParse(data.value.site);
  if (parsed.success) return accepted(parsed.data);
  return refused(...issuesFromZod(parsed.error).map((found) => ({ ...found, path: ['site', ...found.path] })));
}

function readJson(text: string): Result<unknown> {
  try {
    return accepted(JSON.parse(text));
  } catch (error) {
    const [, place] = /position (\d+)/.exec(error instanceof Error ? error.message : '') ?? [];
    const lineAt = (end: number): number => text.slice(0, end).split('\n').length;
    const end = text.trimEnd().length;
    // What can't be read at its very end goes on no further.
    const isCut = place === undefined ? /^\s*[[{]/.test(text) : Number(place) >= end;
    return refused(
      isCut ? issue('file/cut-short', [], { line: lineAt(end) }) : issue('file/not-json', [], { line: lineAt(Number(place ?? 0)) }),
    );
  }
}

/** Reads a job from parsed JSON; issues as for readJobFile. */
export function readJob(data: unknown): Result<Job> {
  if (typeof data !== 'object' || data === null || !('format' in data) || data.format !== 'azulejo-job') {
    return refused(issue('file/not-a-job', ['format']));
  }
  if ('version' in data && typeof data.version === 'number' && data.version > JOB_VERSION) {
    return refused(issue('file/newer-version', ['version'], { version: data.version, reads: JOB_VERSION }));
  }
  const parsed = jobSchema.safeParse(bringForward(withoutSite({ ...data })));
  if (!parsed.success) return refused(...issuesFromZod(parsed.error));
  const untrue = checkJob(parsed.data);
  return untrue.length > 0 ? refused(...untrue) : accepted(parsed.data);
}

/** What lies beside the job in its file is read by readSiteOfFile. */
const withoutSite = (data: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(Object.entries(data).filter(([key]) => key !== 'site'));

/** Writes a job file that readJobFile reads back to the same job, and readSiteOfFile to what lies beside it. */
export const writeJobFile = (job: Job, site: SiteRecords = NO_RECORDS): string =>
  `${JSON.stringify(site.ticks.length + site.entries.length > 0 ? { ...job, site } : job, null, 2)}\n`;

/** The JSON Schema of a job file as it may be written by hand: lengths as numbers or tape strings. */
export const jobFileSchema = (): object =>
  z.toJSONSchema(jobSchema.extend({ site: siteRecordsSchema.optional().describe('What was ticked and written down') }), {
    io: 'input',
    target: 'draft-2020-12',
  });
