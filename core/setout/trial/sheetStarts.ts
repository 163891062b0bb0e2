import { ROUNDED_OFTEN } from '../../tolerances.ts';
import { oncePer } from '../../oncePer.ts';
import { LEAST_CUT_MM } from '../../geometry/conventions.ts';
import type { Point } from '../../geometry/point.ts';
import { boxOf, rectangleRing } from '../../geometry/ring.ts';
import { cellArea, cellShift, type Repeat } from '../../pattern/repeat.ts';
import { countCells, latticeOf, markCells } from '../place/markCells.ts';
import type { Boundary } from '../edges/boundary.ts';

/** So many ways to lay the sheets over one lattice of chips are looked at. */
const MOST_PHASES = 400;

/**
 * Chips mostly lie in a lattice of their own, and sheets may be laid over it from any of them: those starts, which all
 * lay the same chips, in the order of how few sheets they touch, then cut, then how near to a corner of the field a sheet
 * begins. None where a cell of the lattice is a sheet. In the frame of the setout, mm.
 */
export function sheetStarts(repeat: Repeat, fine: Repeat, boundary: Boundary, at: Point, corner: Point): Point[] {
  if (boundary.lines.length === 0) return [];
  const toLattice = latticeOf(repeat);
  const { minX, minY, maxX, maxY } = boxOf(repeat.pieces.flatMap(({ ring }) => ring));
  const ring = rectangleRing(minX + LEAST_CUT_MM, minY + LEAST_CUT_MM, maxX - minX - 2 * LEAST_CUT_MM, maxY - minY - 2 * LEAST_CUT_MM);
  return phasesOf(repeat)(fine)
    .slice(1)
    .map(([dx, dy]) => {
      const start: Point = [at[0] + dx, at[1] + dy];
      const moved = ([x, y]: Point): Point => [x - start[0], y - start[1]];
      const lines = boundary.lines.map(({ from, to }) => ({ from: moved(from), to: moved(to) }));
      const [u, v] = toLattice([corner[0] - start[0] - minX, corner[1] - start[1] - minY]);
      return {
        start,
        ...countCells(markCells(ring, toLattice, lines)),
        off: Math.abs(u - Math.round(u)) + Math.abs(v - Math.round(v)),
      };
    })
    .sort((a, b) => a.whole + a.cut - b.whole - b.cut || a.cut - b.cut || a.off - b.off)
    .map(({ start }) => start);
}

/** The steps of the lattice of chips within one sheet. */
const phasesOf = oncePer((repeat: Repeat) => oncePer((fine: Repeat) => findPhases(repeat, fine)));

function findPhases(repeat: Repeat, fine: Repeat): readonly Point[] {
  const count = Math.round(cellArea(repeat) / cellArea(fine));
  const found: Point[] = [[0, 0]];
  if (count <= MOST_PHASES) {
    const toSheets = latticeOf(repeat);
    const within = (share: number): boolean => share > -ROUNDED_OFTEN && share < 1 - ROUNDED_OFTEN;
    for (let i = -count; i <= count; i++)
      for (let j = -count; j <= count; j++) {
        const step = cellShift(fine, i, j);
        const [u, v] = toSheets(step);
        if ((i !== 0 || j !== 0) && within(u) && within(v)) found.push(step);
      }
  }
  return found;
}
