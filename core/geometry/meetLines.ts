import { ROUNDING } from '../tolerances.ts';
import { add, cross, scale, subtract, type Point } from './point.ts';

/** A straight line through a position, running a way of length one; what lies on its left is inside. */
export interface Line {
  readonly from: Point;
  readonly way: Point;
}

/** Lines whose ways differ by less than this sine run the same way. */
const SAME_WAY_SINE = ROUNDING;

/** Where two lines meet; null where they run the same way. */
export function meetLines(a: Line, b: Line): Point | null {
  const sine = cross(a.way, b.way);
  if (Math.abs(sine) < SAME_WAY_SINE) return null;
  return add(a.from, scale(a.way, cross(subtract(b.from, a.from), b.way) / sine));
}
