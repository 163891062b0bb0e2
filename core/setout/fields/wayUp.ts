import { distance, type Point } from '../../geometry/point.ts';
import { boxOf, ringArea } from '../../geometry/ring.ts';
import { cellShift } from '../../pattern/repeat.ts';
import { forEachWhole, placementMotion } from '../place/layout.ts';
import { productAt, type Field } from './field.ts';

/** How wide the tiles of a field are at most across: a strip that lies askew has a large box, mm. */
export function narrowestTile({ layout }: Field): number {
  const [{ ring }] = layout.repeat.pieces;
  const { minX, maxX, minY, maxY } = boxOf(ring);
  const longest = Math.max(...ring.map((p, k) => distance(p, ring[(k + 1) % ring.length])));
  return Math.min(maxX - minX, maxY - minY, ringArea(ring) / longest);
}

/**
 * Visits the whole tiles of a field whose face or back has a way up, by their product: the middle of each, mm, and where
 * its top points, degrees against the clock from the right.
 */
export function forEachWayUp(field: Field, hasWayUp: (productId: string) => boolean, visit: (middle: Point, topDeg: number) => void): void {
  const { layout } = field;
  const { pieces } = layout.repeat;
  const { turn } = placementMotion(layout.placement);
  const middles = pieces.map(({ ring }) => {
    const { minX, minY, maxX, maxY } = boxOf(ring);
    return [(minX + maxX) / 2, (minY + maxY) / 2] as const;
  });
  forEachWhole(layout, (address) => {
    if (!hasWayUp(productAt(field, address))) return;
    const [dx, dy] = cellShift(layout.repeat, address.i, address.j);
    const [x, y] = middles[address.piece];
    visit(turn([x + dx, y + dy]), pieces[address.piece].turnDeg + layout.placement.turnDeg + 90);
  });
}
