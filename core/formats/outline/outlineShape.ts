import { ROUNDING, SAW_MM, TOLERANCE_MM } from '../../tolerances.ts';
import type { Circle } from '../../geometry/circleRing.ts';
import { cross, distance, subtract, type Point } from '../../geometry/point.ts';
import { ringArea } from '../../geometry/ring.ts';
import { solveLinear } from '../../geometry/solveLinear.ts';
import type { Curve } from '../../surface/curve.ts';
import { wallsThrough } from '../../surface/shapes/asWalls.ts';
import type { WallsShape } from '../../surface/shapes/walls.ts';
import { pathPoints, type DrawnCorner, type DrawnPath } from './drawnPath.ts';
import { reversed } from './joinPaths.ts';

/** Points nearer than this to a straight line or a circle lie on it, mm. */
const ON_MM = SAW_MM;

/** Programs that draw arcs out by cubic curves stray from the circle by this share of its radius. */
const DRAWN_OUT_SHARE = 1 / 2500;

/** A larger circle is a straight line that was measured badly, mm. */
const LARGEST_RADIUS_MM = 100_000;

/** So many points on one circle are an arc that was drawn out. */
const LEAST_ARC_POINTS = 6;

/**
 * An outline as walls, counter-clockwise from its lowest left corner. Points on a line become one
 * wall; runs of points on a circle, which other programs draw out, become arcs again.
 */
export const outlineShape = (outline: DrawnPath, mmPerUnit: number): WallsShape => placedOutline(outline, mmPerUnit).shape;

/** An outline as walls, and where in the drawing its first corner lies, mm. */
export function placedOutline(outline: DrawnPath, mmPerUnit: number): { readonly shape: WallsShape; readonly first: Point } {
  const scaled: DrawnPath = {
    ...outline,
    corners: outline.corners.map(({ at: [x, y], bulge }) => ({ at: [x * mmPerUnit, y * mmPerUnit], bulge })),
  };
  const turned = ringArea(pathPoints(scaled)) < 0 ? reversed(scaled) : scaled;
  const corners = fromLowestLeft(joinArcs(withoutIdle(turned.corners)));
  const first = corners[0].at;
  const [dx, dy] = first;
  const shape = wallsThrough(
    corners.map(({ at: [x, y] }): Point => [x - dx, y - dy]),
    corners.map(({ at, bulge }, k) => ({
      id: `w${k + 1}`,
      name: '',
      curve: curveOf(bulge, distance(at, corners[(k + 1) % corners.length].at)),
    })),
  );
  return { shape, first };
}

function curveOf(bulge: number, chordMm: number): Curve | null {
  const riseMm = Math.round(((Math.abs(bulge) * chordMm) / 2) * 1e6) / 1e6;
  return riseMm < TOLERANCE_MM ? null : { by: 'rise', riseMm, bulges: bulge > 0 ? 'out' : 'in' };
}

/** Leaves out corners that repeat, and straight ones between straight stretches. */
function withoutIdle(corners: readonly DrawnCorner[]): DrawnCorner[] {
  const apart = corners.filter(({ at, bulge }, k) => bulge !== 0 || distance(at, corners[(k + 1) % corners.length].at) > ON_MM / 10);
  return apart.filter(({ at, bulge }, k) => {
    const before = apart[(k + apart.length - 1) % apart.length];
    const after = apart[(k + 1) % apart.length];
    if (bulge !== 0 || before.bulge !== 0) return true;
    const along = subtract(after.at, before.at);
    return Math.abs(cross(along, subtract(at, before.at))) / Math.max(ROUNDING, Math.hypot(...along)) > ON_MM / 20;
  });
}

/** Replaces runs of short straight stretches that lie on one circle by one arc. */
function joinArcs(corners: readonly DrawnCorner[]): DrawnCorner[] {
  const turned = startAtCorner(corners);
  const joined: DrawnCorner[] = [];
  for (let k = 0; k < turned.length;) {
    const run = arcRun(turned, k);
    joined.push(run === 0 ? turned[k] : { at: turned[k].at, bulge: bulgeThrough(pointsFrom(turned, k, run)) });
    k += Math.max(1, run);
  }
  return joined.length < 2 ? halves(turned) : joined;
}

