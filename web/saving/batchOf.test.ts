import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { batchOf } from './batchOf.ts';

const bytes = (items: readonly string[]): number =>
  items.reduce((sum, item) => sum + new TextEncoder().encode(JSON.stringify(item)).length, 0);
/** Entries from a word to a photo; umlauts take two bytes a letter, pictures of a smile four. */
const entry = fc
  .tuple(fc.constantFrom('a', 'ü', '😀'), fc.constantFrom(1, 40, 5_000, 200_000, 480_000))
  .map(([letter, length]) => letter.repeat(length));

test('batch after batch everything goes once and in order, none larger than a proxy lets through unless it is one', () => {
  fc.assert(
    fc.property(fc.array(entry, { maxLength: 12 }), fc.integer({ min: 1, max: 5 }), (items, most) => {
      const sent: string[] = [];
      let left: readonly string[] = items;
      while (left.length > 0) {
        const batch = batchOf(left, most);
        expect(batch.length).toBeGreaterThan(0);
        expect(batch.length).toBeLessThanOrEqual(most);
        if (batch.length > 1) expect(bytes(batch)).toBeLessThanOrEqual(900_000);
        // No more would have gone with it.
        const more = left.slice(0, batch.length + 1);
        if (more.length > batch.length && batch.length < most) expect(bytes(more)).toBeGreaterThan(900_000);
        sent.push(...batch);
        left = left.slice(batch.length);
      }
      expect(sent).toEqual(items);
    }),
  );
});
