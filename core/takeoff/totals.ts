import type { Product } from '../tile/product.ts';
import type { Consumption } from './consumption.ts';
import type { SurfaceFigures, TileFigures } from './figures.ts';
import { countTiles } from './materials/tiles.ts';

/** Pieces of a surface. */
export interface Totals {
  readonly pieces: number;
  readonly whole: number;
  readonly cut: number;
  readonly opened: number;
  readonly lowerBound: number;
  /** Boxes as they would be bought for this surface alone: breakage and spares included, as in the order. */
  readonly boxes: number;
  /** Tile bought for the setout and its strips and not laid, as a share of what is opened. */
  readonly wasteShare: number;
}

/** Counts the pieces of one surface. */
export function totalsOf(figures: SurfaceFigures, consumption: Consumption, products: readonly Product[]): Totals {
  const { tiles } = figures;
  const sum = (figure: (tile: TileFigures) => number): number => tiles.reduce((all, tile) => all + figure(tile), 0);
  const cut = sum(({ straightCuts, shapedCuts }) => straightCuts + shapedCuts);
  const openedArea = sum(({ opened, tileAreaMm2 }) => opened * tileAreaMm2);
  return {
    pieces: sum(({ whole }) => whole) + cut,
    whole: sum(({ whole }) => whole),
    cut,
    opened: sum(({ opened }) => opened),
    lowerBound: sum(({ lowerBound }) => lowerBound),
    boxes: countTiles({ products, consumption, surfaces: [figures] }).reduce((all, { boxes }) => all + boxes, 0),
    wasteShare: openedArea === 0 ? 0 : 1 - sum(({ laidAreaMm2, stripsMm2 }) => laidAreaMm2 + stripsMm2) / openedArea,
  };
}
