import type { Point } from '../../geometry/point.ts';
import { solveLinear } from '../../geometry/solveLinear.ts';
import type { LevelReading } from './levels.ts';

/** Height of the substrate at a position, mm, against the level line: below zero, as it lies under the line. */
export type HeightField = (p: Point) => number;

/**
 * A smooth ground through all readings: a thin plate over them (r² ln r) on a tilted plane, which is what a sheet of steel
 * would do; but never further off the plane that fits the readings best than a reading is, so that no height is invented.
 * With fewer than three readings, or all in one row, the mean.
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
  const plane = bestPlane(at, heights);
  if (!shares || !plane) return () => mean;
  const offs = heights.map((height, k) => height - plane(at[k]));
  const [low, high] = [Math.min(...offs), Math.max(...offs)];
  return ([x, y]) => {
    const p: Point = [x / span, y / span];
    const bends = at.reduce((sum, q, k) => sum + shares[k] * plate(p, q), 0);
    const flat = plane(p);
    const off = bends + shares[count] + shares[count + 1] * p[0] + shares[count + 2] * p[1] - flat;
    return flat + Math.min(high, Math.max(low, off));
  };
}

/** The plane that fits heights best, by least squares; null where the places lie in one row. */
function bestPlane(at: readonly Point[], heights: readonly number[]): HeightField | null {
  const rows = at.map(([x, y]) => [1, x, y]);
  const sum = (of: (row: readonly number[], k: number) => number): number => rows.reduce((total, row, k) => total + of(row, k), 0);
  const shares = solveLinear(
    [0, 1, 2].map((i) => [0, 1, 2].map((j) => sum((row) => row[i] * row[j]))),
    [0, 1, 2].map((i) => sum((row, k) => row[i] * heights[k])),
  );
  return shares && (([x, y]) => shares[0] + shares[1] * x + shares[2] * y);
}

function plate([x1, y1]: Point, [x2, y2]: Point): number {
  const square = (x1 - x2) ** 2 + (y1 - y2) ** 2;
  return square === 0 ? 0 : (square * Math.log(square)) / 2;
}
