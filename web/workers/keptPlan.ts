import type { Remote } from 'comlink';
import type { Job } from '@azulejo/core/job/job';
import type { Plan } from '@azulejo/core/plan';
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

/** What this page handed to which worker, by job. */
const handed = new Map<Remote<Planner>, Map<string, Promise<void>>>();

/** Hands a worker what was last kept of a job's plan, once a page: what stayed as it was since is not laid out again. */
export function handKept(worker: Remote<Planner>, jobId: string): Promise<void> {
  const own = handed.get(worker) ?? new Map<string, Promise<void>>();
  handed.set(worker, own);
  const before = own.get(jobId);
  if (before) return before;
  const now = lastKept(jobId)
    .then((kept) => (kept ? worker.remember(JSON.parse(kept.job) as Job, kept.plan.surfaces) : undefined))
    // What can't be handed over is worked out anew.
    .catch(() => undefined);
  own.set(jobId, now);
  return now;
}
