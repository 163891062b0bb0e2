import { glanceOf, type Glance } from '@azulejo/core/formats/glance';
import type { Memory } from '@azulejo/core/memory';
import type { Job } from '@azulejo/core/job/job';
import { plan } from '@azulejo/core/plan';

/** A job to be summed up. */
export interface GlanceTask {
  readonly job: Job;
  /** The surfaces to sketch. */
  readonly surfaceIds: readonly string[];
}

/** Plans a whole job and sums it up. */
export const takeGlance = ({ job, surfaceIds }: GlanceTask, memory?: Memory): Promise<Glance> =>
  Promise.resolve(glanceOf(job, plan(job, memory), surfaceIds));
