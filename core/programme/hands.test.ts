import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkJob } from '../job/checkJob.ts';
import { describeIssue } from '../messages/en/issues.ts';
import { oneMoreWords } from '../messages/en/programme.ts';
import { jobOfOne } from '../samples/testJob.ts';
import { alone, calendarWith, placeNamed, together, workOn } from '../samples/works.ts';
import { usualDay, workBack, workdayOf, workFrom, type Effort, type WorkCalendar } from './calendar.ts';
import { calendarOf } from './calendarOf.ts';
import { planProgramme } from './programme.ts';
import type { ProgrammeChoice } from './programmeChoice.ts';
import { withOneMore } from './withOneMore.ts';

const quarters = (min: number, max: number) => fc.integer({ min: 4 * min, max: 4 * max }).map((count) => count / 4);
const aDay = fc.record(
  {
    from: quarters(5, 9),
    to: quarters(12, 20),
    helpers: fc.integer({ min: 0, max: 3 }),
    helpersFrom: quarters(6, 11),
    helpersTo: quarters(12, 18),
  },
  { requiredKeys: [] },
);
const calendars = fc
  .record({
    helpers: fc.integer({ min: 0, max: 2 }),
    hoursPerDay: fc.constantFrom(4, 6.5, 8),
    daysOff: fc.constantFrom<number[]>([], [0, 6], [0, 1, 2, 3, 4]),
    weekdays: fc.dictionary(fc.constantFrom('0', '1', '3', '5'), aDay),
    days: fc.dictionary(fc.constantFrom('2026-11-30', '2026-12-02', '2026-12-06'), aDay),
  })
  .map(calendarWith);
const efforts = fc.record({ hours: quarters(0.25, 60), isShared: fc.boolean() });

/** Who is there at a time: read off what was said, day for day. */
function handsAt(calendar: WorkCalendar, time: number): number {
  const date = new Date(Date.parse('2026-11-30T00:00:00Z') + Math.floor(time / 24) * 86_400_000);
  const own = calendar.days[date.toISOString().slice(0, 10)] ?? {};
  const usual = calendar.weekdays[`${date.getUTCDay()}`] ?? {};
  if (calendar.daysOff.includes(date.getUTCDay()) && own.from === undefined && own.to === undefined) return 0;
  const { from = 8, helpers = calendar.helpers, ...rest } = { ...usual, ...own };
  const { to = from + calendar.hoursPerDay, helpersFrom = 0, helpersTo = 48 } = rest;
  const clock = time % 24;
  if (clock < from || clock > to) return 0;
  return 1 + (clock > helpersFrom && clock < helpersTo ? helpers : 0);
}

/** The hours that are worked in some stretches, minute by minute. */
const workedIn = (calendar: WorkCalendar, stretches: readonly (readonly [number, number])[], { isShared }: Effort): number => {
  let minutes = 0;
  for (const [from, to] of stretches)
    for (let at = from + 0.5 / 60; at < to; at += 1 / 60) minutes += isShared ? handsAt(calendar, at) : Math.min(1, handsAt(calendar, at));
  return minutes / 60;
};

describe('hands', () => {
  test('by hand: alone on Monday, a helper on Tuesday afternoon, two on Wednesday', () => {
    const calendar = calendarWith({ weekdays: { 2: { helpers: 1, helpersFrom: 12 }, 3: { helpers: 2 } } });
    // 8 h on Monday, 4 + 2 x 4 on Tuesday, 3 an hour on Wednesday.
    expect(workFrom(calendar, 0, together(26))).toEqual([
      [8, 16],
      [32, 40],
      [56, 58],
    ]);
    expect(workFrom(calendar, 0, alone(18)).at(-1)).toEqual([56, 58]);
    expect(workBack(calendar, 58, together(26))).toBe(8);
  });

  test('a day off on which hours are said is worked, a holiday is not; a shorter Friday ends sooner', () => {
    const calendar = calendarWith({ weekdays: { 5: { to: 12 } }, days: { '2026-12-05': { from: 9, to: 11 } }, holidays: ['2026-12-03'] });
    const days = Array.from({ length: 7 }, (_, day) => workdayOf(calendar, day)).map((day) => day && [day.from, day.to]);
    expect(days).toEqual([[8, 16], [8, 16], [8, 16], null, [8, 12], [9, 11], null]);
  });

  test('whoever is there when: all hours of a work are worked in its stretches, by those who are there, and no more', () => {
    fc.assert(
      fc.property(calendars, efforts, quarters(0, 200), (calendar, effort, at) => {
        if (Array.from({ length: 7 }, (_, day) => workdayOf(calendar, day)).every((day) => day === null)) return;
        const stretches = workFrom(calendar, at, effort);
        const worked = workedIn(calendar, stretches, effort);
        // A quarter of an hour may be stayed on for, and the clock goes by quarters.
        const most = effort.isShared ? 4 : 1;
        expect(worked).toBeGreaterThanOrEqual(effort.hours - 0.25 * most - 0.1);
        expect(worked).toBeLessThanOrEqual(effort.hours + 0.25 * most + 0.1);
        for (const [from, to] of stretches) {
          expect(handsAt(calendar, from + 0.01)).toBeGreaterThan(0);
          expect(Math.floor(to / 24 - 1e-6)).toBe(Math.floor(from / 24));
        }
      }),
      { numRuns: 200 },
    );
  });

  test('of a work that ends by a time nothing is left that could begin later', () => {
    fc.assert(
      fc.property(calendars, efforts, quarters(100, 500), (calendar, effort, by) => {
        if (Array.from({ length: 7 }, (_, day) => workdayOf(calendar, day)).every((day) => day === null)) return;
        const start = workBack(calendar, by, effort);
        // Before the first day there is no telling.
        if (start < 0) return;
        expect(
          workedIn(
            calendar,
            [[start, by]].flatMap(([from, to]) => byDay(from, to)),
            effort,
          ),
        ).toBeCloseTo(effort.hours, 1);
      }),
      { numRuns: 200 },
    );
  });

  test('a working day in the mean counts the days there are', () => {
    expect(usualDay(calendarWith({ helpers: 1, weekdays: { 5: { to: 12 } } }))).toEqual({ hours: 7.2, handHours: 14.4 });
    expect(usualDay(calendarWith({ daysOff: [0, 2, 3, 4, 5, 6], weekdays: { 1: { helpers: 1, helpersFrom: 12 } } }))).toEqual({
      hours: 8,
      handHours: 12,
    });
  });

  test('a helper on one afternoon shortens what two can do, and nothing else', () => {
    const works = [workOn('a', 'cut', 4), workOn('a', 'lay', 8)];
    const endOf = (programme: ProgrammeChoice): readonly number[] =>
      planProgramme(works, [placeNamed('a')], {
        today: '2026-11-30',
        climate: { temperatureC: 20, humidityPercent: 50 },
        programme,
      }).tasks.map(({ end }) => end);
    expect(endOf({})).toEqual([12, 36]);
    expect(endOf({ weekdays: { 1: { helpers: 1, helpersFrom: 12 } } })).toEqual([12, 16]);
    expect(endOf({ weekdays: { 1: { helpers: 1, helpersTo: 12 } } })).toEqual([12, 36]);
  });
});

