import type { Job } from '@azulejo/core/job/job';
import type { Plan } from '@azulejo/core/plan';
import { lastSeen } from '../saving/lastSeen.ts';

interface KeptPlan {
  /** The release that planned it, and what it was planned from. */
  readonly build: string;
  readonly job: string;
  readonly plan: Plan;
}

/** The plan that was last kept of a job, where neither the job nor the product changed since; null otherwise. */
export async function keptPlan(job: Job): Promise<Plan | null> {
  const kept = await lastSeen.find<KeptPlan>(`plan/${job.id}`);
  return kept?.build === __BUILD__ && kept.job === JSON.stringify(job) ? kept.plan : null;
}

/** Keeps the plan of a job in place of the one before. */
export const keepPlan = (job: Job, plan: Plan): Promise<void> =>
  lastSeen.keep(`plan/${job.id}`, { build: __BUILD__, job: JSON.stringify(job), plan } satisfies KeptPlan);
