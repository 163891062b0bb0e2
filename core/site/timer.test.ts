import { expect, test } from '@jest/globals';
import { entrySchema } from './entry.ts';
import { minutesLeft, runningTimers } from './timer.ts';

const timer = { id: 't', timer: 'potLife', startedAt: 1_000_000, minutes: 60 } as const;

test('a wait goes by the clock, whatever slept meanwhile; a clock that was set back never makes it longer', () => {
  expect(minutesLeft(timer, 1_000_000 + 15 * 60_000)).toBe(45);
  expect(minutesLeft(timer, 1_000_000 + 61 * 60_000)).toBe(-1);
  expect(minutesLeft(timer, 0)).toBe(60);
});

test('what ends first comes first; what was over half a day ago is forgotten; a wait of no time is none', () => {
  const soon = { ...timer, id: 's', minutes: 5 };
  expect(runningTimers([timer, soon], 1_000_000).map(({ id }) => id)).toEqual(['s', 't']);
  expect(runningTimers([timer, soon], 1_000_000 + (12 * 60 + 30) * 60_000).map(({ id }) => id)).toEqual(['t']);
  const entry = (minutes: number) => ({
    id: '4c7e8f0a-1111-4222-8333-944445555666',
    at: '2026-11-25T08:00:00Z',
    by: '',
    surfaceId: null,
    replaces: null,
    data: { kind: 'timer', timer: 'slake', minutes },
  });
  expect([entry(5), entry(0)].map((one) => entrySchema.safeParse(one).success)).toEqual([true, false]);
});

test('waits stand in the order in which they end, whenever they were started and however long they are', () => {
  const waits = [
    { ...timer, id: 'long', startedAt: 0, minutes: 90 },
    { ...timer, id: 'late', startedAt: 60 * 60_000, minutes: 20 },
    { ...timer, id: 'soon', startedAt: 70 * 60_000, minutes: 5 },
  ];
  const at = 72 * 60_000;
  const order = runningTimers(waits, at);
  expect(order.map(({ id }) => id)).toEqual(['soon', 'late', 'long']);
  const left = order.map((one) => minutesLeft(one, at));
  expect(left).toEqual([3, 8, 18]);
});
