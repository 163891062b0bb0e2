import type { Job, Surface } from './job.ts';

/** A room with its surfaces, or a surface that is in none. */
export interface PlaceOfWork {
  readonly id: string;
  readonly name: string;
  readonly surfaces: readonly Surface[];
}

/** What a client knows a job by: its rooms and the surfaces that are in none, in the order of the surfaces. */
export function placesOf({ rooms, surfaces }: Pick<Job, 'rooms' | 'surfaces'>): PlaceOfWork[] {
  const places = new Map<string, { id: string; name: string; surfaces: Surface[] }>();
  for (const surface of surfaces) {
    const room = rooms.find(({ id }) => id === surface.roomId);
    const id = room ? `room ${room.id}` : surface.id;
    const place = places.get(id) ?? { id, name: room?.name ?? surface.name, surfaces: [] };
    place.surfaces.push(surface);
    places.set(id, place);
  }
  return [...places.values()];
}
