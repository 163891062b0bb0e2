import { labelPoint } from '../../geometry/labelPoint.ts';
import { add, scale, type Point } from '../../geometry/point.ts';
import type { Polygon } from '../../geometry/ring.ts';
import { addressAt } from './addressAt.ts';
import { tileRing, type Address, type Layout } from './layout.ts';

/** How finely one looks for the next tile, mm: finer than any chip. */
const STEP_MM = 2;

/** Further than this there is no next tile, mm. */
const REACH_MM = 2000;

/** What is laid of a tile. */
export function laidPolygons(layout: Layout, { piece, i, j }: Address): readonly Polygon[] {
  const cut = layout.cutTiles.find((tile) => tile.piece === piece && tile.i === i && tile.j === j);
  return cut ? cut.polygons : [[tileRing(layout, { piece, i, j })]];
}

/** The tile that follows another in a direction of length one, over joints and what stands between; null where none does. */
export function nextPiece(layout: Layout, from: Address, way: Point): Address | null {
  const start = labelPoint(laidPolygons(layout, from)[0]);
  for (let mm = STEP_MM; mm <= REACH_MM; mm += STEP_MM) {
    const found = addressAt(layout, add(start, scale(way, mm)));
    if (found && (found.piece !== from.piece || found.i !== from.i || found.j !== from.j)) return found;
  }
  return null;
}
