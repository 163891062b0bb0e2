import type { Point } from '../../geometry/point.ts';

interface Flat {
  readonly x: number;
  readonly y: number;
}

const STEPS = 180;

/** Points along an ellipse or a part of one; angles in radians from its long axis. */
export function ellipsePoints({
  center,
  majorAxisEndPoint: major,
  axisRatio,
  startAngle,
  endAngle,
}: Readonly<{ center: Flat; majorAxisEndPoint: Flat; axisRatio: number; startAngle: number; endAngle: number }>): {
  points: Point[];
  closed: boolean;
} {
  const round = 2 * Math.PI;
  const sweep = (((endAngle - startAngle) % round) + round) % round || round;
  const closed = sweep > round - 1e-6;
  const count = closed ? STEPS : STEPS + 1;
  const points = Array.from({ length: count }, (_, k): Point => {
    const t = startAngle + (sweep * k) / STEPS;
    const [c, s] = [Math.cos(t), Math.sin(t)];
    return [center.x + c * major.x - s * axisRatio * major.y, center.y + c * major.y + s * axisRatio * major.x];
  });
  return { points, closed };
}

/** Splines of a higher degree are drawn by no program of the trade. */
const HIGHEST_DEGREE = 25;

/** Points along a B-spline by de Boor's recursion; along its fit points where it has no control points; null where its figures make none. */
export function splinePoints({
  controlPoints,
  fitPoints,
  knotValues,
  degreeOfSplineCurve,
}: Readonly<{
  controlPoints?: readonly Flat[];
  fitPoints?: readonly Flat[];
  knotValues?: readonly number[];
  degreeOfSplineCurve: number;
}>): Point[] | null {
  const flat = ({ x, y }: Flat): Point => [x, y];
  if (!controlPoints || !knotValues || controlPoints.length === 0) return (fitPoints ?? []).map(flat);
  const degree = degreeOfSplineCurve;
  const isSound = Number.isInteger(degree) && degree >= 1 && degree <= HIGHEST_DEGREE && degree < controlPoints.length;
  if (!isSound || knotValues.length < controlPoints.length + degree + 1) return null;
  const [low, high] = [knotValues[degree], knotValues[controlPoints.length]];
  return Array.from({ length: STEPS + 1 }, (_, k) => deBoor(controlPoints.map(flat), knotValues, degree, low + ((high - low) * k) / STEPS));
}

function deBoor(control: readonly Point[], knots: readonly number[], degree: number, t: number): Point {
  let span = degree;
  while (span < control.length - 1 && t >= knots[span + 1]) span++;
  const d = Array.from({ length: degree + 1 }, (_, j) => control[j + span - degree]);
  for (let r = 1; r <= degree; r++) {
    for (let j = degree; j >= r; j--) {
      const [from, to] = [knots[j + span - degree], knots[j + 1 + span - r]];
      const share = to === from ? 0 : (t - from) / (to - from);
      d[j] = [(1 - share) * d[j - 1][0] + share * d[j][0], (1 - share) * d[j - 1][1] + share * d[j][1]];
    }
  }
  return d[degree];
}
