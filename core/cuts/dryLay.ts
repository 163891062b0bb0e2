import { boxOf, mapPolygon, type Polygon } from '../geometry/ring.ts';
import { selfTurns } from '../geometry/selfTurns.ts';
import { productAt, type Field } from '../setout/fields/field.ts';
import { forEachWhole, tileRing, type Address } from '../setout/place/layout.ts';
import { hasWayUp, productNamed, type Product } from '../tile/product.ts';
import type { CutPiece } from './cutPiece.ts';
import { SAME_CUT_MM, sameOutline } from './groupCuts.ts';
import { labelOf, type Labels } from './labelPieces.ts';

/** A piece as it is laid dry: the next in the order of the surface. */
export interface DryPiece {
  readonly label: string;
  readonly productId: string;
  /** As it lies on the surface, mm. */
  readonly polygon: Polygon;
  /** What is to be known of it where it is cut; null for a whole tile. */
  readonly cut: CutPiece | null;
}

/** More pieces than this are not laid dry. */
export const MOST_DRY = 4000;

/** The pieces of a surface in the order in which they lie: field by field, course by course, from the left; of mosaics the sheets that are cut. */
export function dryLayOf(fields: readonly Field[], labels: readonly Labels[], cuts: readonly CutPiece[]): DryPiece[] {
  const cutsBy = new Map<string, CutPiece[]>();
  for (const cut of cuts) {
    // Strips are set when all tiles lie.
    if (cut.strip) continue;
    const key = keyOf(cut.field, cut.address);
    cutsBy.set(key, [...(cutsBy.get(key) ?? []), cut]);
  }
  return fields.flatMap((field, k) => {
    const { layout } = field;
    const found: (DryPiece & { readonly course: number; readonly along: number })[] = [];
    const add = (address: Address, piece: DryPiece): void => {
      const { minX } = boxOf(piece.polygon[0]);
      found.push({ ...piece, course: address.j * layout.repeat.coursesPerCell + layout.repeat.pieces[address.piece].course, along: minX });
    };
    forEachWhole(layout, (address) => {
      if (layout.repeat.sheet || found.length > MOST_DRY || cutsBy.has(keyOf(k, address))) return;
      const label = labelOf(labels[k], layout, address);
      add(address, { label, productId: productAt(field, address), polygon: [tileRing(layout, address)], cut: null });
    });
    for (const cut of cuts)
      if (cut.field === k && !cut.strip) add(cut.address, { label: cut.label, productId: cut.productId, polygon: cut.polygon, cut });
    return found
      .sort((a, b) => a.course - b.course || a.along - b.along)
      .map(({ label, productId, polygon, cut }) => ({ label, productId, polygon, cut }));
  });
}

const keyOf = (field: number, { piece, i, j }: Address): string => `${field} ${piece} ${i} ${j}`;

/** What comes of two pieces that changed places. */
export type Swap =
  /** They are alike: nothing is lost. `turnDeg` is how one has to be turned to lie as the other does. */
  | { readonly kind: 'harmless'; readonly turnDeg: number }
  | { readonly kind: 'otherTile' }
  | { readonly kind: 'otherHand' }
  /** One is larger than the place of the other by so much, at the most, mm; less than nothing where both are short of it. */
  | { readonly kind: 'otherSize'; readonly larger: string; readonly byMm: number }
  /** As large, but cut in another way. */
  | { readonly kind: 'otherShape' };

/** Tells whether two pieces may change places: only equal ones, turned as far as outline and face allow. */
export function swapOf(a: DryPiece, b: DryPiece, products: readonly Product[]): Swap {
  if (a.productId !== b.productId) return { kind: 'otherTile' };
  if (!a.cut && !b.cut) return { kind: 'harmless', turnDeg: 0 };
  const one = a.cut ?? b.cut;
  if (!one) return { kind: 'harmless', turnDeg: 0 };
  if (a.cut && b.cut && a.cut.hand !== b.cut.hand) return { kind: 'otherHand' };
  const [first, second] = [a, b].map(({ cut }): Polygon => cut?.inTile ?? [one.tile]);
  const turns = [{ deg: 0, polygon: first }];
  if (!hasWayUp(productNamed(products, a.productId)))
    for (const motion of selfTurns(one.tile, SAME_CUT_MM)) {
      const [from, to] = [motion.turn([0, 0]), motion.turn([1, 0])];
      const deg = Math.round((Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI);
      turns.push({ deg: (deg + 360) % 360, polygon: mapPolygon(first, motion.turn) });
    }
  const same = turns.find(({ polygon }) => polygon.length === second.length && sameOutline(polygon, second));
  if (same) return { kind: 'harmless', turnDeg: same.deg };
  const [own, other] = [first, second].map((polygon) => {
    const { minX, minY, maxX, maxY } = boxOf(polygon[0]);
    return [maxX - minX, maxY - minY] as const;
  });
  const byMm = [own[0] - other[0], own[1] - other[1]].reduce((most, mm) => (Math.abs(mm) > Math.abs(most) ? mm : most));
  if (Math.abs(byMm) <= SAME_CUT_MM) return { kind: 'otherShape' };
  return { kind: 'otherSize', larger: byMm > 0 ? a.label : b.label, byMm: Math.abs(byMm) };
}
