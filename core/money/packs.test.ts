import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { buyBars, buyPacks, type Purchase } from './packs.ts';

const holdsOf = ({ packs }: Purchase): number => packs.reduce((sum, { count, size }) => sum + count * size, 0);
const priceOf = ({ packs }: Purchase): number => packs.reduce((sum, { count, price }) => sum + count * price, 0);

/** Offers of whole sizes at whole prices, no two of a size. */
const offers = fc
  .uniqueArray(fc.record({ size: fc.integer({ min: 1, max: 25 }), price: fc.integer({ min: 1, max: 60 }) }), {
    selector: ({ size }) => size,
    minLength: 1,
    maxLength: 4,
  })
  .map((all) => all.map(({ size, price }) => ({ size, price })));

/** The least that a whole need costs, and the least that is left at that: by going through all amounts, one after the other. */
function byEveryAmount(
  need: number,
  all: readonly { readonly size: number; readonly price: number }[],
): readonly [cost: number, holds: number] {
  const most = need + Math.max(...all.map(({ size }) => size));
  const least = Array.from({ length: most + 1 }, (_, amount) => (amount === 0 ? 0 : Infinity));
  for (let amount = 1; amount <= most; amount++)
    for (const { size, price } of all) if (amount >= size) least[amount] = Math.min(least[amount], least[amount - size] + price);
  const enough = least.map((cost, amount) => [cost, amount] as const).slice(need);
  const cost = Math.min(...enough.map(([one]) => one));
  return [cost, enough.find(([one]) => one === cost)?.[1] ?? 0];
}

describe('packs', () => {
  test('cost as little, and leave as little at that, as any that cover the need', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 120 }), offers, (need, all) => {
        const bought = buyPacks(need, all);
        const [cost, holds] = byEveryAmount(need, all);
        expect([bought.cost, holdsOf(bought)]).toEqual([cost, holds]);
        expect(priceOf(bought)).toBe(bought.cost);
        expect(bought.covers).toBeCloseTo(holds / need, 12);
        expect(bought.packs.map(({ size }) => size)).toEqual([...bought.packs.map(({ size }) => size)].sort((a, b) => b - a));
        expect(bought.packs.every(({ count }) => Number.isInteger(count) && count > 0)).toBe(true);
      }),
      { numRuns: 300 },
    );
  });

  test('are as many as are needed, not one more for a figure that was added up', () => {
    // 0.1 + 0.2 is a hair more than 0.3.
    expect(buyPacks(0.1 + 0.2, [{ size: 0.1, price: 1 }]).packs).toEqual([{ size: 0.1, price: 1, count: 3 }]);
    expect(buyPacks(20.000000001, [{ size: 20, price: 5 }]).packs[0].count).toBe(1);
    expect(buyPacks(20.01, [{ size: 20, price: 5 }]).packs[0].count).toBe(2);
  });

  test('of nothing there are none, and none where none are offered', () => {
    for (const need of [0, -1]) expect(buyPacks(need, [{ size: 5, price: 2 }])).toEqual({ packs: [], cost: 0, covers: null });
    expect(buyPacks(3, [])).toEqual({ packs: [], cost: 0, covers: null });
  });

  test('of very many sizes are found in time, and cover the need', () => {
    const many = Array.from({ length: 24 }, (_, k) => ({ size: 101 + 7 * k + 0.37 * k * k, price: 50 + 3.1 * k + 0.11 * k * k }));
    const bought = buyPacks(98_765.4, many);
    expect(holdsOf(bought)).toBeGreaterThanOrEqual(98_765.4);
    expect(bought.cost).toBeCloseTo(priceOf(bought), 6);
    // No worse than the size that is cheapest for what it holds, taken alone.
    expect(bought.cost).toBeLessThanOrEqual(Math.min(...many.map(({ size, price }) => Math.ceil(98_765.4 / size) * price)));
  });
});

test('bars are bought as they were planned, each size in one line, the longest first', () => {
  const [short, long] = [
    { size: 2, price: 9 },
    { size: 3, price: 12.5 },
  ];
  expect(buyBars([short, long, short, short], 7.5)).toEqual({
    packs: [
      { size: 3, price: 12.5, count: 1 },
      { size: 2, price: 9, count: 3 },
    ],
    cost: 39.5,
    covers: 9 / 7.5,
  });
  expect(buyBars([], 0)).toEqual({ packs: [], cost: 0, covers: null });
});
