import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Fixture } from '@azulejo/core/surface/fixture';
import { demoJob } from '../../../testing/demoJob.ts';
import { copyFixture } from './copyFixture.ts';

const fixtures = demoJob('tidewater-bakehouse').surfaces.flatMap((surface) => surface.measured.fixtures);
const [first] = fixtures;

test('copies stand in a row: the same thing, each so much further from one edge, each with an id and a name of its own', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...fixtures),
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: -400, max: 400 }),
      fc.constantFrom(0 as const, 1 as const),
      (fixture, count, everyMm, furtherFrom) => {
        const copies = copyFixture(fixture, fixtures, { count, everyMm, furtherFrom });
        expect(copies).toHaveLength(count);
        copies.forEach((copy, k) => {
          const other = furtherFrom === 0 ? 1 : 0;
          expect(copy.from[furtherFrom].mm).toBeCloseTo(fixture.from[furtherFrom].mm + (k + 1) * everyMm, 9);
          expect(copy.from[other]).toEqual(fixture.from[other]);
          expect({ ...copy, id: '', name: '', from: [] }).toEqual({ ...fixture, id: '', name: '', from: [] });
        });
        const all = [...fixtures, ...copies];
        expect(new Set(all.map(({ id }) => id)).size).toBe(new Set(fixtures.map(({ id }) => id)).size + count);
        expect(new Set(copies.map(({ name }) => name)).size).toBe(count);
      },
    ),
  );
});

test('a name is counted on from where it stands, past what is taken, and never too long', () => {
  const named = (name: string): Fixture => ({ ...first, name });
  const names = (name: string, ...taken: readonly string[]): string[] =>
    copyFixture(named(name), [named(name), ...taken.map(named)], { count: 2, everyMm: 100, furtherFrom: 0 }).map((copy) => copy.name);
  expect(names('Socket')).toEqual(['Socket 2', 'Socket 3']);
  expect(names('Tap 4')).toEqual(['Tap 5', 'Tap 6']);
  expect(names('Tap', 'Tap 2', 'Tap 4')).toEqual(['Tap 3', 'Tap 5']);
  for (const copied of names('x'.repeat(60))) expect(copied.length).toBeLessThanOrEqual(60);
});
