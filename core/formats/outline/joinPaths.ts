import { ROUNDED_OFTEN, ROUNDING } from '../../tolerances.ts';
import { distance, type Point } from '../../geometry/point.ts';
import type { DrawnCorner, DrawnPath } from './drawnPath.ts';

/** What joining the ends of paths came to. */
export interface JoinedPaths {
  readonly outlines: readonly DrawnPath[];
  /** Paths whose ends meet nothing. */
  readonly open: readonly DrawnPath[];
  /** The widest gap that was closed, in the units of the drawing. */
  readonly widestGap: number;
}

/** Joins open paths end to end where the ends lie within a tolerance, in the units of the drawing, until they close. */
export function joinPaths(paths: readonly DrawnPath[], tolerance: number): JoinedPaths {
  const outlines = paths.filter(({ closed }) => closed).map(withoutRepeatedEnd);
  const loose = paths.filter(({ closed, corners }) => !closed && corners.length > 1);
  const ends = new LooseEnds(loose, tolerance);
  const open: DrawnPath[] = [];
  let widestGap = 0;
  for (const first of loose) {
    if (!ends.take(first)) continue;
    const corners = [...first.corners];
    for (;;) {
      const gap = distance(corners[0].at, corners[corners.length - 1].at);
      if (corners.length > 2 && gap <= tolerance) {
        widestGap = Math.max(widestGap, gap);
        outlines.push({ ...first, closed: true, corners: corners.slice(0, -1) });
        break;
      }
      const next = ends.nearest(corners[corners.length - 1].at);
      if (!next) {
        open.push({ ...first, corners });
        break;
      }
      ends.take(next.path);
      widestGap = Math.max(widestGap, next.gap);
      // The next path takes over at the chain's last corner, which keeps its place.
      const [joint, ...rest] = (next.reversed ? reversed(next.path) : next.path).corners;
      corners[corners.length - 1] = { at: corners[corners.length - 1].at, bulge: joint.bulge };
      for (const corner of rest) corners.push(corner);
    }
  }
  return { outlines, open, widestGap };
}

/** The end of a path that lies nearest to a place. */
interface Near {
  readonly path: DrawnPath;
  readonly reversed: boolean;
  readonly gap: number;
}

/** The ends of paths that are not joined yet, found by where they lie. */
class LooseEnds {
  private readonly cells = new Map<string, { readonly path: DrawnPath; readonly reversed: boolean; readonly at: Point }[]>();
  private readonly left: Set<DrawnPath>;
  private readonly cell: number;
  private readonly tolerance: number;

  constructor(paths: readonly DrawnPath[], tolerance: number) {
    this.left = new Set(paths);
    this.tolerance = tolerance;
    this.cell = Math.max(tolerance, ROUNDED_OFTEN);
    for (const path of paths)
      for (const isEnd of [false, true]) {
        const at = isEnd ? end(path) : start(path);
        const key = this.keyOf(at, 0, 0);
        const cell = this.cells.get(key) ?? [];
        cell.push({ path, reversed: isEnd, at });
        this.cells.set(key, cell);
      }
  }

  /** Takes a path away; false where it is gone already. */
  take(path: DrawnPath): boolean {
    return this.left.delete(path);
  }

  nearest(from: Point): Near | null {
    let best: Near | null = null;
    for (const i of [-1, 0, 1])
      for (const j of [-1, 0, 1])
        for (const { path, reversed: turned, at } of this.cells.get(this.keyOf(from, i, j)) ?? []) {
          const gap = distance(at, from);
          if (this.left.has(path) && gap <= this.tolerance && (!best || gap < best.gap)) best = { path, reversed: turned, gap };
        }
    return best;
  }

  private keyOf([x, y]: Point, i: number, j: number): string {
    return `${Math.floor(x / this.cell) + i},${Math.floor(y / this.cell) + j}`;
  }
}

const start = ({ corners }: DrawnPath) => corners[0].at;
const end = ({ corners }: DrawnPath) => corners[corners.length - 1].at;

/** The same path the other way: each bend belongs to the corner it now starts from, and turns over. */
export function reversed(path: DrawnPath): DrawnPath {
  const { corners, closed } = path;
  const count = corners.length;
  const back = corners.map((_, k): DrawnCorner => {
    const before = closed ? corners[(2 * count - 2 - k) % count] : corners[count - 2 - k];
    return { at: corners[count - 1 - k].at, bulge: before ? -before.bulge : 0 };
  });
  return { ...path, corners: back };
}

function withoutRepeatedEnd(path: DrawnPath): DrawnPath {
  const { corners } = path;
  return corners.length > 2 && distance(corners[0].at, corners[corners.length - 1].at) < ROUNDING
    ? { ...path, corners: corners.slice(0, -1) }
    : path;
}
