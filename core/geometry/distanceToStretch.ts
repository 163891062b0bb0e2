import type { Point } from './point.ts';

/** The distance from a position to a straight stretch between two others, mm. */
export function distanceToStretch([x, y]: Point, [fromX, fromY]: Point, [toX, toY]: Point): number {
  const [alongX, alongY, runX, runY] = [toX - fromX, toY - fromY, x - fromX, y - fromY];
  const size = alongX * alongX + alongY * alongY;
  const share = size === 0 ? 0 : Math.min(1, Math.max(0, (alongX * runX + alongY * runY) / size));
  return Math.hypot(runX - share * alongX, runY - share * alongY);
}
