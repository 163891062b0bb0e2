import { usualTrim, type Trim } from '../takeoff/works/trims.ts';
import type { Job } from './job.ts';
import type { CornerSection } from './cornerSection.ts';

/** How a corner of a draft of a job is closed from now on. A mitre is what both edges end in; another way ends in none. */
export function setCornerRun(
  draft: Pick<Job, 'links' | 'surfaces'>,
  linkId: string,
  run: NonNullable<CornerSection['run']> | 'neither',
): void {
  const link = draft.links.find(({ id }) => id === linkId);
  if (!link) return;
  delete link.through;
  if (run === 'a' || run === 'b') link.through = run;
  if (link.meets !== 'outside') return;
  for (const { surface: id, edge } of [link.a, link.b]) {
    const surface = draft.surfaces.find((one) => one.id === id);
    if (!surface) continue;
    const { roles } = surface.measured;
    const usual = usualTrim(Object.hasOwn(roles, edge) ? roles[edge] : 'wall');
    const was: Trim = surface.trims && Object.hasOwn(surface.trims, edge) ? surface.trims[edge] : usual;
    if (run === 'mitred') surface.trims = { ...surface.trims, [edge]: 'mitre' };
    else if (was === 'mitre') surface.trims = { ...surface.trims, [edge]: usual };
    // What laps over shows its own edge, what is lapped over none.
    if ((run === 'a' || run === 'b') && was === 'profile') surface.trims = { ...surface.trims, [edge]: 'none' };
  }
}
