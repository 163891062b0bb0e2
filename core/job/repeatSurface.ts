import type { Job, Surface } from './job.ts';
import type { StartedSet } from './startSet.ts';
import { clipText } from '../units/clipText.ts';
import { measurementsOf } from '../surface/measurements.ts';

/** A copy of a surface for another place: everything chosen stays, every length is to be measured again. */
export function repeatSurface(surface: Surface, id: string, name: string): Surface {
  const again = measurementsOf(surface.measured).map(({ key }) => key);
  return { ...surface, id, name, laid: false, measured: { ...surface.measured, again } };
}

/** A copy of a whole room: its surfaces, and the links between them. */
export function repeatRoom(job: Job, roomId: string, id: string, name: string): StartedSet {
  const old = job.rooms.find((room) => room.id === roomId);
  const inside = job.surfaces.filter((surface) => surface.roomId === roomId);
  const idOf = new Map(inside.map((surface, k) => [surface.id, `${id}-${k + 1}`]));
  const nameOf = (surface: Surface): string =>
    clipText(old && surface.name.startsWith(old.name) ? name + surface.name.slice(old.name.length) : `${surface.name}, ${name}`, 80);
  const surfaces = inside.map((surface) => ({ ...repeatSurface(surface, idOf.get(surface.id) ?? id, nameOf(surface)), roomId: id }));
  const links = job.links.flatMap((link, k) => {
    const [a, b] = [idOf.get(link.a.surface), idOf.get(link.b.surface)];
    return a && b ? [{ ...link, id: `${id}-join-${k + 1}`, a: { ...link.a, surface: a }, b: { ...link.b, surface: b } }] : [];
  });
  return { room: { id, name }, surfaces, links };
}
