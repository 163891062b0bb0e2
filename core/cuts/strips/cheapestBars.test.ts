import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cheapestBars } from './cheapestBars.ts';
import { packLengths } from './packLengths.ts';

const cost = (bars: readonly { readonly offer: { readonly price: number } }[]): number =>
  bars.reduce((sum, { offer }) => sum + offer.price, 0);

test('by hand: 1.9, 1.9 and 0.9 from a bar of 2 at 9 and two of 3 at 12 are dearer than two of 2 and one of 1 at 5', () => {
  const bars = cheapestBars(
    [1900, 1900, 900],
    [
      { size: 1, price: 5 },
      { size: 2, price: 9 },
      { size: 3, price: 12 },
    ],
    3,
  );
  // 1.9 + 0.9 with a kerf come from a bar of 3 at 12, and 1.9 from one of 2 at 9: 21; apart they would be 23.
  expect([cost(bars), bars.map(({ offer }) => offer.size).sort()]).toEqual([21, [2, 3]]);
});

test('no plan of one size, shortened bar by bar, is cheaper; every length is cut once and fits its bar', () => {
  const offers = fc
    .uniqueArray(fc.integer({ min: 8, max: 40 }), { minLength: 1, maxLength: 3 })
    .map((sizes) => sizes.map((size, k) => ({ size: size / 10, price: Math.round(size * (3 + k) * 10) / 100 })));
  fc.assert(
    fc.property(
      offers,
      fc.array(fc.integer({ min: 60, max: 780 }), { minLength: 1, maxLength: 26 }),
      fc.constantFrom(0, 3),
      (sold, lengths, kerf) => {
        const bars = cheapestBars(lengths, sold, kerf);
        expect(bars.flatMap(({ own }) => own).sort((a, b) => a - b)).toEqual(lengths.map((_, k) => k));
        for (const { offer, own } of bars)
          expect(own.reduce((sum, k) => sum + lengths[k] + kerf, -kerf)).toBeLessThanOrEqual(offer.size * 1000 + 0.01);
        for (const base of sold) {
          const plain = packLengths(lengths, base.size * 1000, kerf).bars.map((own) => {
            const takes = own.reduce((sum, k) => sum + lengths[k] + kerf, -kerf);
            return Math.min(...sold.filter(({ size }) => size * 1000 >= takes - 0.01).map(({ price }) => price));
          });
          expect(cost(bars)).toBeLessThanOrEqual(plain.reduce((sum, one) => sum + one, 0) + 1e-6);
        }
      },
    ),
    { numRuns: 120 },
  );
});

test('a few lengths are parted as cheaply as by trying every way', () => {
  const sold = [
    { size: 1, price: 4.2 },
    { size: 1.7, price: 6.4 },
    { size: 2.4, price: 8.3 },
  ];
  const everyWay = (left: readonly number[]): number => {
    if (left.length === 0) return 0;
    const [first, ...rest] = left;
    let best = Infinity;
    for (let mask = 0; mask < 1 << rest.length; mask++) {
      const own = [first, ...rest.filter((_, k) => mask & (1 << k))];
      const takes = own.reduce((sum, mm) => sum + mm + 3, -3);
      const fits = sold.filter(({ size }) => size * 1000 >= takes).map(({ price }) => price);
      if (fits.length > 0) best = Math.min(best, Math.min(...fits) + everyWay(rest.filter((_, k) => !(mask & (1 << k)))));
    }
    return best;
  };
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 150, max: 2300 }), { minLength: 1, maxLength: 6 }), (lengths) => {
      expect(cost(cheapestBars(lengths, sold, 3))).toBeCloseTo(everyWay(lengths), 4);
    }),
    { numRuns: 60 },
  );
});
