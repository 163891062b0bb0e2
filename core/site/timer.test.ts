import { expect, test } from '@jest/globals';
import { byEnd, minutesLeft, timerSchema } from './timer.ts';

const timer = { id: 't', kind: 'potLife', startedAt: 1_000_000, minutes: 60 } as const;

test('a wait goes by the clock, whatever slept meanwhile; a clock that was set back never makes it longer', () => {
  expect(minutesLeft(timer, 1_000_000 + 15 * 60_000)).toBe(45);
  expect(minutesLeft(timer, 1_000_000 + 61 * 60_000)).toBe(-1);
  expect(minutesLeft(timer, 0)).toBe(60);
});

test('what ends first comes first; a wait of no time is none', () => {
  const soon = { ...timer, id: 's', minutes: 5 };
  expect(byEnd([timer, soon]).map(({ id }) => id)).toEqual(['s', 't']);
  expect(timerSchema.safeParse({ ...timer, minutes: 0 }).success).toBe(false);
});
