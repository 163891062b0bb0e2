import { issuesOfSurface } from '../job/checkJob.ts';
import { productOf, type Job, type Surface } from '../job/job.ts';
import type { Memory, Shelf } from '../memory.ts';
import { briefOf } from '../plan/layout/briefOf.ts';
import { textOf } from '../plan/layout/knownLayouts.ts';
import type { SurfacePlan } from '../plan/planned.ts';
import type { Issue } from '../result.ts';
import type { Finding } from './finding.ts';
import { adviseSurface } from './registry.ts';

/**
 * Everything found on one surface: what is untrue of it as it is stored comes first (checks grow stricter, stored jobs
 * stay), then what the rules of advice find in its plan, where there is one.
 */
export function findingsOn(job: Job, surface: Surface, plan: SurfacePlan | null, memory?: Memory): Finding[] {
  const surfaceIndex = job.surfaces.findIndex(({ id }) => id === surface.id);
  const issues = memory ? issuesKept(job, surface, memory) : issuesOfSurface(job, surface);
  const untrue = issues.map(({ code, path, figures }): Finding => ({
    code,
    severity: 'warning',
    path: ['surfaces', surfaceIndex, ...path],
    figures,
  }));
  return plan ? [...untrue, ...adviseSurface({ job, surface, surfaceIndex, product: productOf(job, surface), plan })] : untrue;
}

function issuesKept(job: Job, surface: Surface, memory: Memory): readonly Issue[] {
  const hasRoom = job.rooms.some(({ id }) => id === surface.roomId);
  return memory.recall(ISSUES, `${hasRoom} ${textOf(briefOf(job, surface))}`, () => issuesOfSurface(job, surface));
}

/** What is untrue of surfaces, by all that they are laid out from and whether their room is there. */
const ISSUES: Shelf<readonly Issue[]> = { most: 400 };
