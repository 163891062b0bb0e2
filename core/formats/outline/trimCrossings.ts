import { ROUNDED_OFTEN, ROUNDING } from '../../tolerances.ts';
import { cross, subtract, type Point } from '../../geometry/point.ts';
import type { DrawnPath } from './drawnPath.ts';

/**
 * Walls that are drawn past their corners, cut back to where they cross: every loose straight line that meets just two
 * others keeps what lies between them. Gives the paths and how many were cut back.
 */
export function trimCrossings(paths: readonly DrawnPath[]): { readonly paths: readonly DrawnPath[]; readonly trimmed: number } {
  const lines = paths.filter(isLoneLine);
  if (lines.length < 3 || lines.length > MOST_LINES) return { paths, trimmed: 0 };
  let trimmed = 0;
  const kept = paths.map((path) => {
    if (!isLoneLine(path)) return path;
    const [from, to] = endsOf(path);
    const at = lines.flatMap((other) => (other === path ? [] : (crossingAt([from, to], endsOf(other)) ?? [])));
    if (at.length !== 2) return path;
    const corners = [...at].sort((a, b) => a - b).map((t) => ({ at: along(from, to, t), bulge: 0 }));
    trimmed++;
    return { ...path, corners };
  });
  return { paths: kept, trimmed };
}

/** More lines are a drawing of something else, and every one is held against every other. */
const MOST_LINES = 400;

/** A line that stops short of another by more than this share of its length leaves a gap, which is closed elsewhere. */
const SHORT_SHARE = ROUNDED_OFTEN;

const isLoneLine = ({ closed, corners }: DrawnPath): boolean => !closed && corners.length === 2 && corners[0].bulge === 0;

const endsOf = ({ corners: [a, b] }: DrawnPath): readonly [Point, Point] => [a.at, b.at];

const along = ([x, y]: Point, to: Point, t: number): Point => [x + t * (to[0] - x), y + t * (to[1] - y)];

/** Where one line meets another, as a share of its length; null where they do not. */
function crossingAt([a, b]: readonly [Point, Point], [c, d]: readonly [Point, Point]): number | null {
  const [way, other, between] = [subtract(b, a), subtract(d, c), subtract(c, a)];
  const turn = cross(way, other);
  if (Math.abs(turn) < ROUNDING * Math.hypot(...way) * Math.hypot(...other)) return null;
  const [t, s] = [cross(between, other) / turn, cross(between, way) / turn];
  const isOn = (share: number): boolean => share > -SHORT_SHARE && share < 1 + SHORT_SHARE;
  return isOn(t) && isOn(s) ? t : null;
}
