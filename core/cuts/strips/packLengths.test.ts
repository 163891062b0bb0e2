import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { packLengths, partRun } from './packLengths.ts';

/** The fewest bars by trying every way; for a handful of lengths. */
function fewest(lengths: readonly number[], bar: number, kerf: number): number {
  let best = lengths.length;
  const look = (at: number, left: number[]): void => {
    if (left.length >= best) return;
    if (at === lengths.length) {
      best = left.length;
      return;
    }
    const takes = lengths[at] + kerf;
    left.forEach((room, k) => {
      if (room >= takes - 1e-9)
        look(
          at + 1,
          left.map((other, m) => (m === k ? other - takes : other)),
        );
    });
    look(at + 1, [...left, bar + kerf - takes]);
  };
  look(0, []);
  return lengths.length === 0 ? 0 : best;
}

test('lengths are cut from as few bars as trying every way finds, each once, kerf kept; no plan beats the bound', () => {
  const lengths = fc.array(fc.integer({ min: 40, max: 2500 }), { maxLength: 7 });
  fc.assert(
    fc.property(lengths, fc.constantFrom(0, 2.5, 6), (wanted, kerf) => {
      const { bars, bound } = packLengths(wanted, 2500, kerf);
      expect(bars.flat().sort((a, b) => a - b)).toEqual(wanted.map((_, k) => k));
      for (const bar of bars) expect(bar.reduce((sum, k) => sum + wanted[k] + kerf, 0) - kerf).toBeLessThanOrEqual(2500 + 1e-6);
      const least = fewest(wanted, 2500, kerf);
      expect(bars.length).toBe(least);
      expect(bound).toBeLessThanOrEqual(least);
    }),
    { numRuns: 300 },
  );
});

test('sixty lengths are packed to the bound or next to it', () => {
  const wanted = Array.from({ length: 60 }, (_, k) => 300 + ((k * 397) % 1900));
  const { bars, bound } = packLengths(wanted, 2500, 3);
  expect(bars.length - bound).toBeLessThanOrEqual(1);
});

test('a run longer than its bar ends in no short rest', () => {
  fc.assert(
    fc.property(fc.double({ min: 1, max: 20_000, noNaN: true }), (run) => {
      const parts = partRun(run, 2500);
      expect(parts.reduce((sum, mm) => sum + mm, 0)).toBeCloseTo(run, 6);
      expect(Math.max(...parts)).toBeLessThanOrEqual(2500 + 1e-9);
      if (parts.length > 1) expect(Math.min(...parts)).toBeGreaterThanOrEqual(300 - 1e-9);
    }),
  );
  expect(() => packLengths([2600], 2500, 2)).toThrow('a length has to fit');
});