test('what one more pair of hands changes is told by both programmes: sooner, or that the waits decide', () => {
  const of = (hours: number, helpers: number) =>
    planProgramme([workOn('a', 'lay', hours), workOn('a', 'grout', 1)], [placeNamed('a')], {
      today: '2026-11-30',
      climate: { temperatureC: 20, humidityPercent: 50 },
      labour: { helpers },
    });
  // 24 h over three days and grout after another; over a day and a half and another.
  expect(oneMoreWords(of(24, 0), of(24, 1), true)).toBe('With one more pair of hands every day: done on Wed 2 Dec, one day of work fewer.');
  expect(oneMoreWords(of(6, 0), of(6, 1), true)).toBe('One more pair of hands would not end it sooner: the waits decide.');
});

test('one more pair of hands is there on every day there is work', () => {
  fc.assert(
    fc.property(
      fc.dictionary(fc.constantFrom('1', '3', '5'), aDay),
      fc.dictionary(fc.constantFrom('2026-12-02', '2026-12-04'), aDay),
      (weekdays, days) => {
        const said = { labour: { helpers: 1 }, programme: { weekdays, days }, today: '2026-11-30' };
        const [before, after] = [calendarOf(said), calendarOf(withOneMore(said))];
        for (let day = 0; day < 14; day++) expect(workdayOf(after, day)?.helpers ?? 0).toBe((workdayOf(before, day)?.helpers ?? -1) + 1);
      },
    ),
  );
});

/** A stretch of time, day by day. */
function byDay(from: number, to: number): (readonly [number, number])[] {
  const ends = Math.min(to, 24 * (Math.floor(from / 24) + 1));
  return ends < to ? [[from, ends], ...byDay(ends, to)] : [[from, to]];
}

describe('who works when can’t be', () => {
  const job = jobOfOne({ size: [2400, 1200], tile: [300, 300], jointMm: 3 });
  const told = (programme: ProgrammeChoice): readonly (string | number)[] =>
    checkJob({ ...job, programme }).flatMap((found) => [found.path.join('.'), describeIssue(found)]);
  test.each<[ProgrammeChoice, string, RegExp]>([
    [{ weekdays: { 1: { from: 10, to: 9 } } }, 'programme.weekdays.1.to', /^On Mondays work would begin at 10:00 and end at 9:00\./],
    [{ startHour: 13, weekdays: { 1: { to: 12 } } }, 'programme.weekdays.1.to', /begin at 13:00 and end at 12:00/],
    [
      { days: { '2026-12-01': { helpers: 1, helpersFrom: 17 } } },
      'programme.days.2026-12-01.helpersFrom',
      /^Work on Tue 1 Dec goes from 8:00 to 16:00\./,
    ],
    [{ days: { '2026-12-05': { helpers: 1 } } }, 'programme.days.2026-12-05.helpers', /^Nobody works on Sat 5 Dec,/],
    [
      { holidays: ['2026-12-01'], days: { '2026-12-01': { helpers: 2 } } },
      'programme.days.2026-12-01.helpers',
      /^Nobody works on Tue 1 Dec,/,
    ],
    [{ weekdays: { 0: { helpers: 1 } } }, 'programme.weekdays.0.helpers', /^Nobody works on Sundays,/],
  ])('%j', (programme, path, words) => expect(told(programme)).toEqual([path, expect.stringMatching(words)]));

  test.each<ProgrammeChoice>([
    { days: { '2026-12-05': { from: 8, to: 12, helpers: 1 } } },
    { weekdays: { 6: { to: 12 } } },
    { weekdays: { 1: { helpers: 0, helpersFrom: 17 } } },
  ])('%j is well', (programme) => {
    expect(told(programme)).toEqual([]);
    expect(calendarOf({ programme, today: '2026-11-30' })).toMatchObject(programme);
  });
});
