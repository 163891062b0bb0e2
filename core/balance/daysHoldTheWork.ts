import type { Job } from '../job/job.ts';
import { placesOf } from '../job/placesOf.ts';
import type { TaskId } from '../labour/tasks.ts';
import type { PlannedTask, Programme } from '../programme/programme.ts';
import { isShared } from '../programme/steps.ts';
import { differs, sumOf, type Law } from './law.ts';

/** The hours of the quote are paces times quantities, and all of them lie on days, in the place where they are worked. */
export const daysHoldTheWork: Law = (job, { money, programme }) => {
  const ofWork = money.work.flatMap(({ task, surfaceId, amount, pace, hours }) =>
    differs(`${task} of ${surfaceId}, hours`, amount / pace, hours),
  );
  const ofPlaces = placesOf(job).flatMap(({ id, name, surfaces }) => {
    const own = money.work.filter(({ surfaceId }) => surfaces.some((surface) => surface.id === surfaceId));
    return [...new Set(own.map(({ task }) => task))].flatMap((task): string[] => {
      const wanted = sumOf(
        own.filter((one) => one.task === task),
        ({ hours }) => hours,
      );
      const parts = programme.tasks.filter((one) => one.task === task && one.placeId === id);
      const planned = sumOf(parts, (part) => handsWork(job, programme, part));
      const most = Math.max(1, ...parts.map((part) => mostHands(job, programme, part)));
      // Days go by quarters of an hour, and no part is shorter than one: of its work, and of the clock for all hands.
      if (planned >= wanted - 0.02 && planned < wanted + 0.25 * (1 + most) * Math.max(1, parts.length)) return [];
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
    ...programme.tasks.flatMap(({ id, hours, stretches }) =>
      differs(
        `${id}, hours`,
        hours,
        sumOf(stretches, ([from, to]) => to - from),
      ),
    ),
    ...stray.map(({ id }) => `${id} is on days and nobody's work`),
  ];
};

/** Who is there at each minute of a work: the first hand, and where it is shared those that help. */
const byMinutes = ({ programme = {}, labour = {} }: Job, { calendar }: Programme, { task, stretches }: PlannedTask): number[] =>
  stretches.flatMap(([from, to]) => {
    const date = new Date(Date.parse(`${calendar.startDay}T00:00:00Z`) + Math.floor(from / 24 + 1e-6) * 86_400_000);
    const said = { ...programme.weekdays?.[`${date.getUTCDay()}` as '0'], ...programme.days?.[date.toISOString().slice(0, 10)] };
    return Array.from({ length: Math.round(60 * (to - from)) }, (_, minute) => {
      const clock = (from + (minute + 0.5) / 60) % 24;
      const isThere = clock > (said.helpersFrom ?? 0) && clock < (said.helpersTo ?? 48);
      return 1 + (isShared(task) && isThere ? (said.helpers ?? labour.helpers ?? 0) : 0);
    });
  });

/** The hours of all hands in a work, and how many they are at most. */
const handsWork = (...of: Parameters<typeof byMinutes>): number => sumOf(byMinutes(...of), (hands) => hands / 60);
const mostHands = (...of: Parameters<typeof byMinutes>): number => Math.max(1, ...byMinutes(...of));

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
  ['openBoxes', 'setOut', 0],
  ['openBoxes', 'waterproof', 0],
  ['openBoxes', 'prime', 0],
  ['openBoxes', 'board', 0],
  ['lay', 'scrape', 1],
  ['bottomRow', 'scrape', 1],
  ['scrape', 'sealTile', 0],
  ['scrape', 'grout', 0],
  ['grout', 'refitBoxes', 1],
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
