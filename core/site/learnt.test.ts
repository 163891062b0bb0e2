import { expect, test } from '@jest/globals';
import { seededNumbers } from '../geometry/seededNumbers.ts';
import type { WorkHours } from '../labour/workHours.ts';
import type { Entry } from './entry.ts';
import { medianOf } from './believed.ts';
import { learntPaces, taskFacts } from './learnt.ts';

const uuid = (k: number): string => `00000000-0000-4000-8000-${String(k).padStart(12, '0')}`;
const work = (surfaceId: string, amount: number, pace: number): WorkHours => ({
  task: 'lay',
  surfaceId,
  amount,
  pace,
  from: 'typical',
  hours: amount / pace,
});
const took = (k: number, surfaceId: string | null, hours: number): Entry => ({
  id: uuid(k),
  at: '2026-11-28T08:00:00Z',
  by: '',
  surfaceId,
  replaces: null,
  data: { kind: 'hours', task: 'lay', hours },
});

test('the plain case: ten square metres planned at two an hour took eight hours, so the pace is 1.25', () => {
  const learnt = learntPaces([work('a', 10, 2)], [took(1, 'a', 5), took(2, 'a', 3), took(3, null, 40)], new Set(['a']), () => 2);
  expect(learnt).toEqual({ paces: [{ task: 'lay', pace: 1.25, before: 2, surfaces: 1 }], doubtful: [] });
  expect(taskFacts([work('a', 10, 2)], [took(1, 'a', 8)])).toEqual([{ task: 'lay', plannedHours: 5, loggedHours: 8 }]);
  expect(learntPaces([work('a', 10, 2)], [took(1, 'a', 8)], new Set(), () => 2)).toEqual({ paces: [], doubtful: [] });
});

test('what past jobs taught brings estimates of jobs held out nearer, one slip of the pen among them', () => {
  const next = seededNumbers(7);
  const own = 0.7;
  const jobs = Array.from({ length: 12 }, (_, k) => ({ id: `s${k}`, amount: 4 + 20 * next() }));
  const hours = ({ amount }: { amount: number }): number => amount / (2 * own * (0.9 + 0.2 * next()));
  const past = jobs.slice(0, 7);
  const entries = past.map((one, k) => took(k, one.id, k === 3 ? 23 : hours(one)));
  const {
    paces: [{ pace }],
  } = learntPaces(
    past.map((one) => work(one.id, one.amount, 2)),
    entries,
    new Set(past.map(({ id }) => id)),
    () => 2,
  );
  const held = jobs.slice(7).map((one) => ({ real: hours(one), amount: one.amount }));
  const off = (at: number): number => held.reduce((sum, { real, amount }) => sum + Math.abs(amount / at - real), 0);
  expect(off(pace)).toBeLessThan(0.4 * off(2));
});

test('hours that no pace explains teach nothing and are told: a hundredth of an hour, seventeen days of it, one riser for seven', () => {
  const works = [work('a', 10, 2), work('b', 0.3, 2), work('c', 10, 2)];
  const entries = [took(1, 'a', 0.01), took(2, 'b', 1.05), took(3, 'c', 6)];
  const all = new Set(['a', 'b', 'c']);
  expect(learntPaces(works, entries, all, () => 2)).toEqual({
    paces: [{ task: 'lay', pace: 1.67, before: 2, surfaces: 1 }],
    doubtful: [
      { task: 'lay', surfaceId: 'a', plannedHours: 5, loggedHours: 0.01 },
      { task: 'lay', surfaceId: 'b', plannedHours: 0.15, loggedHours: 1.05 },
    ],
  });
  const days = Array.from({ length: 17 }, (_, k) => took(10 + k, 'a', 24));
  expect(learntPaces([work('a', 10, 2)], days, all, () => 2).paces).toEqual([]);
  // Of three jobs the middle one, not the last.
  expect([medianOf([1.7, 1.13, 1.1]), medianOf([1.2, 1.4])]).toEqual([1.13, expect.closeTo(1.3, 12)]);
});
