import { mapRing, type Polygon, type Ring } from '../../geometry/ring.ts';
import { motion, type Motion, type Point } from '../../geometry/point.ts';
import { cellShift, type Repeat } from '../../pattern/repeat.ts';

/** Where the repeat is put: its origin on the surface and its turn about it. */
export interface Placement {
  readonly origin: Point;
  readonly turnDeg: number;
}

/** The address of one tile: which piece of the repeat, in which cell. */
export interface Address {
  readonly piece: number;
  /** Steps along the first vector of the repeat. */
  readonly i: number;
  /** Steps along the second. */
  readonly j: number;
}

/** A tile that the boundary cuts; on the surface, mm. A column in mid-tile leaves several polygons. */
export interface CutTile extends Address {
  readonly polygons: readonly Polygon[];
}

/**
 * Where every tile lies. Whole tiles are kept as runs, four numbers each: piece, j, first i, last i.
 * Only cut tiles carry polygons, so that 150 000 pieces weigh kilobytes.
 */
export interface Layout {
  readonly repeat: Repeat;
  readonly placement: Placement;
  readonly wholeRuns: Int32Array;
  readonly wholeCount: number;
  readonly cutTiles: readonly CutTile[];
  /** Pieces too narrow to be set; the joint takes them. */
  readonly dropped: readonly Polygon[];
}

/** The motion from the pattern's own frame onto the surface. */
export const placementMotion = ({ origin, turnDeg }: Placement): Motion => motion(turnDeg, origin);

/** The outline a tile would have if nothing cut it, on the surface. */
export function tileRing(layout: Pick<Layout, 'repeat' | 'placement'>, { piece, i, j }: Address): Ring {
  const [dx, dy] = cellShift(layout.repeat, i, j);
  const { turn } = placementMotion(layout.placement);
  return mapRing(layout.repeat.pieces[piece].ring, ([x, y]) => turn([x + dx, y + dy]));
}

/** Takes positions on the surface into the tile's own frame: its bottom-left corner at the origin, unturned. */
export function toTileFrame(layout: Pick<Layout, 'repeat' | 'placement'>, address: Address): (p: Point) => Point {
  const { corner, turnDeg } = layout.repeat.pieces[address.piece];
  const [dx, dy] = cellShift(layout.repeat, address.i, address.j);
  const surface = placementMotion(layout.placement);
  const tile = motion(turnDeg, [corner[0] + dx, corner[1] + dy]);
  return (p) => tile.unturn(surface.unturn(p));
}

/** Takes positions in the tile's own frame onto the surface. */
export function fromTileFrame(layout: Pick<Layout, 'repeat' | 'placement'>, address: Address): (p: Point) => Point {
  const { corner, turnDeg } = layout.repeat.pieces[address.piece];
  const [dx, dy] = cellShift(layout.repeat, address.i, address.j);
  const surface = placementMotion(layout.placement);
  const tile = motion(turnDeg, [corner[0] + dx, corner[1] + dy]);
  return (p) => surface.turn(tile.turn(p));
}

/** Calls back for every whole tile, course by course. */
export function forEachWhole(layout: Layout, visit: (address: Address) => void): void {
  const runs = layout.wholeRuns;
  for (let k = 0; k < runs.length; k += 4) {
    for (let i = runs[k + 2]; i <= runs[k + 3]; i++) visit({ piece: runs[k], j: runs[k + 1], i });
  }
}
