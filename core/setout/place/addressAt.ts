import type { Point } from '../../geometry/point.ts';
import { isInside } from '../../geometry/ring.ts';
import { placementMotion, tileRing, type Address, type Layout } from './layout.ts';
import { latticeOf } from './markCells.ts';

/** Cells round the one that holds a position whose tiles may reach over it. */
const NEAR = [-1, 0, 1, 2, -2];

/** The tile of a layout that a position on the surface lies on; null in a joint or where none is laid. */
export function addressAt(layout: Layout, at: Point): Address | null {
  const [u, v] = latticeOf(layout.repeat)(placementMotion(layout.placement).unturn(at)).map(Math.floor);
  const cut = layout.cutTiles.find(({ polygons }) => polygons.some((polygon) => isInside(at, [polygon])));
  if (cut) return { piece: cut.piece, i: cut.i, j: cut.j };
  for (const dj of NEAR)
    for (const di of NEAR)
      for (let piece = 0; piece < layout.repeat.pieces.length; piece++) {
        const address = { piece, i: u + di, j: v + dj };
        if (isWhole(layout, address) && isInside(at, [[tileRing(layout, address)]])) return address;
      }
  return null;
}

function isWhole({ wholeRuns: runs }: Layout, { piece, i, j }: Address): boolean {
  for (let k = 0; k < runs.length; k += 4) if (runs[k] === piece && runs[k + 1] === j && i >= runs[k + 2] && i <= runs[k + 3]) return true;
  return false;
}
