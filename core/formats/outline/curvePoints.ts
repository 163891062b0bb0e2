import { ROUNDED_OFTEN, ROUNDING } from '../../tolerances.ts';
import { distance, type Point } from '../../geometry/point.ts';

interface FlatCurve {
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
}: Readonly<{ center: FlatCurve; majorAxisEndPoint: FlatCurve; axisRatio: number; startAngle: number; endAngle: number }>): {
  points: Point[];
  closed: boolean;
} {
  const round = 2 * Math.PI;
  const sweep = (((endAngle - startAngle) % round) + round) % round || round;
  const closed = sweep > round - ROUNDED_OFTEN;
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

/** Points along a B-spline by de Boor's recursion; through its fit points where it has no control points; null where its figures make none. */
export function splinePoints({
  controlPoints,
  fitPoints,
  knotValues,
  degreeOfSplineCurve,
}: Readonly<{
  controlPoints?: readonly FlatCurve[];
  fitPoints?: readonly FlatCurve[];
  knotValues?: readonly number[];
  degreeOfSplineCurve: number;
}>): Point[] | null {
  const flat = ({ x, y }: FlatCurve): Point => [x, y];
  if (!controlPoints || !knotValues || controlPoints.length === 0) return throughPoints((fitPoints ?? []).map(flat));
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

/** More points are a line that was drawn by hand: it is taken as it is. */
const MOST_FITTED = 200;

/** So many steps from one fitted point to the next. */
const FIT_STEPS = 24;

/**
 * Points along the smooth curve through some points: a cubic in each coordinate over the length of the chords, whose slope
 * and bend run on from piece to piece, free at both ends, as drawing programs lay a spline through fit points.
 */
function throughPoints(given: readonly Point[]): Point[] {
  const points = given.filter((p, k) => k === 0 || distance(p, given[k - 1]) > ROUNDING);
  if (points.length < 3 || points.length > MOST_FITTED) return [...points];
  const spans = points.slice(1).map((p, k) => distance(p, points[k]));
  const bends = [0, 1].map((axis) =>
    bendsOf(
      points.map((p) => p[axis]),
      spans,
    ),
  );
  const at = (k: number, share: number, axis: 0 | 1): number => {
    const [h, a, b] = [spans[k], 1 - share, share];
    const [from, to] = [bends[axis][k], bends[axis][k + 1]];
    return a * points[k][axis] + b * points[k + 1][axis] + (((a ** 3 - a) * from + (b ** 3 - b) * to) * h * h) / 6;
  };
  const curve = spans.flatMap((_, k) =>
    Array.from({ length: FIT_STEPS }, (__, n): Point => [at(k, n / FIT_STEPS, 0), at(k, n / FIT_STEPS, 1)]),
  );
  return [...curve, points[points.length - 1]];
}

/** The second slopes of a free cubic through values over spans: a band of three, solved from the first to the last and back. */
function bendsOf(values: readonly number[], spans: readonly number[]): number[] {
  const last = values.length - 1;
  const bends = values.map(() => 0);
  const kept = values.map(() => 0);
  for (let k = 1; k < last; k++) {
    const share = spans[k - 1] / (spans[k - 1] + spans[k]);
    const pivot = share * bends[k - 1] + 2;
    const slope = (values[k + 1] - values[k]) / spans[k] - (values[k] - values[k - 1]) / spans[k - 1];
    bends[k] = (share - 1) / pivot;
    kept[k] = ((6 * slope) / (spans[k - 1] + spans[k]) - share * kept[k - 1]) / pivot;
  }
  for (let k = last - 1; k >= 1; k--) bends[k] = bends[k] * bends[k + 1] + kept[k];
  bends[0] = bends[last] = 0;
  return bends;
}
