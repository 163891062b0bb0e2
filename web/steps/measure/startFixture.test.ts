import { expect, test } from '@jest/globals';
import { startMeasured } from '@azulejo/core/job/startJob';
import { FIXTURE_KINDS } from '@azulejo/core/surface/fixtureCatalogue';
import { checkMeasured } from '@azulejo/core/surface/checkMeasured';
import { copyFixture } from './copyFixture.ts';
import { startFixture } from './startFixture.ts';

const room = startMeasured({ kind: 'rectangle', widthMm: 3200, heightMm: 2400 });
const withFixture = (measured: typeof room, kind: (typeof FIXTURE_KINDS)[number]): typeof room => ({
  ...measured,
  fixtures: [...measured.fixtures, startFixture(measured, kind, `${kind} ${measured.fixtures.length}`, kind)],
});

test('a door starts at the foot of its wall, a bath in a corner, a second one in another, a column in the middle', () => {
  const [door] = withFixture(room, 'door').fixtures;
  expect(door.from[1]).toEqual({ edge: 'bottom', mm: 0 });
  const baths = withFixture(withFixture(room, 'bath'), 'bath').fixtures;
  expect(baths.map(({ from }) => from.map(({ mm }) => mm))).toEqual([
    [0, 0],
    [0, 0],
  ]);
  expect(new Set(baths.map(({ from }) => from.map(({ edge }) => edge).join())).size).toBe(2);
  const [column] = withFixture(room, 'column').fixtures;
  expect(column.from.map(({ mm }) => mm)).toEqual([1450, 1050]);
});

test('whatever is added to a room has its place in it, also where the room is small', () => {
  for (const kind of FIXTURE_KINDS)
    for (const [widthMm, heightMm] of [
      [3200, 2400],
      [500, 300],
    ])
      expect([kind, checkMeasured(withFixture(startMeasured({ kind: 'rectangle', widthMm, heightMm }), kind))]).toEqual([kind, []]);
});

test('copies stand in a row, each with an id and a name of its own, and the row may run either way', () => {
  const { fixtures } = withFixture(withFixture(room, 'socket'), 'socket');
  const named = fixtures.map((fixture, k) => ({ ...fixture, name: k === 0 ? 'Socket' : 'Socket 3' }));
  const [first] = named;
  const copies = copyFixture(first, named, { count: 3, everyMm: -150, furtherFrom: 0 });
  expect(copies.map(({ name }) => name)).toEqual(['Socket 2', 'Socket 4', 'Socket 5']);
  expect(copies.map(({ from }) => from.map(({ mm }) => mm))).toEqual(
    [150, 300, 450].map((mm) => [first.from[0].mm - mm, first.from[1].mm]),
  );
  expect(new Set([...named, ...copies].map(({ id }) => id)).size).toBe(5);
  expect(checkMeasured({ ...room, fixtures: [first, ...copies] })).toEqual([]);
});
