import { expect, test } from '@jest/globals';
import { calendarWith } from '../samples/works.ts';
import type { Programme } from './programme.ts';
import { calendarId, takeCalendar } from './takeCalendar.ts';

const task = (id: string, start: number): Programme['tasks'][number] => ({
  id,
  task: 'lay',
  part: null,
  placeId: id.split(' ')[1],
  placeName: 'Shop',
  hours: 10,
  stretches: [
    [start, start + 8],
    [start + 24, start + 26],
  ],
  start,
  end: start + 26,
  held: { by: 'start' },
  after: [],
  critical: false,
});
const programme: Programme = {
  calendar: calendarWith({ startDay: '2026-11-23' }),
  tasks: [task('lay shop floor', 8), task('grout shop', 56), task('trim shop', 80)],
  ends: 106,
  fullLoad: 200,
  missed: [],
};
const at = (id: string, k: number, day: string) => ({ uid: calendarId('bake house', id, k), day });

test('a work that was put on a later day is kept there, one that was put earlier is told, strangers are counted', () => {
  const taken = takeCalendar('bake house', programme, [
    at('lay shop floor', 0, '2026-11-23'),
    // Where the rest of a work lies follows from its beginning.
    at('lay shop floor', 1, '2026-12-24'),
    at('grout shop', 0, '2026-11-27'),
    at('trim shop', 0, '2026-11-25'),
    { uid: 'dentist', day: '2026-11-24' },
  ]);
  expect(taken).toEqual({
    notBefore: { 'grout shop': '2026-11-27' },
    tooEarly: ['trim shop'],
    laterDays: ['lay shop floor'],
    asTheyWere: 1,
    foreign: 1,
  });
});
