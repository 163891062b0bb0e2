import type { Address, CutTile, Layout } from '../place/layout.ts';

/** Which tiles of a layout are laid, quick to ask: places are numbered, and a step from cell to cell is a sum. */
export interface LaidMap {
  /** Calls back for every cell of the lattice in which, or beside which, something is laid, with the place of its first piece. */
  readonly forEachCell: (visit: (i: number, j: number, cell: number) => void) => void;
  /** What to add to the place of a cell for a piece of it, or of one at most `REACH` cells on. */
  readonly step: (address: Address) => number;
  /** What lies at each place: NONE, WHOLE or CUT. */
  readonly states: Uint8Array;
  readonly cutAt: (place: number) => CutTile | undefined;
}

/** No tile, a whole one, one that is cut. */
export const [NONE, WHOLE, CUT] = [0, 1, 2];

/** Cells beyond what is laid that are visited too, and as far again that can be asked about. */
const MARGIN = 2;
const REACH = 2;

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
  if (minI > maxI) return { forEachCell: () => undefined, step: () => 0, states: new Uint8Array(0), cutAt: () => undefined };
  const around = MARGIN + REACH;
  const [firstI, firstJ] = [minI - around, minJ - around];
  const [wide, high] = [maxI - minI + 1 + 2 * around, maxJ - minJ + 1 + 2 * around];
  const step = ({ piece, i, j }: Address): number => (piece * high + j) * wide + i;
  const placeOf = ({ piece, i, j }: Address): number => step({ piece, i: i - firstI, j: j - firstJ });
  const states = new Uint8Array(wide * high * repeat.pieces.length);
  for (let k = 0; k < wholeRuns.length; k += 4) {
    const first = placeOf({ piece: wholeRuns[k], j: wholeRuns[k + 1], i: wholeRuns[k + 2] });
    states.fill(WHOLE, first, first + wholeRuns[k + 3] - wholeRuns[k + 2] + 1);
  }
  const cuts = new Map(cutTiles.map((tile) => [placeOf(tile), tile]));
  for (const place of cuts.keys()) states[place] = CUT;
  return {
    forEachCell: (visit) => {
      for (let j = minJ - MARGIN; j <= maxJ + MARGIN; j++)
        for (let i = minI - MARGIN; i <= maxI + MARGIN; i++) visit(i, j, placeOf({ piece: 0, i, j }));
    },
    step,
    states,
    cutAt: (place) => cuts.get(place),
  };
}
