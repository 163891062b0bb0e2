import { dayAt, handHours } from './calendar.ts';
import { ROUNDING } from '../tolerances.ts';
import type { WorkHours } from '../labour/workHours.ts';
import type { PlaceToWork } from './draftTasks.ts';
import type { Programme } from './programme.ts';

/** The share of each surface that is laid on each day there is laying, by its id: the surfaces of a place one after the other. */
export function laidByDay(
  { tasks, calendar }: Pick<Programme, 'tasks' | 'calendar'>,
  work: readonly WorkHours[],
  places: readonly PlaceToWork[],
): ReadonlyMap<string, number>[] {
  const days = new Map<number, Map<string, number>>();
  for (const place of places) {
    const own = place.surfaces.flatMap(({ id }) => work.filter(({ task, surfaceId }) => task === 'lay' && surfaceId === id));
    const all = own.reduce((sum, { hours }) => sum + hours, 0);
    const stretches = tasks.filter(({ task, placeId }) => task === 'lay' && placeId === place.id).flatMap((task) => task.stretches);
    const laying = stretches.reduce((sum, stretch) => sum + handHours(calendar, stretch), 0);
    let done = 0;
    for (const stretch of [...stretches].sort((a, b) => a[0] - b[0])) {
      const worked = handHours(calendar, stretch);
      const [start, end] = [(done / laying) * all, ((done + worked) / laying) * all];
      done += worked;
      let at = 0;
      for (const { surfaceId, hours } of own) {
        const share = (Math.min(end, at + hours) - Math.max(start, at)) / hours;
        at += hours;
        if (share <= ROUNDING) continue;
        const day = dayAt(stretch[0]);
        const laid = days.get(day) ?? new Map<string, number>();
        laid.set(surfaceId, Math.min(1, (laid.get(surfaceId) ?? 0) + share));
        days.set(day, laid);
      }
    }
  }
  return [...days.values()];
}