/** A full circle that was drawn out is two half circles. */
function halves(corners: readonly DrawnCorner[]): DrawnCorner[] {
  const half = Math.floor(corners.length / 2);
  return [0, half].map((k) => ({ at: corners[k].at, bulge: 1 }));
}

const pointsFrom = (corners: readonly DrawnCorner[], from: number, run: number): Point[] =>
  Array.from({ length: run + 1 }, (_, m) => corners[(from + m) % corners.length].at);

/** How many stretches from here lie on one circle; 0 where that is no arc. */
function arcRun(corners: readonly DrawnCorner[], from: number): number {
  let run = 0;
  for (let size = LEAST_ARC_POINTS - 1; from + size <= corners.length; size++) {
    if (corners.slice(from, from + size).some(({ bulge }) => bulge !== 0)) break;
    if (!onOneArc(pointsFrom(corners, from, size))) break;
    run = size;
  }
  return run;
}

function onOneArc(points: readonly Point[]): boolean {
  const circle = circleThrough(points);
  if (!circle) return false;
  const near = Math.max(ON_MM, DRAWN_OUT_SHARE * circle.radiusMm);
  if (points.some((p) => Math.abs(distance(p, circle.centre) - circle.radiusMm) > near)) return false;
  const steps = points.slice(1).map((p, k) => distance(p, points[k]));
  const longest = Math.max(...steps);
  return longest < circle.radiusMm && steps.every((step) => step > longest / 8);
}

/** The circle that passes nearest to some points (least squares, after Kasa); null for points on a line. */
function circleThrough(points: readonly Point[]): Circle | null {
  const [cx, cy] = [0, 1].map((axis) => points.reduce((sum, p) => sum + p[axis], 0) / points.length);
  const rows = points.map(([x, y]) => [2 * (x - cx), 2 * (y - cy), 1]);
  const right = points.map(([x, y]) => (x - cx) ** 2 + (y - cy) ** 2);
  const normal = [0, 1, 2].map((a) => [0, 1, 2].map((b) => rows.reduce((sum, row) => sum + row[a] * row[b], 0)));
  const solved = solveLinear(
    normal,
    [0, 1, 2].map((a) => rows.reduce((sum, row, k) => sum + row[a] * right[k], 0)),
  );
  if (!solved) return null;
  const [x, y, rest] = solved;
  const radiusMm = Math.sqrt(Math.max(0, rest + x * x + y * y));
  return radiusMm > 0 && radiusMm < LARGEST_RADIUS_MM ? { centre: [x + cx, y + cy], radiusMm } : null;
}

function bulgeThrough(points: readonly Point[]): number {
  const circle = circleThrough(points);
  if (!circle) return 0;
  const angle = (p: Point): number => Math.atan2(p[1] - circle.centre[1], p[0] - circle.centre[0]);
  const sweep = points.slice(1).reduce((sum, p, k) => {
    const step = angle(p) - angle(points[k]);
    return sum + Math.atan2(Math.sin(step), Math.cos(step));
  }, 0);
  return Math.tan(Math.max(-2 * Math.PI + 0.01, Math.min(2 * Math.PI - 0.01, sweep)) / 4);
}

/** Starts at the sharpest corner, so that no arc runs over the end of the list. */
function startAtCorner(corners: readonly DrawnCorner[]): DrawnCorner[] {
  const turns = corners.map(({ at }, k) => {
    const u = subtract(at, corners[(k + corners.length - 1) % corners.length].at);
    const v = subtract(corners[(k + 1) % corners.length].at, at);
    return Math.abs(Math.atan2(cross(u, v), u[0] * v[0] + u[1] * v[1]));
  });
  const sharpest = turns.indexOf(Math.max(...turns));
  return [...corners.slice(sharpest), ...corners.slice(0, sharpest)];
}

function fromLowestLeft(corners: readonly DrawnCorner[]): DrawnCorner[] {
  const lowest = Math.min(...corners.map(({ at }) => at[1]));
  const level = corners.map(({ at }, k) => ({ k, at })).filter(({ at }) => at[1] < lowest + 1);
  const { k } = level.reduce((best, one) => (one.at[0] < best.at[0] ? one : best));
  return [...corners.slice(k), ...corners.slice(0, k)];
}
