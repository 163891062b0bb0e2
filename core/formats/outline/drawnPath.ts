import { ROUNDING } from '../../tolerances.ts';
import { pointsOfArc, type Arc } from '../../geometry/arc.ts';
import { distance, type Point } from '../../geometry/point.ts';

/** One corner of a drawn path, and how the way on from it bends: the rise of its arc over the chord as a share of half the chord, right positive; 0 straight. */
export interface DrawnCorner {
  readonly at: Point;
  readonly bulge: number;
}

/** A path of a drawing, in its own units, y up. */
export interface DrawnPath {
  /** The layer, or the name of the element. */
  readonly layer: string;
  readonly corners: readonly DrawnCorner[];
  readonly closed: boolean;
}

/** The units a drawing can be in. */
export const DRAWING_UNITS = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8, px: 25.4 / 96 } as const;

/** One of them. */
export type DrawingUnit = keyof typeof DRAWING_UNITS;

/** A drawing read from a file. */
export interface OutlineFile {
  readonly format: 'dxf' | 'svg';
  /** What one unit of the drawing is, where the file says; null where a person has to. */
  readonly unit: DrawingUnit | null;
  /** Millimetres in one unit of the drawing, where the file says; null else. */
  readonly mmPerUnit: number | null;
  readonly paths: readonly DrawnPath[];
  /** Kinds of elements that hold no outline and were passed over. */
  readonly passedOver: readonly string[];
}

/** The arc on from a corner; null where the way is straight. */
export const arcOn = ({ at, bulge }: DrawnCorner, to: Point): Arc | null =>
  Math.abs(bulge) < ROUNDING ? null : { from: at, to, riseMm: (bulge * distance(at, to)) / 2 };

/** All points of a path, arcs drawn out. */
export function pathPoints({ corners, closed }: DrawnPath): Point[] {
  return corners.flatMap((corner, k) => {
    const next = corners[k + 1] ?? (closed ? corners[0] : undefined);
    const arc = next ? arcOn(corner, next.at) : null;
    return [corner.at, ...(arc ? pointsOfArc(arc) : [])];
  });
}
