import { proxy } from 'comlink';
import { computed, shallowRef } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import type { Plan } from '@azulejo/core/plan';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { withoutPictures } from '@azulejo/core/plan/layout/briefOf';
import { useJobStore } from '../stores/jobStore.ts';
import { handKept, keepPlan, keptPlan } from './keptPlan.ts';
import { planner, searcher } from './planner.ts';
import { useLatest } from './useLatest.ts';

/**
 * The plan of the open job; surfaces come one by one, as they are planned. Beside the plan of one surface it is worked
 * out by the worker that is idle then.
 */
export function useJobPlan({ besideSurface }: { readonly besideSurface: boolean } = { besideSurface: false }) {
  const worker = besideSurface ? searcher : planner;
  const jobs = useJobStore();
  const early = shallowRef<ReadonlyMap<string, SurfacePlan>>(new Map());
  const told = proxy((planned: SurfacePlan) => {
    early.value = new Map([...early.value, [planned.surfaceId, planned]]);
  });
  const planned = useLatest<Job, { readonly of: Job; readonly plan: Plan }>(
    () => jobs.job,
    async (job) => {
      const bare = withoutPictures(job);
      const known = await keptPlan(bare);
      if (known) return { of: job, plan: known };
      await handKept(worker, bare.id);
      const plan = await worker.planJob(bare, told);
      if (plan) void keepPlan(bare, plan);
      return plan && { of: job, plan };
    },
    () => void worker.giveUp(),
  );
  const plan = computed(() => planned.value.value?.plan ?? null);
  /** The job as it was when that plan was made of it. */
  const of = computed(() => planned.value.value?.of ?? null);
  /** Each surface by itself at first, then as it is beside the others. */
  const surfaces = computed(() => {
    const whole = plan.value;
    return whole ? new Map(whole.surfaces.map((surface) => [surface.surfaceId, surface])) : early.value;
  });
  return { plan, of, surfaces };
}
