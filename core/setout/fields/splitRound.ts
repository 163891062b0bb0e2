import { split } from '../../geometry/clip.ts';
import { add, motion, subtract, type Point } from '../../geometry/point.ts';
import { boxOf, isInside, type Polygon } from '../../geometry/ring.ts';
import { tileRing, type CutTile, type Layout } from '../place/layout.ts';

/** Reaches over any tile, mm. */
const BEYOND_MM = 100_000;

/**
 * Parts every tile that would close round something no tile can be slipped over, a column or a post: in two, through
 * its middle and across the tile, so that each half is set from its side.
 */
export function splitRound(layout: Layout, standing: readonly Point[]): Layout {
  if (standing.length === 0) return layout;
  return {
    ...layout,
    cutTiles: layout.cutTiles.map((tile) => ({ ...tile, polygons: tile.polygons.flatMap((own) => halves(own, tile, layout, standing)) })),
  };
}

function halves(polygon: Polygon, tile: CutTile, layout: Layout, standing: readonly Point[]): readonly Polygon[] {
  const [, ...holes] = polygon;
  const middle = standing.find((at) => holes.some((hole) => isInside(at, [[hole]])));
  if (!middle) return [polygon];
  const { turnDeg } = layout.repeat.pieces[tile.piece];
  const { turn, unturn } = motion(turnDeg + layout.placement.turnDeg, [0, 0]);
  const { minX, minY, maxX, maxY } = boxOf(tileRing(layout, tile).map(unturn));
  // Across the longer side, so that the cut is the short one.
  const [along, across]: readonly [Point, Point] =
    maxX - minX >= maxY - minY ? [turn([0, BEYOND_MM]), turn([-BEYOND_MM, 0])] : [turn([BEYOND_MM, 0]), turn([0, BEYOND_MM])];
  const [from, to] = [subtract(middle, along), add(middle, along)];
  const { inside, outside } = split([polygon], [[[from, to, add(to, across), add(from, across)]]]);
  return [...inside, ...outside];
}
