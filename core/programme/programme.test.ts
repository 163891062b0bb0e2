import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { TaskId } from '../labour/tasks.ts';
import { TASK_IDS } from '../labour/tasks.ts';
import type { WorkHours } from '../labour/workHours.ts';
import { plan } from '../plan.ts';
import { placesOf } from '../job/placesOf.ts';
import { jobOfOne } from '../samples/testJob.ts';
import { isWorkday, workBack, workFrom } from './calendar.ts';
import { alone, calendarWith, placeNamed, workOn } from '../samples/works.ts';
import { planProgramme, type ProgrammeRules } from './programme.ts';
import { describeFinding } from '../messages/en/advice.ts';
import { planJson } from '../formats/planJson.ts';
import { METRIC_TAPE } from '../units/tape.ts';
import { dryingShift, settingShift } from './steps.ts';

// A Monday.
const rules: ProgrammeRules = { today: '2026-11-30', climate: { temperatureC: 20, humidityPercent: 50 }, programme: {}, labour: {} };

describe('days', () => {
  const calendar = calendarWith({ holidays: ['2026-12-01'] });
  test('work stops at the end of the day, over the weekend and on a holiday', () => {
    expect([0, 1, 2, 5, 6, 7].map((day) => isWorkday(calendar, day))).toEqual([true, false, true, false, false, true]);
    expect(workFrom(calendar, 0, alone(20))).toEqual([
      [8, 16],
      [56, 64],
      [80, 84],
    ]);
  });
});

