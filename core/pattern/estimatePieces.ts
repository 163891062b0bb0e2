import type { Box } from '../geometry/ring.ts';
import type { Product } from '../tile/product.ts';
import { moduleOf, type Laying } from './laying.ts';
import { repeatOf } from './registry.ts';
import { cellArea } from './repeat.ts';

/** More pieces than this on one field are a slip of the pen: a tile of 5 mm on a floor of 5 m makes as many. */
export const MOST_PIECES = 1_000_000;

/** More stones than this, each sawn to size and described by itself, nobody cuts for one field. */
export const MOST_STONES = 12_000;

/** Modules that a drawn stone has in the mean, whatever the largest may be. */
const MODULES_A_STONE = 2.5;

/** About how many pieces a laying makes over a box, and how many of them are cut from a tile wherever they lie. */
export function estimatePieces(
  laying: Laying,
  products: readonly Product[],
  box: Box,
): { readonly pieces: number; readonly cutPieces: number } {
  const module = moduleOf(laying, products);
  const area = (box.maxX - box.minX) * (box.maxY - box.minY);
  // The cell of an ashlar is told by its modules; its stones need not be drawn to know that there are too many.
  if (laying.pattern.kind === 'ashlar') {
    const { columns, rows, moduleMm, stones } = laying.pattern;
    const stonesInCell = stones?.length ?? (columns * rows) / MODULES_A_STONE;
    const pieces = Math.round((area * stonesInCell) / (columns * rows * moduleMm ** 2));
    return { pieces, cutPieces: pieces };
  }
  const repeat = repeatOf(laying.pattern, module);
  return { pieces: Math.round((area * repeat.pieces.length) / cellArea(repeat)), cutPieces: 0 };
}
