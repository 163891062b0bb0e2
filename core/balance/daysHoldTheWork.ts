import { placesOf } from '../job/placesOf.ts';
import type { TaskId } from '../labour/tasks.ts';
import { isShared } from '../programme/steps.ts';
import { differs, sumOf, type Law } from './law.ts';

/** The hours of the quote are paces times quantities, and all of them lie on days, in the place where they are worked. */
export const daysHoldTheWork: Law = (job, { money, programme }) => {
  const hands = 1 + (job.labour?.helpers ?? 0);
  const ofWork = money.work.flatMap(({ task, surfaceId, amount, pace, hours }) =>
    differs(`${task} of ${surfaceId}, hours`, amount / pace, hours),
  );
  const ofPlaces = placesOf(job).flatMap(({ id, name, surfaces }) => {
    const own = money.work.filter(({ surfaceId }) => surfaces.some((surface) => surface.id === surfaceId));
    return [...new Set(own.map(({ task }) => task))].flatMap((task): string[] => {
      const wanted =
        sumOf(
          own.filter((one) => one.task === task),
          ({ hours }) => hours,
        ) / (isShared(task) ? hands : 1);
      const parts = programme.tasks.filter((one) => one.task === task && one.placeId === id);
      const planned = sumOf(parts, ({ hours }) => hours);
      // Days go by quarters of an hour, and no part is shorter than one.
      if (planned >= wanted - 1e-6 && planned < wanted + 0.25 * Math.max(1, parts.length)) return [];
      return [`${task} in ${name}: ${wanted} h to do, ${planned} h on days`];
    });
  });
  const stray = programme.tasks.filter(
    ({ task, placeId }) =>
      !money.work.some(
        (one) =>
          one.task === task &&
          placesOf(job)
            .find(({ id }) => id === placeId)
            ?.surfaces.some(({ id }) => id === one.surfaceId),
      ),
  );
  return [
    ...ofWork,
    ...differs(
      'hours of the quote',
      money.hours,
      sumOf(money.work, ({ hours }) => hours),
    ),
    ...ofPlaces,
    ...stray.map(({ id }) => `${id} is on days and nobody's work`),
  ];
};

/** What hands can't do the other way round: the first of two ends before the second begins, and so many hours pass. */
const IN_ORDER: readonly (readonly [TaskId, TaskId, number])[] = [
  ['board', 'prime', 0],
  ['board', 'level', 0],
  ['board', 'bed', 0],
  ['board', 'waterproof', 0],
  ['prime', 'level', 0],
  ['prime', 'bed', 0],
  ['level', 'waterproof', 0],
  ['level', 'setOut', 0],
  ['bed', 'setOut', 0],
  ['waterproof', 'setOut', 0],
  ['setOut', 'cut', 0],
  ['setOut', 'lay', 0],
  ['cut', 'lay', 0],
  ['trim', 'lay', 0],
  ['ledger', 'lay', 0],
  ['lay', 'ledgerOff', 1],
  ['ledgerOff', 'ledgerHoles', 0],
  ['ledgerHoles', 'ledgerSeal', 1],
  ['ledgerHoles', 'bottomRow', 1],
  ['ledgerSeal', 'bottomRow', 1],
  ['ledgerOff', 'bottomRow', 0],
  ['bottomRow', 'grout', 1],
  ['lay', 'grout', 1],
  ['lay', 'strips', 0],
  ['strips', 'grout', 0],
  ['sealTile', 'grout', 0],
  ['grout', 'haze', 0],
  ['haze', 'sealGrout', 0],
  ['grout', 'sealGrout', 0],
  ['sealant', 'sealGrout', 0],
  ['sealGrout', 'protect', 0],
  ['sealant', 'protect', 0],
  ['grout', 'protect', 0],
];

/** Works of a place follow each other as hands can do them, one at a time. */
export const daysInOrder: Law = (_job, { programme: { tasks } }) => {
  const places = [...new Set(tasks.map(({ placeId }) => placeId))];
  const ofPlaces = places.flatMap((place) =>
    IN_ORDER.flatMap(([first, second, hours]) => {
      const of = (task: TaskId) => tasks.filter((one) => one.placeId === place && one.task === task);
      const [before, after] = [of(first), of(second)];
      if (before.length === 0 || after.length === 0) return [];
      const wait = Math.min(...after.map(({ start }) => start)) - Math.max(...before.map(({ end }) => end));
      return wait >= hours - 1e-6 ? [] : [`${second} in ${place} begins ${-wait} h before ${first} is done, or too soon after it`];
    }),
  );
  const all = tasks.flatMap(({ id, stretches }) => stretches.map(([from, to]) => ({ id, from, to }))).sort((a, b) => a.from - b.from);
  const together = all.flatMap(({ id, from }, k) => (k > 0 && from < all[k - 1].to - 1e-6 ? [`${id} and ${all[k - 1].id} at once`] : []));
  return [...ofPlaces, ...together];
};
