import type { Point } from './point.ts';

/** The distance from a position to a straight stretch between two others, mm. */
export function distanceToStretch([x, y]: Point, [fromX, fromY]: Point, [toX, toY]: Point): number {
  const alongX = toX - fromX;
  const alongY = toY - fromY;
  const runX = x - fromX;
  const runY = y - fromY;
  const size = alongX * alongX + alongY * alongY;
  const share = size === 0 ? 0 : Math.min(1, Math.max(0, (alongX * runX + alongY * runY) / size));
  const offX = runX - share * alongX;
  const offY = runY - share * alongY;
  // A root is many times quicker than `Math.hypot`, and nothing here is near the ends of what numbers hold.
  return Math.sqrt(offX * offX + offY * offY);
}
