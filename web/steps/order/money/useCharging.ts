import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import type { Job } from '@azulejo/core/job/job';
import type { Charging } from '@azulejo/core/money/planMoney';
import { rateInForce, ratesOf } from '@azulejo/core/money/planMoney';
import type { RateSet } from '@azulejo/core/money/rates';
import type { Issue } from '@azulejo/core/result';
import { useJobStore } from '../../../stores/jobStore.ts';

/** What a hand does to what a job is charged at. */
export function useCharging(job: () => Job) {
  const jobs = useJobStore();
  const set = (label: ChangeLabel, recipe: (charging: Charging) => void): readonly Issue[] =>
    jobs.change(label, (draft) => {
      const own: Charging = draft.charging ?? {};
      recipe(own);
      draft.charging = own;
    });
  /** The usual sets become the job's own once one of them is changed. */
  const setSets = (label: ChangeLabel, recipe: (sets: RateSet[]) => void): readonly Issue[] =>
    set(label, (charging) => {
      const sets = ratesOf(job()).map((one) => ({ ...one }));
      recipe(sets);
      charging.rateSets = sets;
    });
  const setRates = (label: ChangeLabel, part: Partial<RateSet>): readonly Issue[] =>
    setSets(label, (sets) => {
      const own = sets.find(({ id }) => id === rateInForce(job()).id);
      if (own) Object.assign(own, part);
    });
  return { set, setSets, setRates };
}
