import type { Job } from './job.ts';

/** Takes a surface out of a job with what hangs on it: where it met others, and its room where it was the last of it. */
export function removeSurface(draft: Pick<Job, 'surfaces' | 'links' | 'rooms'>, id: string): void {
  draft.surfaces = draft.surfaces.filter((surface) => surface.id !== id);
  draft.links = draft.links.filter(({ a, b }) => a.surface !== id && b.surface !== id);
  draft.rooms = draft.rooms.filter((room) => draft.surfaces.some(({ roomId }) => roomId === room.id));
}
