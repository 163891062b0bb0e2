import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { dayAt, isWorkday } from '@azulejo/core/programme/calendar';
import type { PlannedTask, Programme } from '@azulejo/core/programme/programme';
import { calendarWith } from '@azulejo/core/samples/works';
import { DEMO_JOBS, demoPlan } from '../../../testing/demoJob.ts';
import { columnOf, dayBars, dayFrom, daysListed, endModel, firstDayTrouble, isoOf } from './model.ts';
import { dayShown, likeOthers, weekShown } from './whoModel.ts';

const CALENDAR = calendarWith({ startDay: '2027-03-01' });

/** A programme of one place with works of an hour at the begin of some days. */
function worksOn(days: readonly number[], calendar = CALENDAR): Programme {
  const tasks = days.map((day, k): PlannedTask => {
    const start = 24 * day + calendar.startHour;
    return {
      id: `lay ${k}`,
      task: 'lay',
      part: null,
      placeId: 'hall',
      placeName: 'Hall',
      hours: 1,
      stretches: [[start, start + 1]],
      start,
      end: start + 1,
      held: { by: 'start' },
      after: [],
      critical: false,
    };
  });
  const ends = Math.max(0, ...tasks.map(({ end }) => end));
  return { calendar, tasks, ends, fullLoad: ends + 168, missed: [] };
}

const someDays = fc.uniqueArray(fc.integer({ min: 0, max: 300 }), { minLength: 1, maxLength: 12 });

describe('works as bars over days', () => {
  test('whatever days there is work on, each has a column of its own, and the columns stand for every day once', () => {
    fc.assert(
      fc.property(someDays, (days) => {
        const { columns } = dayBars(worksOn(days), true);
        let next = 0;
        for (const column of columns) {
          expect(column.day).toBe(next);
          expect(column.words).not.toBe('');
          // A day is off as the calendar has it; nobody works in what is left out.
          if (column.days === 1) expect(column.off).toBe(!isWorkday(CALENDAR, column.day));
          else expect(days.some((day) => day >= column.day && day < column.day + column.days)).toBe(false);
          next += column.days;
        }
        expect(next).toBeGreaterThanOrEqual(Math.max(5, Math.max(...days) + 1));
        for (const day of days) expect(columns[columnOf(columns, day)]).toMatchObject({ day, days: 1 });
      }),
    );
  });

  test('a bar lies in the column of its day, from its hour to its end, and none is too narrow to be taken', () => {
    fc.assert(
      fc.property(someDays, (days) => {
        const { columns, rows } = dayBars(worksOn(days), false);
        for (const { task, bars } of rows) {
          const [{ left, width }] = bars;
          expect(left).toBeCloseTo(columnOf(columns, dayAt(task.start)), 9);
          expect(width).toBeCloseTo(1 / 8, 9);
        }
      }),
    );
  });

  test('a long stretch without work is one column that says how long it is', () => {
    const { columns } = dayBars(worksOn([0, 40]), true);
    expect(columns.filter(({ days }) => days > 1)).toEqual([{ day: 2, words: '37 days', off: true, days: 37 }]);
    expect(columns.length).toBeLessThan(7);
  });

  test('moved by columns a work goes from day to day, over what is left out, and never off the drawing', () => {
    fc.assert(
      fc.property(someDays, fc.integer({ min: -20, max: 20 }), (days, by) => {
        const { columns } = dayBars(worksOn(days), true);
        const [day] = days;
        const to = dayFrom(columns, day, by);
        const wanted = Math.min(columns.length - 1, Math.max(0, columnOf(columns, day) + by));
        expect(columnOf(columns, to)).toBe(wanted);
        expect(dayFrom(columns, day, 0)).toBe(day);
      }),
    );
  });
});

