import { checkJob } from '../job/checkJob.ts';
import type { Job, Surface } from '../job/job.ts';
import { startSet } from '../job/startSet.ts';
import { setFaceName } from '../messages/en/sets.ts';
import { seededNumbers } from '../geometry/seededNumbers.ts';
import { SETS, type SetForm } from '../surface/sets/registry.ts';
import { frozen } from '../samples/testJob.ts';
import { randomJob } from '../samples/randomJob.ts';
import { TRIMS } from '../takeoff/works/trims.ts';
import { PLACES, SUBSTRATES, WORKS } from '../takeoff/works/works.ts';
import { outlineOf } from '../surface/shapes/registry.ts';

/**
 * A made-up job of several surfaces as a seed has it: some of any outline and pattern, a set that belongs together, tiles
 * they share, works of any kind, trims, helpers, waits, data sheets. Null where it can't be.
 */
export function wholeJob(seed: number): Job | null {
  const next = seededNumbers(7919 * seed + 1);
  const pick = <T>(items: readonly T[]): T => items[Math.floor(next() * items.length)];
  const one = randomJob(1 + Math.floor(next() * 100_000));
  const form = pick(Object.values(SETS)).defaults as SetForm;
  const set = startSet(one, 'set', 'Set', form, setFaceName);
  const other = next() < 0.5 ? [{ ...one.surfaces[0], id: 'again', name: 'Again' }] : [];
  const surfaces = [...one.surfaces, ...other, ...set.surfaces].map((surface): Surface => worked(surface, next, pick));
  const job: Job = {
    ...one,
    rooms: next() < 0.5 ? [...one.rooms, set.room] : one.rooms,
    surfaces: surfaces.map((surface) => (surface.roomId === 'set' && next() < 0.1 ? { ...surface, roomId: null } : surface)),
    links: [...set.links],
    labour: { helpers: pick([0, 0, 1, 2]), hoursPerDay: pick([6, 8, 9.5]) },
    materials: {
      ...(next() < 0.3 ? { membrane: { figures: { coats: pick([2, 3, 4]) } } } : {}),
      ...(next() < 0.3 ? { adhesive: { sheet: { name: 'Sheet', figures: { kgPerM2: 4.2, restHours: pick([3, 24]) } } } } : {}),
    },
    ...(next() < 0.5 ? { programme: someDays(pick) } : {}),
    mixing: { bucketLitres: pick([4, 12, 20]), temperatureC: pick([8, 20, 31]) },
  };
  const rooms = new Set(job.rooms.map(({ id }) => id));
  const whole = {
    ...job,
    surfaces: job.surfaces.map((surface) => (surface.roomId && !rooms.has(surface.roomId) ? { ...surface, roomId: null } : surface)),
  };
  return checkJob(whole).length === 0 ? frozen(whole) : null;
}

/** Days with other hours and hands than usual. */
function someDays(pick: <T>(items: readonly T[]) => T): Job['programme'] {
  const day = () => ({
    from: pick([7, 8, 10]),
    to: pick([12, 16.5, 18]),
    helpers: pick([0, 1, 2]),
    helpersFrom: pick([8, 11]),
    helpersTo: 12,
  });
  return { startDay: '2027-03-01', weekdays: { [pick(['1', '2', '3'] as const)]: day(), 5: { to: 13 } }, days: { '2027-03-06': day() } };
}

function worked(surface: Surface, next: () => number, pick: <T>(items: readonly T[]) => T): Surface {
  const { edgeIds } = outlineOf(surface.measured.shape);
  const trims = next() < 0.4 ? { [pick(edgeIds)]: pick(TRIMS), [pick(edgeIds)]: pick(TRIMS) } : undefined;
  const does = next() < 0.5 ? { [pick(WORKS)]: true, [pick(WORKS)]: next() < 0.5 } : undefined;
  return {
    ...surface,
    ...(trims ? { trims } : {}),
    works: {
      ...surface.works,
      ...(next() < 0.4 ? { place: pick(PLACES) } : {}),
      ...(next() < 0.4 ? { substrate: pick(SUBSTRATES) } : {}),
      ...(does ? { does } : {}),
    },
  };
}
