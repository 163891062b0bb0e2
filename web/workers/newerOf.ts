import type { Job } from '@azulejo/core/job/job';

/** A drawing, and the plan where it is of the same job. A plan is a drawing too: the one that was wanted last, or else the last drawn. */
export function newerOf<Drawn, Planned extends Drawn>(
  drawn: { readonly job: Job; readonly result: Drawn } | null,
  planned: { readonly job: Job; readonly result: Planned } | null,
  wanted: { readonly job: Job } | null,
): { readonly drawing: Drawn | null; readonly plan: Planned | null } {
  if (drawn && drawn.job === planned?.job) return { drawing: drawn.result, plan: planned.result };
  if (planned && (!drawn || planned.job === wanted?.job)) return { drawing: planned.result, plan: planned.result };
  return { drawing: drawn?.result ?? null, plan: null };
}
