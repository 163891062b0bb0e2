import { expect, test } from '@jest/globals';
import { splinePoints } from './curvePoints.ts';

const fitted = (fitPoints: readonly { x: number; y: number }[]) => splinePoints({ fitPoints, degreeOfSplineCurve: 3 }) ?? [];

test('a spline that is given by the points it runs through is a curve, no row of straight lines', () => {
  // A half circle of 1000 by nine points: between them the curve stays within half a millimetre of it but for its free ends.
  const radius = 1000;
  const points = Array.from({ length: 9 }, (_, k) => ({
    x: radius * Math.cos((k * Math.PI) / 8),
    y: radius * Math.sin((k * Math.PI) / 8),
  }));
  const curve = fitted(points);
  expect(curve.length).toBeGreaterThan(150);
  for (const { x, y } of points) expect(Math.min(...curve.map((p) => Math.hypot(p[0] - x, p[1] - y)))).toBeLessThan(1e-6);
  const inner = curve.filter(([x]) => Math.abs(x) < 0.9 * radius);
  for (const [x, y] of inner) expect(Math.abs(Math.hypot(x, y) - radius)).toBeLessThan(6);
  const middle = curve.filter(([x]) => Math.abs(x) < 0.4 * radius);
  for (const [x, y] of middle) expect(Math.abs(Math.hypot(x, y) - radius)).toBeLessThan(0.6);
  // The chord between two of the points leaves it by 19.
  expect(radius * (1 - Math.cos(Math.PI / 16))).toBeGreaterThan(19);
});

test('two points are a straight line, points in a row stay in it, and what is given twice is one', () => {
  expect(
    fitted([
      { x: 0, y: 0 },
      { x: 100, y: 50 },
    ]),
  ).toEqual([
    [0, 0],
    [100, 50],
  ]);
  for (const [x, y] of fitted([0, 40, 40, 100, 300].map((x) => ({ x, y: 2 * x })))) expect(y).toBeCloseTo(2 * x, 6);
  expect(fitted([])).toEqual([]);
});
