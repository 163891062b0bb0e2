import type { Point } from '../../geometry/point.ts';
import type { CarriedJoint } from '../../surface/carriedJoint.ts';
import type { LineTape } from './lineTapes.ts';

/**
 * What a line is struck for: the middle of a movement joint that is carried through, the first of its direction, the shifted
 * course beside it, or to check every so many courses by.
 */
export type LineUse = 'carried' | 'first' | 'second' | 'control';

/** A line to strike, where the near sides of pieces come to lie, or a movement joint its middle. */
export interface StruckLine {
  readonly use: LineUse;
  /** Whether courses run along it; otherwise it runs square to them, where pieces begin. */
  readonly alongCourses: boolean;
  /** Courses between it and the first line that way; 0 for that one. */
  readonly courses: number;
  /** The joint that is carried through along it; left out for all others. */
  readonly joint?: CarriedJoint;
  /** How it runs, degrees from level, from 0 to under 180. */
  readonly deg: number;
  /** Where it meets the outline, mm. */
  readonly ends: readonly [Point, Point];
  /** A tape measure at each end. */
  readonly tapes: readonly [LineTape, LineTape];
}