describe.each(DEMO_JOBS)('the days of %s', (name) => {
  const { programme } = demoPlan(name);

  test('every stretch of every work is drawn once and listed once, under its day', () => {
    const stretches = programme.tasks.reduce((sum, task) => sum + task.stretches.length, 0);
    const { rows } = dayBars(programme, true);
    expect(rows.reduce((sum, { bars }) => sum + bars.length, 0)).toBe(stretches);
    const listed = daysListed(programme, true);
    expect(listed.reduce((sum, { works }) => sum + works.length, 0)).toBe(stretches);
    expect(listed.map(({ day }) => day)).toEqual([...listed.map(({ day }) => day)].sort((a, b) => a - b));
    for (const { day, works } of listed) {
      expect(isWorkday(programme.calendar, day)).toBe(true);
      for (const { text } of works) expect(text).toMatch(/^\d{1,2}:\d\d to \d{1,2}:\d\d \S/);
    }
  });

  test('each place is named once, before its works in their order', () => {
    const { rows } = dayBars(programme, false);
    const titles = rows.flatMap(({ title }) => title ?? []);
    expect(titles).toHaveLength(new Set(programme.tasks.map(({ placeId }) => placeId)).size);
    for (const [k, { task, title }] of rows.entries())
      if (title === null) {
        expect(task.placeId).toBe(rows[k - 1].task.placeId);
        expect(task.start).toBeGreaterThanOrEqual(rows[k - 1].task.start);
      }
  });

  test('the end is the last day that is listed, and waits that it hangs on are named', () => {
    const { endDay, hangsOn } = endModel(programme, true);
    expect(daysListed(programme, true).at(-1)?.title).toBe(endDay);
    const waits = programme.tasks.filter(({ critical, held }) => critical && held.by === 'wait').length;
    if (waits === 0) expect(hangsOn).toBe('');
    else
      expect(hangsOn).toMatch(
        waits === 1 ? /^The end hangs on one wait: [^;]+\.$/ : new RegExp(`^The end hangs on ${waits} waits[^;]*; [^;]+\\.$`),
      );
  });
});

test.each([
  [new Date(2027, 11, 31, 23, 59), '2027-12-31'],
  [new Date(2028, 1, 29), '2028-02-29'],
])('a day is kept as it was chosen, whatever the hour: %s', (date, iso) => expect(isoOf(date)).toBe(iso));

test('a year typed wrongly is told, one that is near is not', () => {
  const today = new Date(2026, 11, 1);
  expect(firstDayTrouble(new Date(2027, 5, 1), today)).toBeNull();
  expect(firstDayTrouble(new Date(2025, 0, 1), today)).toBeNull();
  expect(firstDayTrouble(new Date(2207, 5, 1), today)).toMatch(/^2207 is more than 2 years off\./);
});

test('the week is shown Monday first, as it is in force; what was said of one day is that day’s alone', () => {
  const said = {
    labour: { helpers: 1 },
    programme: { weekdays: { 5: { to: 12 } }, days: { '2026-12-01': { helpers: 0 } }, holidays: ['2026-12-02'] },
  };
  expect(weekShown(said).map(({ name, hours, hands, isOwn }) => [name, hours, hands, isOwn])).toEqual([
    ['Monday', '8:00 to 16:00', '1 helper', false],
    ['Tuesday', '8:00 to 16:00', '1 helper', false],
    ['Wednesday', '8:00 to 16:00', '1 helper', false],
    ['Thursday', '8:00 to 16:00', '1 helper', false],
    ['Friday', '8:00 to 12:00', '1 helper', true],
    ['Saturday', 'no work', '', false],
    ['Sunday', 'no work', '', false],
  ]);
  expect(dayShown(said, '2026-12-01')).toMatchObject({ name: 'Tue 1 Dec', hands: 'alone', isOwn: true });
  expect(dayShown(said, '2026-12-02')).toMatchObject({ workday: null, hours: 'no work' });
  expect(dayShown(said, '2026-12-04')).toMatchObject({ hours: '8:00 to 12:00', isOwn: false });
  expect([likeOthers('2026-12-04'), likeOthers('5')]).toEqual(['other Fridays', 'other days']);
});
