import { proxy } from 'comlink';
import { shallowRef } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import type { Plan } from '@azulejo/core/plan';
import type { SurfacePlan } from '@azulejo/core/planning/planned';
import { withoutPictures } from '@azulejo/core/planning/briefOf';
import { useJobStore } from '../stores/jobStore.ts';
import { planner } from './planner.ts';
import { useLatest } from './useLatest.ts';

/** The plan of the open job; surfaces come one by one, as they are planned. */
export function useJobPlan() {
  const jobs = useJobStore();
  const surfaces = shallowRef<ReadonlyMap<string, SurfacePlan>>(new Map());
  const told = proxy((planned: SurfacePlan) => {
    surfaces.value = new Map([...surfaces.value, [planned.surfaceId, planned]]);
  });
  const planned = useLatest<Job, Plan>(
    () => jobs.job,
    (job) => planner.planJob(withoutPictures(job), told),
    () => void planner.giveUp(),
  );
  return { plan: planned.value, surfaces };
}
