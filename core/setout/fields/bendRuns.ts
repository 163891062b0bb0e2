import { ROUNDING } from '../../tolerances.ts';
import { cross, distance, subtract, unit, type Point } from '../../geometry/point.ts';
import type { Ring } from '../../geometry/ring.ts';
import { borderRuns, turnAt, type BorderRun } from './borderRuns.ts';
import type { BorderTile } from './splitBorder.ts';

/** How far a straight piece may stray from the curve it lies along, mm: the joint to the wall takes it. */
const STRAY_MM = 2;

/** A straight line that tiles of a border run along. */
export interface Chord {
  readonly from: Point;
  readonly to: Point;
  /** How far in its pieces start, so that they keep off a curve that bulges in, mm. */
  readonly baseMm: number;
  /** Part of a curve. */
  readonly bends: boolean;
  /** The next goes on along the same curve. */
  readonly joins: boolean;
}

/** The lines a border runs along: straight sides as they are, curves in steps that one tile each can fill. */
export function bendRuns(outline: Ring, fromEdgeMm: number, tile: BorderTile, jointMm: number): readonly Chord[] {
  const depthMm = fromEdgeMm + tile.acrossMm;
  return borderRuns(outline, depthMm, tile.alongMm).flatMap((run) =>
    run.points.length === 2
      ? [{ from: run.points[0], to: run.points[1], baseMm: 0, bends: false, joins: false }]
      : chordsOf(run, depthMm, tile.alongMm, jointMm),
  );
}

function chordsOf({ points }: BorderRun, depthMm: number, tileMm: number, jointMm: number): Chord[] {
  const lengths = points.slice(1).map((point, k) => distance(points[k], point));
  const whole = lengths.reduce((sum, mm) => sum + mm, 0);
  const turn = (points.slice(2).reduce((sum, point, k) => sum + turnAt(points[k], points[k + 1], point), 0) * Math.PI) / 180;
  const radiusMm = whole / Math.max(ROUNDING, Math.abs(turn));
  const longest = Math.max(whole, whole - turn * depthMm);
  const step = Math.min(tileMm, Math.sqrt(8 * radiusMm * STRAY_MM));
  const count = Math.max(1, Math.ceil(longest / (step + jointMm)));
  const marks = Array.from({ length: count + 1 }, (_, k) => (whole * k) / count);
  const ends = marks.map((mm) => pointAlong(points, lengths, mm));
  return ends.slice(1).map((to, k) => {
    const from = ends[k];
    const way = unit(subtract(to, from));
    const between = pointsBetween(points, lengths, marks[k], marks[k + 1]);
    const baseMm = Math.max(0, ...between.map((p) => cross(way, subtract(p, from))));
    return { from, to, baseMm, bends: true, joins: k + 2 < ends.length };
  });
}

function pointAlong(points: readonly Point[], lengths: readonly number[], mm: number): Point {
  let left = mm;
  for (let k = 0; k < lengths.length; k++) {
    if (left <= lengths[k] || k === lengths.length - 1) {
      const share = Math.min(1, left / lengths[k]);
      const [from, to] = [points[k], points[k + 1]];
      return [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])];
    }
    left -= lengths[k];
  }
  return points[points.length - 1];
}

function pointsBetween(points: readonly Point[], lengths: readonly number[], fromMm: number, toMm: number): Point[] {
  let at = 0;
  return points.filter((_, k) => {
    if (k > 0) at += lengths[k - 1];
    return at > fromMm && at < toMm;
  });
}
