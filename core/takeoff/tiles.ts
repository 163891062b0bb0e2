import { packsFor } from '../money/packs.ts';
import type { Product } from '../tile/product.ts';
import type { Consumption } from './consumption.ts';
import type { Material, SurfaceFigures, TileFigures } from './material.ts';

/** How the number of tiles came about. */
export interface TilesHow {
  readonly surfaces: readonly { readonly surfaceId: string; readonly whole: number; readonly forCuts: number }[];
  readonly opened: number;
  readonly breakage: number;
  readonly spare: number;
  readonly piecesPerBox: number;
  /** Area of the surfaces and a tenth, in pieces: the rule of thumb, for comparison. */
  readonly ruleOfThumb: number;
}

/** Tiles, or sheets, that break while the cuts are made, unrounded. */
export const breakageOf = (
  figures: readonly Pick<TileFigures, 'straightCuts' | 'shapedCuts' | 'piecesPerTile'>[],
  { breakagePercent }: Consumption,
): number =>
  figures.reduce(
    (sum, s) => sum + (s.straightCuts * breakagePercent.straight + s.shapedCuts * breakagePercent.shaped) / 100 / s.piecesPerTile,
    0,
  );

/** Tiles to order of one product: opened, broken while cutting, and spares left with the client. */
export function takeOffTiles(product: Product, all: readonly SurfaceFigures[], consumption: Consumption): Material<TilesHow> {
  const figures = all.flatMap(({ surfaceId, areaMm2, tiles }) => {
    const laid = tiles.reduce((sum, { laidAreaMm2 }) => sum + laidAreaMm2, 0);
    const own = tiles.filter(({ productId }) => productId === product.id);
    return own.map((tile) => ({ ...tile, surfaceId, shareMm2: laid === 0 ? 0 : (areaMm2 * tile.laidAreaMm2) / laid }));
  });
  const opened = figures.reduce((sum, s) => sum + s.opened, 0);
  const breakage = Math.ceil(breakageOf(figures, consumption) - 1e-9);
  const quantity = opened + breakage + consumption.sparePieces;
  const packs = packsFor(quantity, product.piecesPerBox, product.boxPrice);
  const pieces = figures.reduce((sum, s) => sum + s.shareMm2 / s.tileAreaMm2, 0);
  return {
    item: 'tiles',
    productId: product.id,
    quantity,
    unit: product.shape.kind === 'sheet' ? 'sheet' : 'piece',
    packs,
    cost: packs.cost,
    how: {
      surfaces: figures.map((s) => ({ surfaceId: s.surfaceId, whole: s.wholeTiles, forCuts: s.opened - s.wholeTiles })),
      opened,
      breakage,
      spare: consumption.sparePieces,
      piecesPerBox: product.piecesPerBox,
      ruleOfThumb: Math.ceil(pieces * 1.1),
    },
  };
}
