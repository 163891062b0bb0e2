import { distance } from '../../geometry/point.ts';
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
  const left = paths.filter(({ closed, corners }) => !closed && corners.length > 1);
  const open: DrawnPath[] = [];
  let widestGap = 0;
  while (left.length > 0) {
    let chain = left.shift() as DrawnPath;
    for (;;) {
      const gap = distance(start(chain), end(chain));
      if (chain.corners.length > 2 && gap <= tolerance) {
        widestGap = Math.max(widestGap, gap);
        outlines.push({ ...chain, closed: true, corners: chain.corners.slice(0, -1) });
        break;
      }
      const next = nearest(left, chain, tolerance);
      if (!next) {
        open.push(chain);
        break;
      }
      left.splice(left.indexOf(next.path), 1);
      widestGap = Math.max(widestGap, next.gap);
      chain = { ...chain, corners: [...chain.corners.slice(0, -1), ...carryOn(chain, next.reversed ? reversed(next.path) : next.path)] };
    }
  }
  return { outlines, open, widestGap };
}

const start = ({ corners }: DrawnPath) => corners[0].at;
const end = ({ corners }: DrawnPath) => corners[corners.length - 1].at;

/** The next path takes over at the chain's last corner, which keeps its place. */
const carryOn = (chain: DrawnPath, next: DrawnPath): DrawnCorner[] => [
  { at: end(chain), bulge: next.corners[0].bulge },
  ...next.corners.slice(1),
];

function nearest(
  left: readonly DrawnPath[],
  chain: DrawnPath,
  tolerance: number,
): { path: DrawnPath; reversed: boolean; gap: number } | null {
  const ends = left.flatMap((path) => [
    { path, reversed: false, gap: distance(start(path), end(chain)) },
    { path, reversed: true, gap: distance(end(path), end(chain)) },
  ]);
  const [first] = ends.filter(({ gap }) => gap <= tolerance).sort((a, b) => a.gap - b.gap);
  return first ?? null;
}

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
  return corners.length > 2 && distance(corners[0].at, corners[corners.length - 1].at) < 1e-9
    ? { ...path, corners: corners.slice(0, -1) }
    : path;
}
