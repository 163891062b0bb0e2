import { forEachWhole, type Address, type CutTile, type Layout } from '../place/layout.ts';

/** Which tiles of a layout are laid, by address, quick to ask. */
export interface LaidMap {
  /** Calls back for every cell of the lattice in which, or beside which, something is laid. */
  readonly forEachCell: (visit: (i: number, j: number) => void) => void;
  /** What lies at an address: one of NONE, WHOLE, CUT. */
  readonly at: (piece: number, i: number, j: number) => number;
  readonly cutAt: (piece: number, i: number, j: number) => CutTile | null;
}

/** No tile, a whole one, one that is cut. */
export const [NONE, WHOLE, CUT] = [0, 1, 2];

/** Cells beyond what is laid that are asked about too. */
const MARGIN = 2;

/** Notes every laid tile of a layout. */
export function laidMap(layout: Layout): LaidMap {
  const { wholeRuns, cutTiles, repeat } = layout;
  let [minI, maxI, minJ, maxJ] = [Infinity, -Infinity, Infinity, -Infinity];
  const reach = (first: number, last: number, j: number): void => {
    minI = Math.min(minI, first);
    maxI = Math.max(maxI, last);
    minJ = Math.min(minJ, j);
    maxJ = Math.max(maxJ, j);
  };
  for (let k = 0; k < wholeRuns.length; k += 4) reach(wholeRuns[k + 2], wholeRuns[k + 3], wholeRuns[k + 1]);
  for (const { i, j } of cutTiles) reach(i, i, j);
  if (minI > maxI) return { forEachCell: () => undefined, at: () => NONE, cutAt: () => null };
  const [wide, high] = [maxI - minI + 1, maxJ - minJ + 1];
  const states = new Uint8Array(wide * high * repeat.pieces.length);
  const indexOf = (piece: number, i: number, j: number): number =>
    i < minI || i > maxI || j < minJ || j > maxJ ? -1 : (piece * high + (j - minJ)) * wide + (i - minI);
  forEachWhole(layout, ({ piece, i, j }: Address) => (states[indexOf(piece, i, j)] = WHOLE));
  const cuts = new Map<number, CutTile>();
  for (const tile of cutTiles) {
    const at = indexOf(tile.piece, tile.i, tile.j);
    states[at] = CUT;
    cuts.set(at, tile);
  }
  return {
    forEachCell: (visit) => {
      for (let j = minJ - MARGIN; j <= maxJ + MARGIN; j++) for (let i = minI - MARGIN; i <= maxI + MARGIN; i++) visit(i, j);
    },
    at: (piece, i, j) => {
      const at = indexOf(piece, i, j);
      return at === -1 ? NONE : states[at];
    },
    cutAt: (piece, i, j) => cuts.get(indexOf(piece, i, j)) ?? null,
  };
}
