import { boxOf } from '../geometry/ring.ts';
import type { Link } from '../surface/link.ts';
import { outlineOf } from '../surface/shapes/registry.ts';
import { checkCorners } from './checkCorners.ts';
import type { Job, Surface } from './job.ts';
import type { CornerSection } from './cornerSection.ts';
import { trimOf } from './standOffs.ts';

/** How a corner of a draft of a job is closed from now on. A mitre is what both edges end in; another way ends in none. */
export function setCornerRun(
  draft: Pick<Job, 'links' | 'surfaces'>,
  linkId: string,
  run: NonNullable<CornerSection['run']> | 'neither',
): void {
  const link = draft.links.find(({ id }) => id === linkId);
  if (!link) return;
  delete link.through;
  // A figure that was told is that of one face: the next one has its own.
  delete link.finishMm;
  if (run === 'a' || run === 'b') link.through = run;
  if (link.meets !== 'outside') return;
  for (const { surface: id, edge } of [link.a, link.b]) {
    const surface = draft.surfaces.find((one) => one.id === id);
    if (!surface) continue;
    const was = trimOf(surface, edge);
    if (run === 'mitred') surface.trims = { ...surface.trims, [edge]: 'mitre' };
    else if (was === 'mitre') surface.trims = { ...surface.trims, [edge]: trimOf({ ...surface, trims: {} }, edge) };
    // What laps over shows its own edge, what is lapped over none.
    if ((run === 'a' || run === 'b') && was === 'profile') surface.trims = { ...surface.trims, [edge]: 'none' };
  }
}

/**
 * How a new meeting is closed as is usual: floors and countertops go under what stands on them, of two walls the longer one
 * runs through, as far as no face then has to be laid before itself.
 */
export function usualMeeting(job: Job, link: Link): Link {
  if (link.meets !== 'inside') return link;
  const [a, b] = [link.a, link.b].map(({ surface }) => job.surfaces.find(({ id }) => id === surface));
  if (!a || !b) return link;
  const lies = (one: Surface): boolean => one.kind !== 'wall';
  const aGoesFirst = lies(a) === lies(b) ? wideOf(a) >= wideOf(b) : lies(a);
  const closed: Link = { ...link, through: aGoesFirst ? 'a' : 'b' };
  return checkCorners({ ...job, links: [...job.links, closed] }).length === 0 ? closed : link;
}

function wideOf({ measured }: Surface): number {
  const { minX, maxX } = boxOf(outlineOf(measured.shape).ring);
  return maxX - minX;
}
