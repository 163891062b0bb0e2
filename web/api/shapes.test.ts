import { describe, expect, test } from '@jest/globals';
import { listOf, nothing, perhaps, thingWith } from './shapes.ts';

/** What something between the page and the server may answer in its place. */
const STRANGE: readonly unknown[] = [
  undefined,
  null,
  '',
  '<title>Sign in</title>',
  0,
  7,
  true,
  [],
  {},
  [null],
  [[]],
  { error: 'x' },
  Symbol('none'),
];

describe('an answer counts only when it is of the shape that was asked for', () => {
  test('a thing has all its keys, whatever else it has', () => {
    const shape = thingWith('id', 'name');
    expect([shape({ id: 1, name: 'x', more: 2 }), shape({ id: 1, name: undefined })]).toEqual([true, true]);
    expect(shape({ id: 1 })).toBe(false);
    expect(STRANGE.filter(shape)).toEqual([]);
  });
  test('a list is one of such things alone; an empty one is a list', () => {
    const shape = listOf(thingWith('id'));
    expect([shape([]), shape([{ id: 1 }, { id: 2 }])]).toEqual([true, true]);
    expect([shape([{ id: 1 }, {}]), shape({ id: 1 }), shape([[]])]).toEqual([false, false, false]);
    expect(STRANGE.filter(shape)).toEqual([[]]);
  });
  test('what may be missing is null, and nothing else', () => {
    const shape = perhaps(thingWith('at'));
    expect([shape(null), shape({ at: 1 }), shape(undefined), shape({})]).toEqual([true, true, false, false]);
    expect(STRANGE.filter(nothing)).toEqual([undefined]);
  });
});
