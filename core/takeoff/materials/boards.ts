import { intersect } from '../../geometry/clip.ts';
import { boxOf, rectangleRing, type Polygon } from '../../geometry/ring.ts';
import { byRate } from '../byRate.ts';
import { material } from '../materialKind.ts';

/** Sizes of a board, mm. */
export const BOARD_FIGURES = { longMm: { typical: 1200, min: 300, max: 3600 }, wideMm: { typical: 800, min: 300, max: 2400 } } as const;

/**
 * Boards laid in rows across a surface, unrounded: what one row leaves of its last board begins the next, and the last row
 * takes as much of a board as it is high.
 */
export function boardsOver(region: readonly Polygon[], longMm: number, wideMm: number): number {
  if (region.length === 0) return 0;
  const { minX, minY, maxX, maxY } = boxOf(region.flat(2));
  let boards = 0;
  for (let y = minY; y < maxY - 1; y += wideMm) {
    const high = Math.min(wideMm, maxY - y);
    const row = intersect(region, [[rectangleRing(minX - 1, y, maxX - minX + 2, high)]]);
    const runMm = row.reduce((sum, [outer]) => sum + widthOf(outer), 0);
    // Two rips come out of a board where they are no more than half of it.
    boards += runMm / longMm / Math.max(1, Math.floor(wideMm / high));
  }
  return boards;
}

function widthOf(ring: readonly (readonly [number, number])[]): number {
  const { minX, maxX } = boxOf(ring);
  return maxX - minX;
}

/** Tile backer boards. */
export const boards = material({
  group: 'underTheTiles',
  packs: [{ size: 1, price: 17.5 }],
  spread: 0,
  figures: BOARD_FIGURES,
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    byRate(surfaces, { unit: 'piece', of: 'count', figures }, ({ works, region }) =>
      works.does.board ? { amount: boardsOver(region, figures.longMm.value, figures.wideMm.value), per: 1 } : null,
    ),
});
