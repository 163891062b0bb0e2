import type { Job, Surface } from '@azulejo/core/job';
import type { Issue } from '@azulejo/core/result';
import { useJobStore } from '../stores/jobStore.ts';

/** Makes a change to one surface of the open job; returns why not when it can't be. */
export function useEditSurface(id: () => string): (label: string, recipe: (surface: Surface, job: Job) => void) => readonly Issue[] {
  const jobs = useJobStore();
  return (label, recipe) =>
    jobs.change(label, (draft) => {
      const surface = draft.surfaces.find((other) => other.id === id());
      if (surface) recipe(surface, draft);
    });
}
