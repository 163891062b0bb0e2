import { dot, subtract, type Point } from './point.ts';

/** The distance from a position to a straight stretch between two others, mm. */
export function distanceToStretch(p: Point, from: Point, to: Point): number {
  const along = subtract(to, from);
  const run = subtract(p, from);
  const size = dot(along, along);
  const share = size === 0 ? 0 : Math.min(1, Math.max(0, dot(run, along) / size));
  return Math.hypot(run[0] - share * along[0], run[1] - share * along[1]);
}
