import type { Prices } from '../money/prices.ts';
import type { Product } from '../tile/product.ts';
import { takeOffAdhesive } from './adhesive.ts';
import type { Consumption } from './consumption.ts';
import { takeOffGrout } from './grout.ts';
import type { Material, SurfaceFigures } from './material.ts';
import { takeOffSealant } from './sealant.ts';
import { takeOffTiles } from './tiles.ts';

/** What quantities depend on besides the surfaces. */
export interface TakeOffRules {
  readonly products: readonly Product[];
  readonly consumption: Consumption;
  readonly prices: Prices;
}

/** The order for a whole job: a line for each product laid, then what goes with the tiles. */
export function takeOff({ products, consumption, prices }: TakeOffRules, figures: readonly SurfaceFigures[]): Material[] {
  if (figures.length === 0) return [];
  const tiles = products.flatMap((product) => {
    const laid = figures.filter(({ tiles }) => tiles.some(({ productId }) => productId === product.id));
    return laid.length === 0 ? [] : [takeOffTiles(product, laid, consumption)];
  });
  return [
    ...tiles,
    takeOffAdhesive(figures, consumption, prices),
    takeOffGrout(figures, consumption, prices),
    takeOffSealant(figures, consumption, prices),
  ];
}
