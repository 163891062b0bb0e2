import type { Polygon } from '../../geometry/ring.ts';
import type { RepeatPiece } from '../../pattern/repeat.ts';
import { UNKNOWN_COLOUR } from '../../tile/product.ts';
import { forEachWhole, tileRing, type Address } from '../place/layout.ts';
import { productAt, type Field } from './field.ts';

/** A piece as it lies on the surface, for whoever draws it. */
export interface DrawnPiece {
  readonly address: Address;
  /** What it is in its repeat. */
  readonly piece: RepeatPiece;
  readonly productId: string;
  /** One polygon; several where what stands in mid-tile leaves as many. */
  readonly polygons: readonly Polygon[];
  readonly isCut: boolean;
}

/** Shows every piece of a field, the whole ones course by course, then those that the boundary cuts. */
export function forEachPiece(field: Field, visit: (piece: DrawnPiece) => void): void {
  const { layout } = field;
  const show = (address: Address, polygons: readonly Polygon[], isCut: boolean): void =>
    visit({ address, piece: layout.repeat.pieces[address.piece], productId: productAt(field, address), polygons, isCut });
  forEachWhole(layout, (address) => show(address, [[tileRing(layout, address)]], false));
  for (const tile of layout.cutTiles) show(tile, tile.polygons, true);
}

/** The colour of a face: of a chip that has one of its own, else of its tile, by the colours of tiles. */
export const faceColour = ({ piece, productId }: Pick<DrawnPiece, 'piece' | 'productId'>, colours: ReadonlyMap<string, string>): string =>
  piece.colour ?? colours.get(productId) ?? UNKNOWN_COLOUR;
