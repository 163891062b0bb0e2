import { ROUNDED_OFTEN, ROUNDING } from '../../tolerances.ts';
import { oncePer } from '../../oncePer.ts';
import { add, distance, motion, scale, subtract, type Point } from '../../geometry/point.ts';
import { invert } from '../../geometry/solveLinear.ts';
import { distanceReadings, TURN_SIGMA_DEG, walkWalls, type DistanceReading, type MeasuredWalls } from './observations.ts';

/** One distance that was read, against what all of them together make it. */
export interface ReconciledReading extends DistanceReading {
  readonly reconciledMm: number;
  /** Read less reconciled, mm. */
  readonly residualMm: number;
  /** The share of a slip in this reading that shows as its residual: 0 nothing checks it, 1 all of it. */
  readonly checkedShare: number;
  /** By how much it disagrees with the others: the slip that would explain its residual, mm; 0 where nothing checks it. */
  readonly slipMm: number;
  /** The residual in units of what it should be (Baarda's w); over 3.3 once in a thousand by chance. */
  readonly score: number;
}

/** Corners that agree best with everything that was read. */
export interface Reconciled {
  readonly corners: readonly Point[];
  readonly readings: readonly ReconciledReading[];
}

/** More walls than this are not solved together: what they fail to close by is spread along the walk. */
const MOST_WALLS = 60;

/** Walls that close within this need no reconciling, mm. */
export const CLOSES_MM = 1;

/** Reconciles walls and checks by least squares. */
export const reconcileWalls = oncePer((shape: MeasuredWalls): Reconciled => solve(shape));

/** The corners of walls: reconciled where there are checks or an opening to spread, else as walked. */
export function cornersOf(shape: MeasuredWalls): readonly Point[] {
  return shape.checks.length > 0 || shape.spread ? reconcileWalls(shape).corners : walkWalls(shape).corners;
}

/** Takes the opening of a walk out of each corner by its share of the way (Bowditch's rule). */
function closedWalk(shape: MeasuredWalls): Point[] {
  const { corners, end } = walkWalls(shape);
  const open = subtract(end, corners[0]);
  const round = shape.walls.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  let walked = 0;
  return corners.map((corner, k) => {
    const share = walked / round;
    walked += shape.walls[k].lengthMm;
    return add(corner, scale(open, -share));
  });
}

/** One equation: how it depends on each coordinate, and what is missing, in units of its sigma. */
interface Equation {
  readonly terms: readonly (readonly [unknown: number, factor: number])[];
  readonly missing: number;
}

function solve(shape: MeasuredWalls): Reconciled {
  const distances = distanceReadings(shape);
  const start = closedWalk(shape);
  if (start.length > MOST_WALLS) return { corners: start, readings: distances.map((reading) => unchecked(reading, start)) };
  const flat = turnedToFirstWall(start);
  const { corners, inverse } = iterate(shape, distances, flat);
  const heading = motion(shape.headingDeg, [0, 0]);
  return {
    corners: corners.map((corner) => heading.turn(corner)),
    readings: distances.map((reading) => judge(reading, corners, inverse)),
  };
}

const unchecked = (reading: DistanceReading, corners: readonly Point[]): ReconciledReading => {
  const reconciledMm = distance(corners[reading.from], corners[reading.to]);
  return { ...reading, reconciledMm, residualMm: reading.mm - reconciledMm, checkedShare: 0, slipMm: 0, score: 0 };
};

/** The first corner at the origin and the second on the x axis; these three coordinates stay. */
function turnedToFirstWall(corners: readonly Point[]): Point[] {
  const [x, y] = subtract(corners[1], corners[0]);
  const back = motion((-Math.atan2(y, x) * 180) / Math.PI, [0, 0]);
  return corners.map((corner) => back.turn(subtract(corner, corners[0])));
}

/** Position of a coordinate among the unknowns: x of corner 1, then x and y of the others; -1 where it is fixed. */
const unknownOf = (corner: number, axis: 0 | 1): number =>
  corner === 0 || (corner === 1 && axis === 1) ? -1 : corner === 1 ? 0 : 2 * corner - 3 + axis;

/** Gauss and Newton with a damping that grows while steps make it worse. */
function iterate(
  shape: MeasuredWalls,
  distances: readonly DistanceReading[],
  start: readonly Point[],
): { corners: Point[]; inverse: number[][] } {
  const size = 2 * start.length - 3;
  let corners = [...start];
  let damping = ROUNDED_OFTEN;
  let equations = equationsAt(shape, distances, corners);
  for (let round = 0; round < 60; round++) {
    const step = stepOf(equations, size, damping);
    const moved = corners.map((p, k): Point => [p[0] + (step[unknownOf(k, 0)] ?? 0), p[1] + (step[unknownOf(k, 1)] ?? 0)]);
    const next = equationsAt(shape, distances, moved);
    if (costOf(next) > costOf(equations)) {
      damping *= 10;
      if (damping > 1e6) break;
      continue;
    }
    damping = Math.max(ROUNDING, damping / 10);
    [corners, equations] = [moved, next];
    if (Math.max(...step.map(Math.abs)) < ROUNDED_OFTEN / 10) break;
  }
  const inverse = invert(normalOf(equations, size, 0)) ?? invert(normalOf(equations, size, ROUNDING));
  if (!inverse) throw new Error(`walls that nothing holds in place: ${JSON.stringify(shape)}`);
  return { corners, inverse };
}

