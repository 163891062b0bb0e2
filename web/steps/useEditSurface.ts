import { labelOn, type ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { Issue } from '@azulejo/core/result';
import { lengthAt } from '@azulejo/core/surface/measurements';
import { useJobStore } from '../stores/jobStore.ts';

/** Makes a change to one surface of the open job; returns why not when it can't be. A length that changes is measured again. */
export function useEditSurface(id: () => string): (label: ChangeLabel, recipe: (surface: Surface, job: Job) => void) => readonly Issue[] {
  const jobs = useJobStore();
  return (label, recipe) =>
    jobs.change(labelOn(label, jobs.job?.surfaces.find((other) => other.id === id())?.name), (draft) => {
      const surface = draft.surfaces.find((other) => other.id === id());
      if (!surface) return;
      const before = new Map(surface.measured.again.map((key) => [key, lengthAt(surface.measured, key)]));
      recipe(surface, draft);
      surface.measured.again = surface.measured.again.filter((key) => {
        const now = lengthAt(surface.measured, key);
        return now !== null && now === before.get(key);
      });
    });
}