describe('a programme', () => {
  test('by hand: laid on Monday, grouted 24 h later, sealed the day after that', () => {
    const one = planProgramme([workOn('a', 'lay', 6), workOn('a', 'grout', 2), workOn('a', 'sealant', 1)], [placeNamed('a')], rules);
    // Laid 8 to 14; grout from 14 on Tuesday to 16; sealant from 16 on Wednesday, which is Thursday at 8.
    expect(one.tasks.map(({ task, start, end }) => [task, start, end])).toEqual([
      ['lay', 8, 14],
      ['grout', 38, 40],
      ['sealant', 80, 81],
    ]);
    expect(one.fullLoad).toBe(40 + 7 * 24);
    expect(one.tasks.every(({ critical }) => critical)).toBe(true);
  });

  test('while one place rests the hands work in another', () => {
    const both = [workOn('a', 'lay', 4), workOn('a', 'grout', 1), workOn('b', 'lay', 4), workOn('b', 'grout', 1)];
    const planned = planProgramme(both, [placeNamed('a'), placeNamed('b')], rules);
    expect(planned.tasks.map(({ id }) => id)).toEqual(['lay a', 'lay b', 'grout a', 'grout b']);
    expect(planned.tasks[1].start).toBe(12);
  });

  test('nothing before its wait, nothing at once, all hours, only when there is work: on any set of works', () => {
    const some = fc.array(
      fc.record({ at: fc.constantFrom('a', 'b', 'c'), task: fc.constantFrom(...TASK_IDS), hours: fc.integer({ min: 1, max: 30 }) }),
      {
        minLength: 1,
        maxLength: 14,
      },
    );
    fc.assert(
      fc.property(some, fc.integer({ min: 4, max: 12 }), fc.integer({ min: -5, max: 40 }), (wanted, hoursPerDay, temperatureC) => {
        const own = { ...rules, labour: { hoursPerDay }, climate: { temperatureC, humidityPercent: 50 } };
        const { tasks, calendar } = planProgramme(
          wanted.map(({ at, task, hours }) => workOn(at, task, hours)),
          ['a', 'b', 'c'].map(placeNamed),
          own,
        );
        const byId = new Map(tasks.map((task) => [task.id, task]));
        const all = tasks.flatMap(({ stretches }) => stretches).sort((a, b) => a[0] - b[0]);
        all.forEach(([from, to], k) => {
          expect(isWorkday(calendar, Math.floor(from / 24))).toBe(true);
          expect([from % 24 >= 8 - 1e-6, to - from <= hoursPerDay + 0.25 + 1e-6]).toEqual([true, true]);
          if (k > 0) expect(from).toBeGreaterThanOrEqual(all[k - 1][1] - 1e-6);
        });
        const sum = (of: readonly number[]): number => of.reduce((total, one) => total + one, 0);
        expect(sum(all.map(([from, to]) => to - from))).toBeCloseTo(sum(wanted.map(({ hours }) => hours)), 4);
        for (const { start, after } of tasks)
          for (const { id, hours } of after) expect(start).toBeGreaterThanOrEqual((byId.get(id)?.end ?? Infinity) + hours - 1e-6);
      }),
      { numRuns: 150 },
    );
  });

  test('a work that is moved takes what hangs on it with it; a primer left too long is told', () => {
    const all = [workOn('a', 'prime', 1), workOn('a', 'setOut', 1), workOn('a', 'lay', 4), workOn('a', 'grout', 1)];
    const moved = planProgramme(all, [placeNamed('a')], { ...rules, programme: { notBefore: { 'setOut a': '2026-12-03' } } });
    const starts = Object.fromEntries(moved.tasks.map(({ task, start }) => [task, start]));
    expect([starts['setOut'], starts['lay']]).toEqual([72 + 8, 72 + 9]);
    // The window runs to what is spread on the primer, not to the lines.
    expect(moved.missed).toEqual([{ id: 'lay a', afterId: 'prime a', hours: 81 - 9, withinHours: 24 }]);
    expect(moved.tasks.find(({ task }) => task === 'setOut')?.held).toEqual({ by: 'moved' });
    expect(planProgramme(all, [placeNamed('a')], rules).missed).toEqual([]);
  });

  test('a window that is missed is a finding of the whole job, and told where it is opened', () => {
    const job = jobOfOne({ size: [3000, 2400], tile: [600, 600], jointMm: 3, surface: { kind: 'floor' } });
    const id = `setOut ${placesOf(job)[0].id}`;
    expect(plan(job).findings.filter(({ path }) => path[0] === 'programme')).toEqual([]);
    const late = { ...job, programme: { startDay: '2026-11-30', notBefore: { [id]: '2026-12-04' } } };
    const [finding] = plan(late).findings.filter(({ path }) => path[0] === 'programme');
    expect(describeFinding(finding, METRIC_TAPE)).toMatch(
      /^Laying, .* comes \d+ h after prim.*, which allows 24 h: do that again, or move it\.$/,
    );
    expect((planJson(late, plan(late)) as { advice: object[] }).advice).toContainEqual(
      expect.objectContaining({ code: 'advice/missed-window' }),
    );
  });

  test('nothing is primed on the eve of a weekend, or before work that would keep the hands too long', () => {
    const all = [
      workOn('b', 'lay', 36),
      workOn('a', 'prime', 1),
      workOn('a', 'setOut', 1),
      workOn('a', 'lay', 4),
      workOn('c', 'prime', 1),
      workOn('c', 'lay', 30),
      workOn('c', 'setOut', 1),
    ];
    for (const hoursPerDay of [5, 8, 10]) {
      const { missed, tasks } = planProgramme(all, ['a', 'b', 'c'].map(placeNamed), { ...rules, labour: { hoursPerDay } });
      expect([hoursPerDay, missed]).toEqual([hoursPerDay, []]);
      expect(new Set(tasks.map(({ task, placeId }) => `${task} ${placeId}`)).size).toBe(7);
    }
  });

  test('waits of the person replace the usual ones; cold makes what sets slower', () => {
    const all = [workOn('a', 'lay', 4), workOn('a', 'grout', 1)];
    const rapid = planProgramme(all, [placeNamed('a')], { ...rules, programme: { waits: { 'lay>grout': 3 } } });
    expect(rapid.tasks[1].start).toBe(15);
    expect([settingShift(20), settingShift(3)]).toEqual([1, 2]);
    const cold = planProgramme(all, [placeNamed('a')], { ...rules, climate: { temperatureC: 3, humidityPercent: 50 } });
    // 48 h after noon on Monday.
    expect(cold.tasks[1].start).toBe(12 + 48);
  });

  test('a data sheet knows its own waits; damp air and a ground that does not drink make them longer', () => {
    const all = [workOn('a', 'prime', 1), workOn('a', 'setOut', 1), workOn('a', 'lay', 4), workOn('a', 'grout', 1)];
    const starts = (own: Partial<ProgrammeRules>): number[] =>
      planProgramme(all, [placeNamed('a')], { ...rules, ...own }).tasks.map(({ start }) => start);
    // Primed 8 to 9, set out from 11 and laid from 12 to 16; grout a day later, which is the end of that day.
    expect(starts({})).toEqual([8, 11, 12, 56]);
    const sheet = {
      adhesive: { sheet: { name: 'Rapid bed', figures: { restHours: 4 } } },
      primer: { figures: { restHours: 1, withinHours: 3 } },
    };
    // Laid from 11 to 15; 4 h later is after the end of the day.
    expect(starts({ materials: sheet })).toEqual([8, 10, 11, 32]);
    const { tasks } = planProgramme(all, [placeNamed('a')], { ...rules, materials: sheet });
    expect(tasks[1].after).toEqual([{ id: 'prime a', hours: 1, from: 'job', withinHours: null }]);
    expect(tasks[2].after).toContainEqual({ id: 'prime a', hours: 1, from: 'job', withinHours: 3 });
    expect(tasks[3].after).toEqual([{ id: 'lay a', hours: 4, from: 'sheet', withinHours: null }]);
    // At 90 % a primer dries in twice its time and the bed sets as it did; on old tiles both take half as long again.
    expect([dryingShift(50), dryingShift(90)]).toEqual([1, 2]);
    expect(starts({ climate: { temperatureC: 20, humidityPercent: 90 } })).toEqual([8, 13, 14, 58]);
    expect(starts({ drinks: () => 'little' })).toEqual([8, 12, 13, 80]);
    // When grout may be sealed is another figure than when the next work may go on.
    const grouted = planProgramme([workOn('a', 'grout', 1), workOn('a', 'haze', 1), workOn('a', 'sealGrout', 1)], [placeNamed('a')], {
      ...rules,
      materials: { grout: { figures: { restHours: 6 } } },
    });
    expect(grouted.tasks.flatMap(({ after }) => after.map(({ hours, from }) => [hours, from]))).toEqual([
      [6, 'job'],
      [72, 'typical'],
      // No sooner than the haze is off and dry.
      [2, 'typical'],
    ]);
    // What the person says holds as it is said.
    expect(starts({ programme: { waits: { 'lay>grout': 20 } }, drinks: () => 'little' })[3]).toBe(56);
  });

  test('whatever is done between the primer and the first tile, no window is missed when nothing is moved by hand', () => {
    const hours = fc.integer({ min: 1, max: 28 }).map((quarters) => quarters / 4);
    const some = fc.tuple(hours, hours, hours, hours, hours, fc.integer({ min: 1, max: 20 }));
    fc.assert(
      fc.property(fc.array(some, { minLength: 1, maxLength: 3 }), fc.constantFrom(6, 8, 10), (places, hoursPerDay) => {
        const all = places.flatMap(([setOut, cut, trim, ledger, grout, lay], k) => [
          workOn(`${k}`, 'prime', 0.5),
          workOn(`${k}`, 'setOut', setOut),
          workOn(`${k}`, 'cut', cut),
          workOn(`${k}`, 'trim', trim),
          workOn(`${k}`, 'ledger', ledger),
          workOn(`${k}`, 'lay', lay),
          workOn(`${k}`, 'grout', grout),
        ]);
        const { missed } = planProgramme(
          all,
          places.map((_, k) => placeNamed(`${k}`)),
          { ...rules, labour: { hoursPerDay } },
        );
        expect(missed).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });

  test('a large floor is primed for the day’s portion alone, and laid on it within its window', () => {
    const all = [workOn('a', 'prime', 2), workOn('a', 'setOut', 1), workOn('a', 'lay', 30), workOn('a', 'grout', 4)];
    const { tasks, missed } = planProgramme(all, [placeNamed('a')], rules);
    expect(missed).toEqual([]);
    const portions = tasks.filter(({ task }) => task === 'lay');
    expect(portions.map(({ part }) => part?.of)).toEqual([4, 4, 4, 4]);
    for (const { part, end, after } of portions) {
      const primed = tasks.find(({ task, part: own }) => task === 'prime' && own?.number === part?.number);
      expect(after.map(({ id }) => id)).toContain(primed?.id);
      expect(end - (primed?.end ?? 0)).toBeLessThanOrEqual(24 + 8);
    }
    expect(tasks.find(({ task }) => task === 'grout')?.after).toContainEqual(
      expect.objectContaining({ id: portions.at(-1)?.id, hours: 24 }),
    );
  });

  test('coats are works with their waits, and what is sealed is covered last', () => {
    const coated: WorkHours = { ...workOn('a', 'waterproof', 3), coats: 3 };
    const all = [
      coated,
      workOn('a', 'setOut', 1),
      workOn('a', 'lay', 2),
      workOn('a', 'grout', 1),
      workOn('a', 'haze', 1),
      workOn('a', 'sealant', 1),
    ];
    const { tasks } = planProgramme([...all, workOn('a', 'sealGrout', 1), workOn('a', 'protect', 1)], [placeNamed('a')], rules);
    const coats = tasks.filter(({ task }) => task === 'waterproof');
    expect(coats.map(({ id, hours }) => [id, hours])).toEqual([
      ['waterproof.1 a', 1],
      ['waterproof.2 a', 1],
      ['waterproof a', 1],
    ]);
    expect(coats.slice(1).map(({ start }, k) => start - coats[k].end)).toEqual([1, 1]);
    const order = tasks.map(({ task }) => task);
    expect(order.slice(order.indexOf('grout'))).toEqual(['grout', 'haze', 'sealant', 'sealGrout', 'protect']);
  });

  test('a profile goes in before the tiles it frames; a ledger is fixed, comes off after a day, and then comes its row', () => {
    const tasks: TaskId[] = ['setOut', 'trim', 'ledger', 'lay', 'ledgerOff', 'ledgerHoles', 'ledgerSeal', 'bottomRow', 'edging', 'grout'];
    const planned = planProgramme(
      tasks.map((task) => workOn('a', task, 1)),
      [placeNamed('a')],
      rules,
    ).tasks;
    const at = (task: TaskId) => planned.find((one) => one.task === task);
    for (const [before, after, hours] of [
      ['trim', 'lay', 0],
      ['ledger', 'lay', 0],
      ['lay', 'ledgerOff', 24],
      ['ledgerOff', 'ledgerHoles', 0],
      ['ledgerHoles', 'ledgerSeal', 2],
      ['ledgerSeal', 'bottomRow', 12],
      ['bottomRow', 'grout', 24],
    ] as const)
      expect((at(after)?.start ?? 0) - (at(before)?.end ?? Infinity)).toBeGreaterThanOrEqual(hours);
  });

  test('the latest start of some hours is where they end in time, whatever nights and days off lie between', () => {
    const calendar = calendarWith({ holidays: ['2026-12-02'] });
    fc.assert(
      fc.property(fc.integer({ min: 1000, max: 3000 }), fc.integer({ min: 1, max: 120 }), (by, quarters) => {
        const hours = quarters / 4;
        const start = workBack(calendar, by / 4, alone(hours));
        const endOf = (at: number, worked: number): number => workFrom(calendar, at, alone(worked)).at(-1)?.[1] ?? at;
        // A quarter of an hour may be stayed on for at the end of a day.
        expect(endOf(start, hours)).toBeLessThanOrEqual(by / 4 + 0.25 + 1e-6);
        expect(endOf(start + 0.6, hours + 0.25)).toBeGreaterThan(by / 4);
      }),
    );
  });

  test('no work is left over night that a quarter of an hour ends', () => {
    const calendar = calendarWith({ daysOff: [] });
    expect(workFrom(calendar, 8, alone(8.25))).toEqual([[8, 16.25]]);
    expect(workFrom(calendar, 8, alone(8.5))).toEqual([
      [8, 16],
      [32, 32.5],
    ]);
    expect(workFrom(calendar, 16.25, alone(1))).toEqual([[32, 33]]);
    // For a quarter of an hour before the end nobody begins what goes on the next day, for half an hour he does.
    expect(workFrom(calendar, 15.75, alone(1))).toEqual([[32, 33]]);
    expect(workFrom(calendar, 15.75, alone(0.5))).toEqual([[15.75, 16.25]]);
    expect(workFrom(calendar, 15.5, alone(1))).toEqual([
      [15.5, 16],
      [32, 32.5],
    ]);
  });

  test('a whole job: only the works it needs, each once in each place', () => {
    const job = jobOfOne({ size: [3000, 2400], tile: [600, 600], jointMm: 3, surface: { kind: 'floor' } });
    const { tasks } = planProgramme(plan(job).money.work, placesOf(job), rules);
    expect(new Set(tasks.map(({ id }) => id)).size).toBe(tasks.length);
    expect(tasks.map(({ task }) => task)).toEqual(expect.arrayContaining(['prime', 'setOut', 'lay', 'grout', 'sealant']));
    expect(tasks.map(({ task }) => task)).not.toContain('waterproof');
  });
});
