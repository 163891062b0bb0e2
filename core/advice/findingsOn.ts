import { issuesOfSurface } from '../job/checkJob.ts';
import { productOf, type Job, type Surface } from '../job/job.ts';
import type { SurfacePlan } from '../plan/planned.ts';
import type { Finding } from './finding.ts';
import { adviseSurface } from './registry.ts';

/**
 * Everything found on one surface: what is untrue of it as it is stored comes first (checks grow stricter, stored jobs
 * stay), then what the rules of advice find in its plan, where there is one.
 */
export function findingsOn(job: Job, surface: Surface, plan: SurfacePlan | null): Finding[] {
  const surfaceIndex = job.surfaces.findIndex(({ id }) => id === surface.id);
  const untrue = issuesOfSurface(job, surface).map(({ code, path, figures }): Finding => ({
    code,
    severity: 'warning',
    path: ['surfaces', surfaceIndex, ...path],
    figures,
  }));
  return plan ? [...untrue, ...adviseSurface({ job, surface, surfaceIndex, product: productOf(job, surface), plan })] : untrue;
}
