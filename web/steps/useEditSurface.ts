import type { Job, Surface } from '@azulejo/core/job/job';
import type { Issue } from '@azulejo/core/result';
import { lengthAt } from '@azulejo/core/surface/measurements';
import { clipText } from '@azulejo/core/units/clipText';
import { useJobStore } from '../stores/jobStore.ts';

/** Makes a change to one surface of the open job; returns why not when it can't be. A length that changes is measured again. */
export function useEditSurface(id: () => string): (label: string, recipe: (surface: Surface, job: Job) => void) => readonly Issue[] {
  const jobs = useJobStore();
  return (label, recipe) =>
    jobs.change(named(label, jobs.job?.surfaces.find((other) => other.id === id())?.name), (draft) => {
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

/** What was done, and to which surface: as undo tells it, also to others. */
const named = (label: string, surface: string | undefined): string => clipText(surface === undefined ? label : `${label}, ${surface}`, 120);
