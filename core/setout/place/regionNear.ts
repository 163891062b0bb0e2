import { intersect } from '../../geometry/clip.ts';
import { boxRing, type Box, type Polygon } from '../../geometry/ring.ts';

/** A part of a region with so few corners is not parted further. */
const FEW_CORNERS = 24;

/** Halvings of a region; a thousandth of its side is enough for any tile. */
const MOST_HALVINGS = 20;

/** A part of a region, parted further when it is asked for. */
interface Node {
  readonly box: Box;
  readonly polygons: readonly Polygon[];
  halves: readonly [Node, Node] | null;
}

/**
 * A region in parts that overlap by the size of a tile, so that a tile is clipped against the few corners round
 * it. Each part is what the clipping library makes of it: whole rings, nothing that runs back on itself.
 */
export class RegionNear {
  private readonly root: Node;
  private readonly overlapMm: readonly [number, number];

  /** `tile` is the box of a tile in any place. */
  constructor(region: readonly Polygon[], box: Box, tile: Box) {
    const [wide, high] = [tile.maxX - tile.minX + 2, tile.maxY - tile.minY + 2];
    this.overlapMm = [wide, high];
    const round: Box = { minX: box.minX - wide, minY: box.minY - high, maxX: box.maxX + wide, maxY: box.maxY + high };
    this.root = { box: round, polygons: region, halves: null };
  }

  /** A part of the region that holds all of it within a box no larger than a tile's. */
  near(box: Box): readonly Polygon[] {
    let node = this.root;
    for (let depth = 0; depth < MOST_HALVINGS; depth++) {
      const half = this.halvesOf(node)?.find((part) => holds(part.box, box));
      if (!half) break;
      node = half;
    }
    return node.polygons;
  }

  /** Halves across the longer side; null where that is not worth it. */
  private halvesOf(node: Node): readonly [Node, Node] | null {
    if (node.halves) return node.halves;
    if (node.polygons.reduce((sum, polygon) => sum + polygon.reduce((n, ring) => n + ring.length, 0), 0) <= FEW_CORNERS) return null;
    const { minX, minY, maxX, maxY } = node.box;
    const wide = maxX - minX >= maxY - minY;
    const overlap = this.overlapMm[wide ? 0 : 1];
    if ((wide ? maxX - minX : maxY - minY) < 3 * overlap) return null;
    const middle = wide ? (minX + maxX) / 2 : (minY + maxY) / 2;
    const boxes: readonly [Box, Box] = wide
      ? [
          { minX, minY, maxX: middle + overlap / 2, maxY },
          { minX: middle - overlap / 2, minY, maxX, maxY },
        ]
      : [
          { minX, minY, maxX, maxY: middle + overlap / 2 },
          { minX, minY: middle - overlap / 2, maxX, maxY },
        ];
    const part = (box: Box): Node => ({ box, polygons: intersect(node.polygons, [[boxRing(box)]]), halves: null });
    node.halves = [part(boxes[0]), part(boxes[1])];
    return node.halves;
  }
}

const holds = (outer: Box, inner: Box): boolean =>
  inner.minX >= outer.minX && inner.maxX <= outer.maxX && inner.minY >= outer.minY && inner.maxY <= outer.maxY;
