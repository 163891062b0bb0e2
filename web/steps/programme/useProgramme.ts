import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import type { Job } from '@azulejo/core/job/job';
import type { ProgrammeChoice } from '@azulejo/core/programme/programmeChoice';
import type { Issue } from '@azulejo/core/result';
import { useJobStore } from '../../stores/jobStore.ts';

/** What a hand does to the days of a job. */
export function useProgramme(job: () => Job) {
  const jobs = useJobStore();
  const set = (label: ChangeLabel, part: Partial<ProgrammeChoice>): readonly Issue[] =>
    jobs.change(label, (draft) => {
      draft.programme = { ...draft.programme, ...part };
    });
  /** Puts a work on a day; null lets it fall where it may. */
  const move = (id: string, day: string | null): readonly Issue[] => {
    const others = Object.entries(job().programme?.notBefore ?? {}).filter(([other]) => other !== id);
    return set('moveAWork', { notBefore: Object.fromEntries(day === null ? others : [...others, [id, day]]) });
  };
  return { set, move };
}
