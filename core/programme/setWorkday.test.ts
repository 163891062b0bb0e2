import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { workdayOf } from './calendar.ts';
import { calendarOf } from './calendarOf.ts';
import { checkWorkdays } from './checkWorkdays.ts';
import type { ProgrammeChoice } from './programmeChoice.ts';
import { saidOf, sayOfDay, setWorked } from './setWorkday.ts';

/** Days of two weeks from a Monday on, as the work of a job has them. */
const daysOf = (programme: ProgrammeChoice) =>
  Array.from({ length: 14 }, (_, day) => workdayOf(calendarOf({ programme, today: '2026-11-30' }), day));

const moves = fc.array(
  fc.oneof(
    fc.record({ day: fc.constantFrom('0', '2', '6', '2026-12-02', '2026-12-05', '2026-12-13'), worked: fc.boolean() }),
    fc.record({ day: fc.constantFrom('1', '3', '2026-12-01', '2026-12-04'), helpers: fc.integer({ min: 0, max: 3 }) }),
  ),
  { maxLength: 8 },
);

/** What can't be is refused, and nothing is changed. */
function moved(programme: ProgrammeChoice, move: { day: string; worked: boolean } | { day: string; helpers: number }): ProgrammeChoice {
  const { day } = move;
  const part = 'worked' in move ? setWorked(programme, day, move.worked, 8) : sayOfDay(programme, day, { helpers: move.helpers });
  const wanted = { ...programme, ...part };
  return checkWorkdays({ programme: wanted }).length > 0 ? programme : wanted;
}

test('whatever was said before, a day is worked as it was said last', () => {
  fc.assert(
    fc.property(moves, fc.constantFrom('2026-12-02', '2026-12-05', '3', '6'), fc.boolean(), (before, day, worked) => {
      const programme = before.reduce(moved, {} as ProgrammeChoice);
      const now = { ...programme, ...setWorked(programme, day, worked, 8) };
      if ((now.daysOff ?? []).length > 6) return;
      const at = { '2026-12-02': [2], '2026-12-05': [5], 3: [9], 6: [12] }[day] as number[];
      for (const k of at) expect(daysOf(now)[k] !== null).toBe(worked);
      // Only who was asked for by a date can be in the way of a day of the week that is taken off.
      for (const { code, path } of checkWorkdays({ programme: now }))
        expect([worked, day.length, code, path[1]]).toEqual([false, 1, 'workday/helper-on-day-off', 'days']);
    }),
  );
});

test('one Tuesday with a helper is that Tuesday alone; what was said is taken back', () => {
  const said = { ...sayOfDay({}, '2026-12-01', { helpers: 1, helpersFrom: 12 }) };
  expect(daysOf(said).map((day) => day?.helpers ?? null)).toEqual([0, 1, 0, 0, 0, null, null, 0, 0, 0, 0, 0, null, null]);
  expect(saidOf(said, '2026-12-01')).toEqual({ helpers: 1, helpersFrom: 12 });
  expect(sayOfDay(said, '2026-12-01', { helpersTo: 15 })).toEqual({
    days: { '2026-12-01': { helpers: 1, helpersFrom: 12, helpersTo: 15 } },
  });
  expect(sayOfDay(said, '2026-12-01', null)).toEqual({ days: {} });
  expect(daysOf(sayOfDay({}, '2', { to: 12 })).map((day) => day?.to ?? null)).toEqual([
    16,
    12,
    16,
    16,
    16,
    null,
    null,
    16,
    12,
    16,
    16,
    16,
    null,
    null,
  ]);
});
