import { expect, test } from '@jest/globals';
import { parseClock, writeClock } from './clock.ts';

test.each([
  ['8', 8],
  ['8:30', 8.5],
  ['16.15', 16.25],
  [' 7h45 ', 7.75],
  ['7h', 7],
  ['24', 24],
  ['0:05', 5 / 60],
])('%s is a time of day', (text, hours) => {
  expect(parseClock(text)).toEqual({ ok: true, value: hours });
  expect(parseClock(writeClock(hours))).toEqual({ ok: true, value: hours });
});

test.each(['', '25', '24:01', '8:60', '8.5', 'eight', '8:3', '-8', '1e1'])('"%s" is none', (text) => {
  expect(parseClock(text)).toMatchObject({ ok: false, issues: [{ code: 'number/not-a-time', figures: { text } }] });
});
