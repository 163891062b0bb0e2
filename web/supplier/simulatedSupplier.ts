import { seededNumbers } from '@azulejo/core/geometry/seededNumbers';
import type { Product } from '@azulejo/core/tile/product';
import type { Asked, LineAnswer, Offer, Supplier } from './supplier.ts';

/** One tile in so many is not carried, and one in so many is short. */
const NOT_CARRIED_ONE_IN = 12;
const SHORT_ONE_IN = 4;

/** A stand-in for a supplier: the same tile gets the same answer each time. */
export const simulatedSupplier: Supplier = {
  name: 'Simulated supplier',
  ask: (products) => Promise.resolve(products.flatMap(answer)),
  askFor: (lines) => Promise.resolve(lines.map(answerLine)),
};

function answer(product: Product): Offer[] {
  const next = numbersOf(product.id);
  next();
  if (next() < 1 / NOT_CARRIED_ONE_IN) return [];
  const short = next() < 1 / SHORT_ONE_IN;
  const stockBoxes = short ? Math.floor(next() * 4) : 12 + Math.floor(next() * 60);
  const boxPrice = Math.round(product.boxPrice * (0.92 + next() * 0.2) * 100) / 100;
  const split = stockBoxes > 8 && next() < 0.5 ? Math.ceil(stockBoxes * 0.7) : stockBoxes;
  const lots = [split, stockBoxes - split]
    .filter((boxes) => boxes > 0)
    .map((boxes) => ({
      code: `L${Math.floor(1000 + next() * 9000)}`,
      shade: String.fromCharCode(65 + Math.floor(next() * 4)),
      calibre: String(1 + Math.floor(next() * 3)),
      boxes,
    }));
  return [
    { productId: product.id, boxPrice, stockBoxes, lots, leadDays: short ? 10 + Math.floor(next() * 15) : 2 + Math.floor(next() * 4) },
  ];
}

const numbersOf = (text: string): (() => number) =>
  seededNumbers([...text].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 9973, 7));

function answerLine({ key, name, packs }: Asked): LineAnswer {
  const next = numbersOf(key);
  next();
  const asked = packs.reduce((sum, { count }) => sum + count, 0);
  const isCarried = next() >= 1 / NOT_CARRIED_ONE_IN;
  const inStock = !isCarried ? 0 : next() < 1 / SHORT_ONE_IN ? Math.floor(next() * asked) : asked;
  const price = packs.reduce((sum, { count, price: own }) => sum + count * own, 0);
  return {
    key,
    asked,
    inStock,
    leadDays: isCarried ? (inStock < asked ? 8 + Math.floor(next() * 14) : 1 + Math.floor(next() * 3)) : null,
    cost: Math.round(price * (0.94 + next() * 0.14) * 100) / 100,
    lot: isCarried && inStock === asked ? `L${Math.floor(1000 + next() * 9000)}` : null,
    instead: isCarried ? null : `${name}, ${['second choice', 'another make', 'next size up'][Math.floor(next() * 3)]}`,
  };
}
