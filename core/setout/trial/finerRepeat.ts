import { cross, type Point } from '../../geometry/point.ts';
import { boxOf, type Ring } from '../../geometry/ring.ts';
import { cellArea, type Repeat } from '../../pattern/repeat.ts';
import { latticeOf } from '../place/markCells.ts';

/** Outlines that differ by less lie alike, mm: sheets are drawn to a hundredth. */
const ALIKE_MM = 0.03;

/** A repeat of so few pieces is as fine as it need be. */
const FEW_PIECES = 8;

/**
 * The smallest repeat that lays the same outlines: the chips of a sheet mostly lie in a lattice of their own. Courses,
 * sheets and colours are none of it; the repeat itself where there is none.
 */
export function finerRepeat(repeat: Repeat): Repeat {
  if (repeat.pieces.length <= FEW_PIECES || !repeat.sheet) return repeat;
  const steps = stepsOntoItself(repeat);
  const [a] = steps;
  const b = a && steps.find((step) => Math.abs(cross(a, step)) > 1);
  if (!a || !b || Math.abs(cross(a, b)) > cellArea(repeat) * 0.6) return repeat;
  const vectors: readonly [Point, Point] = cross(a, b) > 0 ? [a, b] : [b, a];
  const fine = { ...repeat, vectors };
  const toFine = latticeOf(fine);
  const pieces = repeat.pieces.filter(
    (piece, k) => !repeat.pieces.slice(0, k).some((other) => isTranslate(piece.ring, other.ring, toFine)),
  );
  return { vectors, pieces, coursesPerCell: 1, upright: false, ...(repeat.turnedDeg ? { turnedDeg: repeat.turnedDeg } : {}) };
}

/** Moves that bring all outlines of a repeat onto outlines of it, the shortest first. */
function stepsOntoItself(repeat: Repeat): Point[] {
  const toLattice = latticeOf(repeat);
  const first = repeat.pieces[0].ring;
  const corners = repeat.pieces.map(({ ring }) => boxOf(ring));
  const moves = repeat.pieces
    .flatMap(({ ring }, k): Point[] => {
      if (ring.length !== first.length) return [];
      const by: Point = [corners[k].minX - corners[0].minX, corners[k].minY - corners[0].minY];
      // The same step taken to the neighbouring cells.
      return [-1, 0, 1].flatMap((i) =>
        [-1, 0, 1].map((j): Point => [
          by[0] + i * repeat.vectors[0][0] + j * repeat.vectors[1][0],
          by[1] + i * repeat.vectors[0][1] + j * repeat.vectors[1][1],
        ]),
      );
    })
    .filter(([x, y]) => Math.hypot(x, y) > 1)
    .sort((p, q) => Math.hypot(...p) - Math.hypot(...q));
  const found: Point[] = [];
  for (const move of moves.slice(0, 60)) {
    if (found.length > 0 && found.every((step) => Math.abs(cross(step, move)) < 1)) {
      if (found.some((step) => Math.hypot(...step) <= Math.hypot(...move))) continue;
    }
    const all = repeat.pieces.every(({ ring }) => {
      const moved = ring.map(([x, y]): Point => [x + move[0], y + move[1]]);
      return repeat.pieces.some((other) => isTranslate(moved, other.ring, toLattice));
    });
    if (all) found.push(move);
    if (found.length >= 2 && found.some((step) => Math.abs(cross(found[0], step)) > 1)) break;
  }
  return found;
}

/** Whether one outline lies on another after whole steps of a lattice. */
function isTranslate(a: Ring, b: Ring, toLattice: (p: Point) => Point): boolean {
  if (a.length !== b.length) return false;
  const [boxA, boxB] = [boxOf(a), boxOf(b)];
  const by: Point = [boxA.minX - boxB.minX, boxA.minY - boxB.minY];
  const [u, v] = toLattice(by);
  const [back, up] = [toLattice([ALIKE_MM, 0]), toLattice([0, ALIKE_MM])];
  const slack = Math.abs(back[0]) + Math.abs(back[1]) + Math.abs(up[0]) + Math.abs(up[1]);
  if (Math.abs(u - Math.round(u)) > slack || Math.abs(v - Math.round(v)) > slack) return false;
  return a.every(([x, y]) => b.some(([p, q]) => Math.abs(x - by[0] - p) < ALIKE_MM && Math.abs(y - by[1] - q) < ALIKE_MM));
}
