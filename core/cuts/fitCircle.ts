import { ROUNDING, SAW_MM } from '../tolerances.ts';
import type { Circle } from '../geometry/circleRing.ts';
import { distance, type Point } from '../geometry/point.ts';

const OFF_CIRCLE_MM = SAW_MM;

/** The circle three spread points lie on; null when the points are not those of one circle. */
export function fitCircle(points: readonly Point[]): Circle | null {
  if (points.length < 5) return null;
  const [a, b, c] = [0, Math.floor(points.length / 3), Math.floor((2 * points.length) / 3)].map((k) => points[k]);
  const d = 2 * (a[0] * (b[1] - c[1]) + b[0] * (c[1] - a[1]) + c[0] * (a[1] - b[1]));
  if (Math.abs(d) < ROUNDING) return null;
  const square = (p: Point): number => p[0] * p[0] + p[1] * p[1];
  const centre: Point = [
    (square(a) * (b[1] - c[1]) + square(b) * (c[1] - a[1]) + square(c) * (a[1] - b[1])) / d,
    (square(a) * (c[0] - b[0]) + square(b) * (a[0] - c[0]) + square(c) * (b[0] - a[0])) / d,
  ];
  const radiusMm = distance(centre, a);
  const inner = points.slice(1, -1);
  return inner.every((p) => Math.abs(distance(p, centre) - radiusMm) < OFF_CIRCLE_MM) ? { centre, radiusMm } : null;
}

/** Whether an arc runs on a known circle; its two ends may lie on a chord beside it. */
export const runsOn = (points: readonly Point[], { centre, radiusMm }: Circle): boolean =>
  points.slice(1, -1).every((p) => Math.abs(distance(p, centre) - radiusMm) < OFF_CIRCLE_MM);