const costOf = (equations: readonly Equation[]): number => equations.reduce((sum, { missing }) => sum + missing * missing, 0);

function normalOf(equations: readonly Equation[], size: number, damping: number): number[][] {
  const normal = Array.from({ length: size }, () => new Array<number>(size).fill(0));
  for (const { terms } of equations) for (const [a, fa] of terms) for (const [b, fb] of terms) normal[a][b] += fa * fb;
  normal.forEach((row, k) => (row[k] *= 1 + damping));
  return normal;
}

function stepOf(equations: readonly Equation[], size: number, damping: number): number[] {
  const inverse = invert(normalOf(equations, size, damping));
  if (!inverse) throw new Error('walls that nothing holds in place');
  const right = new Array<number>(size).fill(0);
  for (const { terms, missing } of equations) for (const [a, factor] of terms) right[a] += factor * missing;
  return inverse.map((row) => row.reduce((sum, value, k) => sum + value * right[k], 0));
}

function equationsAt({ walls }: MeasuredWalls, distances: readonly DistanceReading[], corners: readonly Point[]): Equation[] {
  const count = corners.length;
  const turns = walls.map(({ turnDeg, turnMeasured }, k) =>
    turnEquation(corners, [k, (k + 1) % count, (k + 2) % count], turnDeg, turnMeasured ? TURN_SIGMA_DEG.measured : TURN_SIGMA_DEG.sketched),
  );
  return [...distances.map((reading) => distanceEquation(corners, reading)), ...turns];
}

function distanceEquation(corners: readonly Point[], { from, to, mm, sigma }: DistanceReading): Equation {
  const along = subtract(corners[to], corners[from]);
  const size = Math.max(ROUNDING, Math.hypot(...along));
  const u: Point = [along[0] / size / sigma, along[1] / size / sigma];
  return { terms: termsOf([to, u], [from, [-u[0], -u[1]]]), missing: (mm - size) / sigma };
}

/** The turn at the middle of three corners. */
function turnEquation(
  corners: readonly Point[],
  [a, b, c]: readonly [number, number, number],
  turnDeg: number,
  sigmaDeg: number,
): Equation {
  const [u, v] = [subtract(corners[b], corners[a]), subtract(corners[c], corners[b])];
  const sigma = (sigmaDeg * Math.PI) / 180;
  const now = Math.atan2(u[0] * v[1] - u[1] * v[0], u[0] * v[0] + u[1] * v[1]);
  const missing = (turnDeg * Math.PI) / 180 - now;
  const swing = (w: Point): Point => {
    const square = Math.max(ROUNDING, w[0] * w[0] + w[1] * w[1]) * sigma;
    return [-w[1] / square, w[0] / square];
  };
  const [du, dv] = [swing(u), swing(v)];
  const middle: Point = [-dv[0] - du[0], -dv[1] - du[1]];
  return { terms: termsOf([c, dv], [b, middle], [a, du]), missing: Math.atan2(Math.sin(missing), Math.cos(missing)) / sigma };
}

function termsOf(...parts: readonly (readonly [corner: number, factor: Point])[]): [number, number][] {
  return parts.flatMap(([corner, factor]) =>
    ([0, 1] as const).flatMap((axis): [number, number][] => {
      const unknown = unknownOf(corner, axis);
      return unknown === -1 ? [] : [[unknown, factor[axis]]];
    }),
  );
}

/** Below this share nothing really checks a reading. */
const LEAST_CHECKED = 0.02;

function judge(reading: DistanceReading, corners: readonly Point[], inverse: readonly (readonly number[])[]): ReconciledReading {
  const { terms, missing } = distanceEquation(corners, reading);
  let explained = 0;
  for (const [a, fa] of terms) for (const [b, fb] of terms) explained += fa * fb * inverse[a][b];
  const checkedShare = Math.max(0, 1 - explained);
  const reconciledMm = distance(corners[reading.from], corners[reading.to]);
  const residualMm = reading.mm - reconciledMm;
  if (checkedShare < LEAST_CHECKED) return { ...reading, reconciledMm, residualMm, checkedShare, slipMm: 0, score: 0 };
  return {
    ...reading,
    reconciledMm,
    residualMm,
    checkedShare,
    slipMm: residualMm / checkedShare,
    score: missing / Math.sqrt(checkedShare),
  };
}
