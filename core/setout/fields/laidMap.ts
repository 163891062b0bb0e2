import { forEachWhole, type Address, type CutTile, type Layout } from '../place/layout.ts';

/** Which tiles of a layout are laid, by address, quick to ask. */
export interface LaidMap {
  /** Calls back for every cell of the lattice in which, or beside which, something is laid. */
  readonly forEachCell: (visit: (i: number, j: number) => void) => void;
  /** Whether a tile lies there: whole, cut, or none. */
  readonly at: (address: Address) => 'whole' | 'cut' | null;
  readonly cutAt: (address: Address) => CutTile | null;
}

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
  if (minI > maxI) return { forEachCell: () => undefined, at: () => null, cutAt: () => null };
  const [wide, high] = [maxI - minI + 1, maxJ - minJ + 1];
  const states = new Uint8Array(wide * high * repeat.pieces.length);
  const indexOf = ({ piece, i, j }: Address): number =>
    i < minI || i > maxI || j < minJ || j > maxJ ? -1 : (piece * high + (j - minJ)) * wide + (i - minI);
  forEachWhole(layout, (address) => (states[indexOf(address)] = 1));
  const cuts = new Map<number, CutTile>();
  for (const tile of cutTiles) {
    states[indexOf(tile)] = 2;
    cuts.set(indexOf(tile), tile);
  }
  return {
    forEachCell: (visit) => {
      for (let j = minJ - MARGIN; j <= maxJ + MARGIN; j++) for (let i = minI - MARGIN; i <= maxI + MARGIN; i++) visit(i, j);
    },
    at: (address) => {
      const state = states[indexOf(address)];
      return state === 1 ? 'whole' : state === 2 ? 'cut' : null;
    },
    cutAt: (address) => cuts.get(indexOf(address)) ?? null,
  };
}
