import { produce } from 'immer';
import type { Job } from './job.ts';
import { repeatSurface } from './repeatSurface.ts';

/**
 * A copy of a job for another place: tiles, patterns, ways and money stay; every length is to be measured again, nothing is
 * laid yet, and what belonged to the old place alone (days, pieces in hand, other ways to do it) is left behind.
 */
export const repeatJob = (job: Job, id: string, name: string): Job =>
  produce(job, (draft) => {
    [draft.id, draft.name, draft.client] = [id, name, ''];
    delete draft.blanks;
    delete draft.variants;
    delete draft.standing;
    delete draft.programme?.startDay;
    delete draft.programme?.holidays;
    delete draft.programme?.days;
    delete draft.programme?.notBefore;
    draft.surfaces = job.surfaces.map((surface) => ({ ...repeatSurface(surface, surface.id, surface.name) }));
    for (const surface of draft.surfaces) {
      delete surface.counted;
      delete surface.known;
    }
  });
