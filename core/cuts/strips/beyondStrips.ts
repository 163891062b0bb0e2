import type { Point } from '../../geometry/point.ts';
import { isInside } from '../../geometry/ring.ts';
import type { CutPiece } from '../cutPiece.ts';

/** So far outside an edge a strip is met that stands along it, mm. */
const OUTSIDE_MM = 1;

/** A place on the edge of a surface, moved outward beyond the strip that is drawn there; where it is when none is. */
export function beyondStrips(pieces: readonly CutPiece[], at: Point, outward: Point): Point {
  const moved = (mm: number): Point => [at[0] + outward[0] * mm, at[1] + outward[1] * mm];
  const met = pieces.find(({ strip, polygon }) => strip && isInside(moved(OUTSIDE_MM), [polygon]));
  return met?.strip ? moved(met.strip.widthMm) : at;
}
