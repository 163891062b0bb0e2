import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newId, nextId } from './newId.ts';

test('two people who add something at once add two things: ids are drawn, of letters that are not read for one another', () => {
  const drawn = Array.from({ length: 2000 }, () => newId('tile'));
  expect(new Set(drawn).size).toBe(drawn.length);
  for (const id of drawn) expect(id).toMatch(/^tile-[a-hjkmnp-z2-9]{8}$/);
  // Every place varies.
  for (let k = 5; k < 13; k++) expect(new Set(drawn.map((id) => id[k])).size).toBeGreaterThan(20);
});

test('a short id within a part is none of those there, whichever were taken out', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 12 }), { maxLength: 10 }), (taken) => {
      const there = taken.map((k) => ({ id: `door-${k}` }));
      const id = nextId('door', there);
      expect(there.map((one) => one.id)).not.toContain(id);
      expect(id).toMatch(/^door-\d+$/);
    }),
  );
  expect(nextId('door', [])).toBe('door-1');
});
