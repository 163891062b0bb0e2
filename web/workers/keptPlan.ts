import type { Remote } from 'comlink';
import type { Job } from '@azulejo/core/job/job';
import type { Plan } from '@azulejo/core/plan';
import { api } from '../api/client.ts';
import { lastSeen } from '../saving/lastSeen.ts';
import type { Planner } from './planWorker.ts';

interface KeptPlan {
  /** The release that planned it, and what it was planned from. */
  readonly build: string;
  readonly job: string;
  readonly plan: Plan;
}

/** What was last kept of a job's plan, where the product is still the one that made it. */
async function lastKept(jobId: string): Promise<KeptPlan | null> {
  const kept = await lastSeen.find<KeptPlan>(`plan/${jobId}`);
  return kept?.build === __BUILD__ ? kept : null;
}

/** The plan that was last kept of a job, where neither the job nor the product changed since; null otherwise. */
export async function keptPlan(job: Job): Promise<Plan | null> {
  const kept = await lastKept(job.id);
  return kept?.job === JSON.stringify(job) ? kept.plan : null;
}

/** Keeps the plan of a job in place of the one before. */
export const keepPlan = (job: Job, plan: Plan): Promise<void> =>
  lastSeen.keep(`plan/${job.id}`, { build: __BUILD__, job: JSON.stringify(job), plan } satisfies KeptPlan);

/** The server is waited for no longer than this: what it does not say is worked out here, ms. */
const SERVER_MS = 5000;

/** What the server has kept of jobs that this browser knows nothing of, asked for once a page. */
const asked = new Map<string, Promise<readonly string[]>>();

/** The layouts of a job as the server keeps them, where it has the same core; none where it does not answer in time. */
function keptByServer(jobId: string): Promise<readonly string[]> {
  if (__CORE__ === '') return Promise.resolve([]);
  const known = asked.get(jobId);
  if (known) return known;
  const tooLate = new Promise<readonly string[]>((resolve) => setTimeout(() => resolve([]), SERVER_MS));
  const answer = api.listLayouts(jobId, __CORE__).then(
    ({ layouts }) => layouts,
    () => [],
  );
  const first = Promise.race([answer, tooLate]);
  asked.set(jobId, first);
  return first;
}

/** What this page handed to which worker, by job. */
const handed = new Map<Remote<Planner>, Map<string, Promise<void>>>();

/**
 * Hands a worker what was last kept of a job's plan, here or else on the server, once a page: what stayed as it was since is not
 * laid out again.
 */
export function handKept(worker: Remote<Planner>, jobId: string): Promise<void> {
  const own = handed.get(worker) ?? new Map<string, Promise<void>>();
  handed.set(worker, own);
  const before = own.get(jobId);
  if (before) return before;
  const now = lastKept(jobId)
    .then(async (kept) =>
      kept ? worker.remember(JSON.parse(kept.job) as Job, kept.plan.surfaces) : worker.rememberPacked(await keptByServer(jobId)),
    )
    // What can't be handed over is worked out anew.
    .catch(() => undefined);
  own.set(jobId, now);
  return now;
}
