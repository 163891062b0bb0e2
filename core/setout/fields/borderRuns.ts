import { add, cross, distance, dot, quarterTurn, scale, subtract, unit, type Point } from '../../geometry/point.ts';
import type { Line } from '../../geometry/meetLines.ts';
import type { Ring } from '../../geometry/ring.ts';

/** Corners that turn by less, between stretches shorter than a tile, are corners of a curve, degrees. */
const CURVE_TURN_DEG = 20;

/** A curve that turns by more and has no room for the border within it is squared off, degrees. */
const TIGHT_TURN_DEG = 30;

/** A stretch of an outline from corner to corner: straight, or a curve of many short stretches. */
export interface BorderRun {
  /** Where it starts, where it ends, and the corners of a curve between. */
  readonly points: readonly Point[];
}

/**
 * Parts an outline into the runs of a border: straight sides and curves. A curve too tight for a border of
 * `depthMm` is squared off: its neighbours run on until they meet, and the curve trims their tiles.
 */
export function borderRuns(outline: Ring, depthMm: number, tileMm: number): readonly BorderRun[] {
  const count = outline.length;
  const smooth = outline.map((at, k) => {
    const [before, after] = [outline[(k + count - 1) % count], outline[(k + 1) % count]];
    const short = Math.min(distance(before, at), distance(at, after)) < tileMm;
    return short && Math.abs(turnAt(before, at, after)) < CURVE_TURN_DEG;
  });
  const start = Math.max(0, smooth.indexOf(false));
  const runs: Point[][] = [];
  for (let k = 0; k < count; k++) {
    const at = (start + k) % count;
    if (k === 0 || !smooth[at]) runs.push([outline[at]]);
    runs[runs.length - 1].push(outline[(at + 1) % count]);
  }
  return squareOff(
    runs.map((points) => ({ points })),
    depthMm,
  );
}

/** Degrees a run turns by in all, left above zero. */
function turnOf({ points }: BorderRun): number {
  return points.slice(2).reduce((sum, point, k) => sum + turnAt(points[k], points[k + 1], point), 0);
}

const lengthOf = ({ points }: BorderRun): number => points.slice(1).reduce((sum, point, k) => sum + distance(points[k], point), 0);

function squareOff(runs: readonly BorderRun[], depthMm: number): readonly BorderRun[] {
  const isTight = (run: BorderRun): boolean => {
    const turnDeg = turnOf(run);
    const radiusMm = lengthOf(run) / ((Math.abs(turnDeg) * Math.PI) / 180);
    return Math.abs(turnDeg) > TIGHT_TURN_DEG && radiusMm < 2 * depthMm;
  };
  const kept: { points: Point[] }[] = runs.map(({ points }) => ({ points: [...points] }));
  const gone = new Set<number>();
  runs.forEach((run, k) => {
    if (runs.length < 3 || !isTight(run)) return;
    const [before, after] = [kept[(k + runs.length - 1) % runs.length], kept[(k + 1) % runs.length]];
    const meeting = meetAhead(before.points, after.points);
    if (!meeting) return;
    before.points[before.points.length - 1] = meeting;
    after.points[0] = meeting;
    gone.add(k);
  });
  return kept.filter((_, k) => !gone.has(k));
}

/** Where the end of one run, drawn on, meets the start of another, drawn back; null where they part. */
function meetAhead(before: readonly Point[], after: readonly Point[]): Point | null {
  const [p, from] = [before[before.length - 2], before[before.length - 1]];
  const [to, q] = [after[0], after[1]];
  const [u, v] = [unit(subtract(from, p)), unit(subtract(to, q))];
  const sine = cross(u, v);
  if (Math.abs(sine) < 0.1) return null;
  const ahead = cross(subtract(to, from), v) / sine;
  const back = cross(subtract(to, from), u) / sine;
  return ahead >= 0 && back >= 0 ? add(from, scale(u, ahead)) : null;
}

/** How far the way turns at a corner, degrees, left above zero. */
export function turnAt(before: Point, at: Point, after: Point): number {
  const [u, v] = [subtract(at, before), subtract(after, at)];
  return (Math.atan2(cross(u, v), dot(u, v)) * 180) / Math.PI;
}

/** The line a distance further in than the straight stretch between two points. */
export function lineAt(from: Point, to: Point, mm: number): Line {
  const way = unit(subtract(to, from));
  return { from: add(from, scale(quarterTurn(way), mm)), way };
}
