import { ROUNDING } from '../../tolerances.ts';
import type { Point } from '../../geometry/point.ts';
import { cellShift, type Repeat } from '../../pattern/repeat.ts';
import { latticeOf } from './markCells.ts';

/** The same setout with its offset brought into the first cell of the repeat, mm. */
export function normaliseOffset(repeat: Repeat, offset: Point): Point {
  const [u, v] = latticeOf(repeat)(offset);
  const [dx, dy] = cellShift(repeat, Math.floor(u + ROUNDING), Math.floor(v + ROUNDING));
  return [offset[0] - dx, offset[1] - dy];
}
