import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import type { Labour } from '@azulejo/core/labour/workHours';
import type { Issue } from '@azulejo/core/result';
import { useJobStore } from '../stores/jobStore.ts';

/** What a hand says of those who work on the open job: paces, hours, helpers. */
export function useLabour(): (label: ChangeLabel, part: Labour) => readonly Issue[] {
  const jobs = useJobStore();
  return (label, part) =>
    jobs.change(label, (draft) => {
      draft.labour = { ...draft.labour, ...part };
    });
}
