import type { Point } from '../../geometry/point.ts';
import { solveLinear } from '../../geometry/solveLinear.ts';
import type { LevelReading } from './levels.ts';

/** Height of the substrate at a position, mm, against the level line: below zero, as it lies under the line. */
export type HeightField = (p: Point) => number;

/**
 * A smooth ground through all readings: a thin plate over them (r² ln r) on a tilted plane, which is
 * what a sheet of steel would do. With fewer than three readings, or all in one row, the mean.
 */
export function heightField(readings: readonly LevelReading[]): HeightField {
  const heights = readings.map(({ downMm }) => -downMm);
  const mean = heights.reduce((sum, height) => sum + height, 0) / Math.max(1, heights.length);
  const span = Math.max(1, ...readings.map(({ xMm, yMm }) => Math.hypot(xMm - readings[0].xMm, yMm - readings[0].yMm)));
  const at = readings.map(({ xMm, yMm }): Point => [xMm / span, yMm / span]);
  const count = at.length;
  const matrix = [
    ...at.map((p) => [...at.map((q) => plate(p, q)), 1, p[0], p[1]]),
    [...at.map(() => 1), 0, 0, 0],
    [...at.map(([x]) => x), 0, 0, 0],
    [...at.map(([, y]) => y), 0, 0, 0],
  ];
  const shares = count < 3 ? null : solveLinear(matrix, [...heights, 0, 0, 0]);
  if (!shares) return () => mean;
  return ([x, y]) => {
    const p: Point = [x / span, y / span];
    const bends = at.reduce((sum, q, k) => sum + shares[k] * plate(p, q), 0);
    return bends + shares[count] + shares[count + 1] * p[0] + shares[count + 2] * p[1];
  };
}

function plate([x1, y1]: Point, [x2, y2]: Point): number {
  const square = (x1 - x2) ** 2 + (y1 - y2) ** 2;
  return square === 0 ? 0 : (square * Math.log(square)) / 2;
}
