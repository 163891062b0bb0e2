import { ROUNDING } from '../../tolerances.ts';
import type { Product } from '../../tile/product.ts';
import type { Consumption } from '../consumption.ts';
import type { StripFigures, TileFigures } from '../figures.ts';
import { material, type Need, type Taken } from '../materialKind.ts';

/** How the number of tiles came about. */
export interface TilesHow {
  readonly surfaces: readonly { readonly surfaceId: string; readonly whole: number; readonly forCuts: number }[];
  /** Strips of skirting and nosing that are among what the tiles are opened for. */
  readonly strips: readonly (Omit<StripFigures, 'productId'> & { readonly surfaceId: string })[];
  readonly opened: number;
  readonly breakage: number;
  /** The same before it is rounded up to whole ones: what is expected to break. */
  readonly expectedBreakage: number;
  readonly spare: number;
  readonly piecesPerBox: number;
  /** Area of the surfaces and a tenth, in tiles or sheets: the rule of thumb, for comparison. */
  readonly ruleOfThumb: number;
}

/** Tiles of one product and hand that a set of surfaces takes. */
interface TileCount {
  readonly product: Product;
  readonly hand: TileFigures['hand'];
  readonly quantity: number;
  readonly boxes: number;
  readonly how: TilesHow;
}

/** Tiles, or sheets, that break while the cuts are made, unrounded. */
const breakageOf = (
  figures: readonly Pick<TileFigures, 'straightCuts' | 'strips' | 'shapedCuts' | 'piecesPerTile'>[],
  { breakagePercent }: Consumption,
): number =>
  figures.reduce(
    (sum, s) =>
      sum + ((s.straightCuts + s.strips) * breakagePercent.straight + s.shapedCuts * breakagePercent.shaped) / 100 / s.piecesPerTile,
    0,
  );

/** Tiles to order: opened, broken while cutting, and spares left with the client. The one count behind cards, papers and order. */
export function countTiles({ products, consumption, surfaces }: Need): TileCount[] {
  return products.flatMap((product) =>
    ([null, 'left', 'right'] as const).flatMap((hand) => {
      const figures = surfaces.flatMap(({ surfaceId, areaMm2, tiles: all }) => {
        const laid = all.reduce((sum, { laidAreaMm2 }) => sum + laidAreaMm2, 0);
        return all
          .filter((tile) => tile.productId === product.id && tile.hand === hand)
          .map((tile) => ({ ...tile, surfaceId, shareMm2: laid === 0 ? 0 : (areaMm2 * tile.laidAreaMm2) / laid }));
      });
      const strips =
        hand === null
          ? surfaces.flatMap(({ surfaceId, strips: all }) =>
              all.filter(({ productId }) => productId === product.id).map((own) => ({ ...own, surfaceId })),
            )
          : [];
      return figures.length === 0 ? [] : [countOf(product, hand, { figures, strips }, consumption)];
    }),
  );
}

function countOf(
  product: Product,
  hand: TileFigures['hand'],
  {
    figures,
    strips,
  }: {
    readonly figures: readonly (TileFigures & { readonly surfaceId: string; readonly shareMm2: number })[];
    readonly strips: readonly (StripFigures & { readonly surfaceId: string })[];
  },
  consumption: Consumption,
): TileCount {
  const opened = figures.reduce((sum, s) => sum + s.opened, 0);
  const expectedBreakage = breakageOf(figures, consumption);
  const breakage = Math.ceil(expectedBreakage - ROUNDING);
  const quantity = opened + breakage + consumption.sparePieces;
  const pieces = figures.reduce((sum, s) => sum + s.shareMm2 / s.footprintMm2, 0);
  return {
    product,
    hand,
    quantity,
    boxes: Math.ceil(quantity / product.piecesPerBox),
    how: {
      surfaces: figures.map((s) => ({ surfaceId: s.surfaceId, whole: s.wholeTiles, forCuts: s.opened - s.wholeTiles })),
      strips: strips.map(({ surfaceId, purpose, pieces: own }) => ({ surfaceId, purpose, pieces: own })),
      opened,
      breakage,
      expectedBreakage,
      spare: consumption.sparePieces,
      piecesPerBox: product.piecesPerBox,
      ruleOfThumb: Math.ceil(pieces * 1.1),
    },
  };
}

/** Tiles and sheets, a line for each product, and for each hand of one that comes in two. Bought by their product. */
export const tiles = material({
  group: 'tiles',
  packs: [],
  spread: 0,
  figures: {},
  choices: {},
  takeOff: (need): Taken<TilesHow>[] =>
    countTiles(need).map(({ product, hand, quantity, how }) => ({
      productId: product.id,
      hand,
      quantity,
      unit: product.shape.kind === 'sheet' ? 'sheet' : 'piece',
      how,
    })),
});
