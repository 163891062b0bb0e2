import { setIn } from '../job/setIn.ts';
import { checkJob } from '../job/checkJob.ts';
import type { Job } from '../job/job.ts';
import type { Finding } from './finding.ts';

/** A job with a finding mended; null where nothing mends it by a press, or what is mended is gone or would be refused. */
export function mendedJob(job: Job, { mend }: Finding): Job | null {
  if (!mend) return null;
  const mends = [mend, ...(mend.also ?? [])];
  if (!mends.every(({ path }) => isThere(job, path))) return null;
  const mended = mends.reduce((now, { path, value }) => setIn(now, path, value), job);
  return checkJob(mended).length > checkJob(job).length ? null : mended;
}

/** Whether what a path goes through is still there: whatever stands in a list may be gone meanwhile, what is only left out is not. */
function isThere(job: Job, path: Finding['path']): boolean {
  let at: unknown = job;
  for (const key of path) {
    if (Array.isArray(at) && !(Number(key) in at)) return false;
    at = at === undefined || at === null ? undefined : (at as Record<string | number, unknown>)[key];
  }
  return true;
}

const nameOf = ({ code, path }: Finding): string => `${code} ${path.join('.')}`;

/** Whether a mend does what it says, by what is found before and after it: that finding is gone, and no warning is new. */
export function mendHolds(finding: Finding, before: readonly Finding[], after: readonly Finding[]): boolean {
  const had = new Set(before.filter(({ severity }) => severity === 'warning').map(nameOf));
  return after.every((one) => nameOf(one) !== nameOf(finding) && (one.severity === 'note' || had.has(nameOf(one))));
}
