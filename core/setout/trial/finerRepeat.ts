import { ON_ARC_MM } from '../../tolerances.ts';
import { cross, type Point } from '../../geometry/point.ts';
import { boxOf, type Ring } from '../../geometry/ring.ts';
import { cellArea, type Repeat } from '../../pattern/repeat.ts';
import { latticeOf } from '../place/markCells.ts';

/** Outlines that differ by less lie alike, mm: sheets are drawn to a hundredth. */
const ALIKE_MM = ON_ARC_MM;

/** A repeat of so few pieces is as fine as it need be. */
const FEW_PIECES = 8;

/** So many moves are tried, the shortest first. */
const MOST_MOVES = 60;

/** An outline with the corner of its box, and from there on. */
interface Outline {
  readonly corner: Point;
  readonly shape: Ring;
}

/**
 * The smallest repeat that lays the same outlines: the chips of a sheet mostly lie in a lattice of their own. Courses,
 * sheets and colours are none of it; the repeat itself where there is none.
 */
export function finerRepeat(repeat: Repeat): Repeat {
  if (repeat.pieces.length <= FEW_PIECES || !repeat.sheet) return repeat;
  const outlines = repeat.pieces.map(({ ring }) => outlineOf(ring));
  const steps = stepsOntoItself(repeat, outlines);
  const [a] = steps;
  const b = a && steps.find((step) => Math.abs(cross(a, step)) > 1);
  if (!a || !b || Math.abs(cross(a, b)) > cellArea(repeat) * 0.6) return repeat;
  const vectors: readonly [Point, Point] = cross(a, b) > 0 ? [a, b] : [b, a];
  const isAlike = liesOn({ vectors });
  const pieces = repeat.pieces.filter((_, k) => !outlines.slice(0, k).some((other) => isAlike(outlines[k], other)));
  return { vectors, pieces, coursesPerCell: 1, upright: false, ...(repeat.turnedDeg ? { turnedDeg: repeat.turnedDeg } : {}) };
}

function outlineOf(ring: Ring): Outline {
  const { minX, minY } = boxOf(ring);
  return { corner: [minX, minY], shape: ring.map(([x, y]): Point => [x - minX, y - minY]) };
}

/** Moves that bring all outlines of a repeat onto outlines of it, the shortest first. */
function stepsOntoItself({ vectors }: Repeat, outlines: readonly Outline[]): Point[] {
  const isAlike = liesOn({ vectors });
  const [first] = outlines;
  const moves = outlines
    .flatMap(({ shape, corner }): Point[] => {
      if (shape.length !== first.shape.length) return [];
      const by: Point = [corner[0] - first.corner[0], corner[1] - first.corner[1]];
      // The same step taken to the neighbouring cells.
      return [-1, 0, 1].flatMap((i) =>
        [-1, 0, 1].map((j): Point => [by[0] + i * vectors[0][0] + j * vectors[1][0], by[1] + i * vectors[0][1] + j * vectors[1][1]]),
      );
    })
    .filter(([x, y]) => Math.hypot(x, y) > 1)
    .sort((p, q) => Math.hypot(...p) - Math.hypot(...q));
  const found: Point[] = [];
  for (const move of moves.slice(0, MOST_MOVES)) {
    if (found.length > 0 && found.every((step) => Math.abs(cross(step, move)) < 1)) {
      if (found.some((step) => Math.hypot(...step) <= Math.hypot(...move))) continue;
    }
    const all = outlines.every(({ corner, shape }) => {
      const moved: Outline = { corner: [corner[0] + move[0], corner[1] + move[1]], shape };
      return outlines.some((other) => isAlike(moved, other));
    });
    if (all) found.push(move);
    if (found.length >= 2 && found.some((step) => Math.abs(cross(found[0], step)) > 1)) break;
  }
  return found;
}

/** Whether one outline lies on another after whole steps of a lattice. */
function liesOn(repeat: Pick<Repeat, 'vectors'>): (a: Outline, b: Outline) => boolean {
  const toLattice = latticeOf(repeat);
  const [back, up] = [toLattice([ALIKE_MM, 0]), toLattice([0, ALIKE_MM])];
  const slack = Math.abs(back[0]) + Math.abs(back[1]) + Math.abs(up[0]) + Math.abs(up[1]);
  return (a, b) => {
    if (a.shape.length !== b.shape.length) return false;
    const [u, v] = toLattice([a.corner[0] - b.corner[0], a.corner[1] - b.corner[1]]);
    if (Math.abs(u - Math.round(u)) > slack || Math.abs(v - Math.round(v)) > slack) return false;
    return a.shape.every(([x, y]) => b.shape.some(([p, q]) => Math.abs(x - p) < ALIKE_MM && Math.abs(y - q) < ALIKE_MM));
  };
}
