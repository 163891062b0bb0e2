import type { Ref } from 'vue';
import type { Finding } from '@azulejo/core/advice/finding';
import type { Job } from '@azulejo/core/job/job';
import { withoutPictures } from '@azulejo/core/plan/layout/briefOf';
import { planner } from './planner.ts';
import { useLatest } from './useLatest.ts';

/** The findings of a surface, as they were found. */
interface FindingsToProve {
  readonly job: Job;
  readonly surfaceId: string;
  readonly findings: readonly Finding[];
}

/** What was proven, of the findings it was proven of. */
export interface Proven {
  readonly findings: readonly Finding[];
  readonly holding: ReadonlySet<Finding>;
}

/** The mends that hold when they are tried away from the page: none is offered before. A newer plan comes before them. */
export function useProvenMends(found: Ref<FindingsToProve | null>) {
  return useLatest<FindingsToProve, Proven>(
    () => (found.value?.findings.some(({ mend }) => mend) ? found.value : null),
    async ({ job, surfaceId, findings }) => {
      const holding = await planner.mendsThatHold(withoutPictures(job), surfaceId, findings);
      return holding && { findings, holding: new Set(holding.map((k) => findings[k])) };
    },
  ).value;
}
