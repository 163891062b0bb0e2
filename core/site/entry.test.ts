import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { entriesInForce, entriesOf, entrySchema, type Entry } from './entry.ts';

const uuid = (k: number): string => `00000000-0000-4000-8000-${String(k).padStart(12, '0')}`;
const entry = (k: number, data: Entry['data'], replaces: number | null = null): Entry => ({
  id: uuid(k),
  at: `2026-11-2${k % 9}T08:00:00Z`,
  by: '',
  surfaceId: null,
  replaces: replaces === null ? null : uuid(replaces),
  data,
});
const note = (k: number, replaces: number | null = null): Entry => entry(k, { kind: 'note', text: `note ${k}`, pin: null }, replaces);

test('a log comes to the same in any order and sent twice; what is corrected or withdrawn is no longer told', () => {
  const log = [
    note(1),
    note(2, 1),
    entry(3, { kind: 'hours', task: 'lay', hours: 4 }),
    entry(4, { kind: 'withdrawn' }, 3),
    note(5),
    note(6, 5),
    note(7, 5),
  ];
  fc.assert(
    fc.property(fc.shuffledSubarray([...log, ...log], { minLength: 14, maxLength: 14 }), (shuffled) => {
      const told = entriesInForce(shuffled);
      // Two corrections of one entry are both in sight.
      expect(told.map(({ id }) => id)).toEqual([uuid(2), uuid(6), uuid(7)]);
    }),
  );
  expect(entriesOf(entriesInForce(log), 'hours')).toEqual([]);
});

test('an hour of 25, a photo that is none, a date that is none: refused at the field', () => {
  const paths = (data: unknown, at = '2026-11-28T08:00:00Z'): string[] => {
    const read = entrySchema.safeParse({ ...note(1), at, data });
    return read.success ? [] : read.error.issues.map(({ path }) => path.join('.'));
  };
  expect(paths({ kind: 'hours', task: 'lay', hours: 25 })).toEqual(['data.hours']);
  expect(paths({ kind: 'photo', image: 'data:text/html;base64,AA', text: '', pin: null })).toEqual(['data.image']);
  expect(paths({ kind: 'photo', image: `data:image/jpeg;base64,${'A'.repeat(600_000)}`, text: '', pin: null })).toEqual(['data.image']);
  expect(paths({ kind: 'note', text: 'x', pin: null }, 'yesterday')).toEqual(['at']);
  for (const [at, found] of [
    ['2026-11-28T08:00:00+23:59', []],
    ['0000-01-01T00:00:00Z', ['at']],
    ['9999-12-31T00:00:00Z', ['at']],
  ] as const)
    expect(paths({ kind: 'note', text: 'x', pin: null }, at)).toEqual(found);
});
