import type { Job } from '../job.ts';
import type { Identified } from './edit.ts';

/** What is gone from a job of somebody else and still there in one's own, among some of its parts, by name. */
export function goneFrom(theirs: Job, mine: Job, parts: readonly string[]): { readonly id: string; readonly name: string }[] {
  return mine.surfaces.filter(({ id }) => parts.includes(`surfaces/${id}`) && theirs.surfaces.every((one) => one.id !== id));
}

/**
 * Their job with surfaces as one's own job has them, in their old places, with the room, the tile and the shared edges that
 * went with them.
 */
export function bringBack(theirs: Job, mine: Job, surfaceIds: readonly string[]): Job {
  const surfaces = withMissing(theirs.surfaces, mine.surfaces, surfaceIds);
  const back = surfaces.filter(({ id }) => surfaceIds.includes(id));
  const there = new Set(surfaces.map(({ id }) => id));
  const links = mine.links.filter(
    ({ a, b }) => [a, b].some(({ surface }) => surfaceIds.includes(surface)) && [a, b].every(({ surface }) => there.has(surface)),
  );
  return {
    ...theirs,
    surfaces,
    rooms: withMissing(
      theirs.rooms,
      mine.rooms,
      back.flatMap(({ roomId }) => (roomId === null ? [] : [roomId])),
    ),
    products: withMissing(
      theirs.products,
      mine.products,
      back.map(({ productId }) => productId),
    ),
    links: withMissing(
      theirs.links,
      mine.links,
      links.map(({ id }) => id),
    ),
  };
}

/** A list with those of another list that it lacks, each behind the one that stands before it there. */
function withMissing<T extends Identified>(list: readonly T[], other: readonly T[], ids: readonly string[]): T[] {
  const all = [...list];
  other.forEach((item, k) => {
    if (!ids.includes(item.id) || all.some(({ id }) => id === item.id)) return;
    const before = other.slice(0, k).findLast(({ id }) => all.some((one) => one.id === id));
    all.splice(before ? all.findIndex(({ id }) => id === before.id) + 1 : 0, 0, item);
  });
  return all;
}
