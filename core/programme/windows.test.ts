import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { dayAt, isWorkday, nextWorkTime } from './calendar.ts';
import { placeNamed, workOn } from '../samples/works.ts';
import { planProgramme, type ProgrammeRules } from './programme.ts';

/** A Friday; three hours a day, from eight. */
const FRIDAY: ProgrammeRules = {
  today: '2026-12-04',
  climate: { temperatureC: 20, humidityPercent: 50 },
  programme: {},
  labour: { hoursPerDay: 3 },
};
const start = (id: string, { tasks }: ReturnType<typeof planProgramme>): number => tasks.find((task) => task.id === id)?.start ?? NaN;

describe('a primer is good for a day', () => {
  test('nothing is primed on the eve of a weekend: what follows would come too late', () => {
    // Primed on Friday from 8 to 9 it is dry at 11, when the day is over, and Monday is too late.
    const planned = planProgramme([workOn('a', 'prime', 1), workOn('a', 'lay', 2)], [placeNamed('a')], FRIDAY);
    expect(dayAt(start('prime a', planned))).toBe(3);
    expect(planned.missed).toEqual([]);
  });

  test('where the day is long enough for both, it is primed and laid on Friday', () => {
    const planned = planProgramme([workOn('a', 'prime', 1), workOn('a', 'lay', 2)], [placeNamed('a')], {
      ...FRIDAY,
      labour: { hoursPerDay: 8 },
    });
    expect([start('prime a', planned), start('lay a', planned)]).toEqual([8, 11]);
  });

  test('what is done between the two counts: lines struck for hours put the primer off as well', () => {
    const long = planProgramme([workOn('a', 'prime', 1), workOn('a', 'setOut', 3), workOn('a', 'lay', 2)], [placeNamed('a')], {
      ...FRIDAY,
      labour: { hoursPerDay: 5 },
    });
    expect(dayAt(start('prime a', long))).toBe(3);
    expect(long.missed).toEqual([]);
  });

  test('another place fills the wait, and keeps no hands beyond the window', () => {
    const both = [workOn('a', 'prime', 1), workOn('a', 'lay', 2), workOn('b', 'lay', 14)];
    const planned = planProgramme(both, [placeNamed('a'), placeNamed('b')], { ...FRIDAY, today: '2026-11-30', labour: { hoursPerDay: 8 } });
    expect(planned.missed).toEqual([]);
    const [primed, laid] = ['prime a', 'lay a'].map((id) => planned.tasks.find((task) => task.id === id));
    expect((laid?.start ?? NaN) - (primed?.end ?? NaN)).toBeLessThanOrEqual(24);
  });

  test('put by hand where it can only be missed, it is told and not moved', () => {
    const planned = planProgramme([workOn('a', 'prime', 1), workOn('a', 'lay', 2)], [placeNamed('a')], {
      ...FRIDAY,
      programme: { notBefore: { 'lay a': '2026-12-10' }, startDay: '2026-12-04' },
    });
    expect([dayAt(start('prime a', planned)), dayAt(start('lay a', planned))]).toEqual([3, 6]);
    expect(planned.missed).toEqual([{ id: 'lay a', afterId: 'prime a', hours: 71, withinHours: 24 }]);
  });
});

test('whatever the work, the days and the hours: waits are kept, hands do one thing at a time on days of work, and only what can’t be is missed', () => {
  const hours = fc.integer({ min: 1, max: 14 });
  const days = fc.constantFrom([0, 6], [0], [], [5, 6, 0]);
  fc.assert(
    fc.property(
      hours,
      hours,
      hours,
      fc.integer({ min: 3, max: 10 }),
      days,
      fc.integer({ min: 0, max: 6 }),
      (prime, lay, other, perDay, daysOff, shift) => {
        const planned = planProgramme(
          [
            workOn('a', 'prime', Math.min(prime, 2)),
            workOn('a', 'lay', lay),
            workOn('a', 'grout', 1),
            workOn('b', 'lay', other),
            workOn('b', 'grout', 2),
          ],
          [placeNamed('a'), placeNamed('b')],
          { ...FRIDAY, today: `2026-12-0${1 + shift}`, programme: { daysOff: [...daysOff] }, labour: { hoursPerDay: perDay } },
        );
        const stretches = planned.tasks.flatMap((task) => task.stretches).sort((a, b) => a[0] - b[0]);
        stretches.forEach(([from, to], k) => {
          expect(isWorkday(planned.calendar, dayAt(from))).toBe(true);
          expect(to).toBeGreaterThan(from);
          if (k > 0) expect(from).toBeGreaterThanOrEqual(stretches[k - 1][1] - 1e-6);
        });
        for (const task of planned.tasks)
          for (const { id, hours: wait } of task.after) {
            const before = planned.tasks.find((one) => one.id === id);
            expect(task.start).toBeGreaterThanOrEqual((before?.end ?? 0) + wait - 1e-6);
          }
        // A window that a day of work reaches over is never missed.
        for (const { afterId, withinHours } of planned.missed) {
          const opened = planned.tasks.find(({ id }) => id === afterId);
          const soonest = nextWorkTime(planned.calendar, (opened?.end ?? 0) + 2) - (opened?.end ?? 0);
          expect(soonest > withinHours || perDay < 5).toBe(true);
        }
      },
    ),
  );
});
