import { rectangleRing } from '../geometry/ring.ts';
import type { Point } from '../geometry/point.ts';
import type { Repeat } from './repeat.ts';

/** One course of a cell: where its tile starts along the course and across it, mm. */
export interface CoursedPiece {
  readonly along: number;
  readonly across: number;
}

/**
 * Builds the repeat of plain courses. Lying courses run across the
 * drawing; upright ones are the same turned a quarter, so that courses run up it.
 */
export function coursedRepeat(
  size: { readonly alongMm: number; readonly acrossMm: number; readonly tileTurned: boolean },
  pieces: readonly CoursedPiece[],
  vectors: readonly [Point, Point],
  upright: boolean,
): Repeat {
  const place = (p: Point): Point => (upright ? [p[1], p[0]] : p);
  const turned = size.tileTurned;
  return {
    vectors: [place(vectors[0]), place(vectors[1])],
    coursesPerCell: pieces.length,
    upright,
    pieces: pieces.map(({ along, across }, course) => {
      const [x, y] = place([along, across]);
      const [width, height] = place([size.alongMm, size.acrossMm]);
      return {
        ring: rectangleRing(x, y, width, height),
        corner: turned ? [x + width, y] : [x, y],
        turnDeg: turned ? 90 : 0,
        course,
        part: null,
      };
    }),
  };
}
