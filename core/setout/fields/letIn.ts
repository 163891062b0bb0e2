import { SEEN_MM } from '../../tolerances.ts';
import { motion } from '../../geometry/point.ts';
import { boxOf } from '../../geometry/ring.ts';
import { unitOf, type Repeat } from '../../pattern/repeat.ts';
import { spanOf } from '../choice/axisPlacement.ts';
import type { Placement } from '../place/layout.ts';
import type { Ground } from './ground.ts';
import { nearestStraightJoint } from './straightJoints.ts';

/** What is let in between the courses of a field, and moves on what lies beyond it: a band, or a wider joint. */
export interface LetIn {
  /** Across which direction it runs. */
  readonly k: 0 | 1;
  /** How wide it is besides a joint on either side, mm; below zero where it is wider than a joint by less than another. */
  readonly wideMm: number;
  /** Where the pieces before it are wanted to end, mm. */
  readonly wantedMm: number;
  /** It lies where it is: a joint that lies there too is widened; else pieces are cut along it, and nothing is moved on. */
  readonly isFixed: boolean;
}

/** A joint this near to where a movement joint is carried through lies there, mm: nobody cuts so little. */
const LIES_THERE_MM = SEEN_MM;

/** Movement joints that are carried through along a direction of a frame and are wider than the joints of the field. */
export function carriedLetIns({ carried, frame }: Pick<Ground, 'carried' | 'frame'>, jointMm: number, turnDeg: number): LetIn[] {
  if (carried.length === 0 || frame.length === 0) return [];
  const { unturn } = motion(turnDeg, [0, 0]);
  const { minX, maxX, minY, maxY } = boxOf(frame);
  const farMm = Math.hypot(maxX - minX, maxY - minY);
  return carried.flatMap(({ joint: { widthMm }, at, way }) => {
    const [own, ownWay] = [unturn(at), unturn(way)];
    return ([0, 1] as const)
      .filter((k) => widthMm > jointMm && Math.abs(ownWay[k]) * farMm < LIES_THERE_MM)
      .map((k): LetIn => ({ k, wideMm: widthMm - 2 * jointMm, wantedMm: own[k] - widthMm / 2, isFixed: true }));
  });
}

/** Where the pieces before something that is let in end, mm; null where it goes into no joint. */
export function endBefore(
  repeat: Repeat,
  { origin }: Pick<Placement, 'origin'>,
  { k, wantedMm, isFixed }: LetIn,
  jointMm: number,
): number | null {
  if (!isFixed) return nearestJoint(repeat, origin[k], k, jointMm, wantedMm);
  const end = nearestStraightJoint(repeat, k === 1 ? 'y' : 'x', origin[k], wantedMm);
  return end !== null && Math.abs(end - wantedMm) <= LIES_THERE_MM ? end : null;
}

/** Where a course of the repeat ends, before its joint, nearest to a position; mm. */
function nearestJoint(repeat: Repeat, originMm: number, k: 0 | 1, jointMm: number, wantedMm: number): number {
  const step = courseStep(repeat, k, jointMm);
  const end = spanOf(unitOf(repeat), k === 1 ? 'y' : 'x').high + originMm;
  return end + Math.round((wantedMm - end) / step) * step;
}

/** From one course to the next in a direction, mm: a whole period where courses don't run that way. */
function courseStep(repeat: Repeat, k: 0 | 1, jointMm: number): number {
  const unit = spanOf(unitOf(repeat), k === 1 ? 'y' : 'x');
  const across = repeat.upright ? 0 : 1;
  const [a, b] = repeat.vectors;
  const own = k === across ? Math.abs(b[k]) / repeat.coursesPerCell : Math.abs(a[k]);
  return own > 1 ? own : unit.high - unit.low + jointMm;
}
