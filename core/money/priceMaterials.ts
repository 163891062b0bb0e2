import type { Quantity } from '../takeoff/registry.ts';
import type { Product } from '../tile/product.ts';
import { buyPacks, roundMoney, type PackOffer, type Purchase } from './packs.ts';
import type { Prices } from './prices.ts';

/** A line of the order: what is needed, and how it is bought. */
export type Material = Quantity & Purchase;

/** What prices are found in. */
export interface PriceList {
  readonly products: readonly Product[];
  readonly prices: Prices;
}

/** Buys every quantity in the cheapest packs that cover it. */
export const priceMaterials = (quantities: readonly Quantity[], list: PriceList): Material[] =>
  quantities.map((quantity) => ({ ...quantity, ...buyPacks(quantity.quantity, offersOf(quantity, list)) }));

/** What all lines cost together. */
export const totalOf = (materials: readonly Material[]): number => roundMoney(materials.reduce((sum, { cost }) => sum + cost, 0));

/** Tiles come in their own boxes, all else in the packs of the job. */
function offersOf({ item, productId }: Quantity, { products, prices }: PriceList): readonly PackOffer[] {
  if (item !== 'tiles') return prices[item].packs;
  const product = products.find(({ id }) => id === productId);
  return product ? [{ size: product.piecesPerBox, price: product.boxPrice }] : [];
}
