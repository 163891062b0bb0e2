import type { Link } from '../surface/link.ts';
import type { Job, Surface } from './job.ts';

/** A room with its surfaces, walls of no room that meet, or one surface by itself: worked on as one. */
export interface PlaceOfWork {
  readonly id: string;
  readonly name: string;
  readonly surfaces: readonly Surface[];
}

type Placed = Pick<Job, 'rooms' | 'surfaces' | 'links'>;

/** What a client knows a job by: its rooms, and walls and other surfaces that are in none, in the order of the surfaces. */
export function placesOf(job: Placed): PlaceOfWork[] {
  const { rooms, surfaces } = job;
  const places = new Map<string, { id: string; room: string | null; surfaces: Surface[] }>();
  for (const surface of surfaces) {
    const room = rooms.find(({ id }) => id === surface.roomId);
    const id = room ? `room ${room.id}` : firstThatMeets(job, surface).id;
    const place = places.get(id) ?? { id, room: room?.name ?? null, surfaces: [] };
    place.surfaces.push(surface);
    places.set(id, place);
  }
  return [...places.values()].map(({ id, room, surfaces: own }) => ({
    id,
    name: room ?? own.map(({ name }) => name).join(', '),
    surfaces: own,
  }));
}

/** The first of the walls in no room that a wall meets, over others or at once: they are primed, laid and grouted together. */
function firstThatMeets({ rooms, surfaces, links }: Placed, wall: Surface): Surface {
  const isFree = ({ kind, roomId }: Surface): boolean => kind === 'wall' && !rooms.some(({ id }) => id === roomId);
  const met = [wall];
  for (const here of met) {
    if (!isFree(here)) break;
    for (const id of links.flatMap((link) => beyond(link, here.id))) {
      const other = surfaces.find((one) => one.id === id);
      if (other && isFree(other) && !met.includes(other)) met.push(other);
    }
  }
  return surfaces.find((one) => met.includes(one)) ?? wall;
}

const beyond = ({ a, b, meets }: Link, id: string): string[] =>
  meets === 'inLine' ? [] : a.surface === id ? [b.surface] : b.surface === id ? [a.surface] : [];
