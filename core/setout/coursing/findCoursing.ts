import { HAIR_MM, ROUNDED_OFTEN, ROUNDING } from '../../tolerances.ts';
import { actualSize, type Product } from '../../tile/product.ts';

/** From the least to the most, mm. */
export type Range = readonly [least: number, most: number];

/** The ends of a rectangle that courses run between. */
export const COURSING_ENDS = ['left', 'right', 'bottom', 'top'] as const;

/** An end of a rectangle that courses run between. */
export type CoursingEnd = (typeof COURSING_ENDS)[number];

/** What courses may be fitted by: the joint, and the gap at each end. */
export interface CoursingRange {
  readonly jointMm: Range;
  readonly gapsMm: Readonly<Record<CoursingEnd, Range>>;
  /** Whether only the height matters: pieces are cut at the sides. */
  readonly coursesOnly?: boolean;
}

/** Whole pieces in one direction, as near as they come to filling it. */
export interface Courses {
  readonly count: number;
  /** What they take with the least joint and with the widest, mm. */
  readonly takeMm: Range;
  /** What they may take: the length less the widest gaps, and less the least, mm. */
  readonly roomMm: Range;
  /** The joints that make it fit with some gap of the range, mm; null where none does. */
  readonly jointsMm: Range | null;
  /** How far the pieces run over the room at the least joint and gap, mm; 0 where they fit or leave room. */
  readonly overMm: number;
  /** How much room is left at the widest joint and gap, mm. */
  readonly underMm: number;
  /** The size of piece that would fit with the middle of joint and gap, mm. */
  readonly fittingMm: number;
  /** The joint outside the range that would make it fit, as near to it as can be, mm; null where none above zero does, or it fits. */
  readonly fittingJointMm: number | null;
}

/** The joint, and the gap at each end, that need no cut. */
export interface CoursingFit {
  readonly jointMm: number;
  /** The ends that courses were fitted to. */
  readonly gapsMm: Readonly<Partial<Record<CoursingEnd, number>>>;
}

/** A tile laid one way, in both directions. */
export interface Coursing {
  readonly productId: string;
  /** Whether its height runs across, its width up. */
  readonly turned: boolean;
  /** Null where only the height matters. */
  readonly across: Courses | null;
  readonly up: Courses;
  /** Null where a cut is needed. */
  readonly fit: CoursingFit | null;
  /** How far it is from needing no cut, both directions together, mm. */
  readonly offMm: number;
}

const both = (a: Range, b: Range): Range => [a[0] + b[0], a[1] + b[1]];

/**
 * Courses of a piece between two limits: n of them fit with a joint of (length - gaps - n size) / (n - 1). Of all counts
 * the one that comes nearest. Lengths in mm, above zero; `gapsMm` is what both ends take together.
 */
export function fitCourses(lengthMm: number, sizeMm: number, [least, most]: Range, [tight, wide]: Range): Courses {
  const guess = Math.max(1, Math.floor((lengthMm - tight + least) / (sizeMm + least)));
  const tried = [guess, guess + 1].map((count): Courses => {
    const room = lengthMm - count * sizeMm;
    const joints = count - 1;
    const jointsMm: Range =
      joints === 0
        ? [room >= tight - ROUNDING && room <= wide + ROUNDING ? least : Infinity, most]
        : [Math.max(least, (room - wide) / joints), Math.min(most, (room - tight) / joints)];
    const fits = jointsMm[0] <= jointsMm[1] + ROUNDING;
    const overMm = Math.max(0, tight + joints * least - room);
    const underMm = Math.max(0, room - wide - joints * most);
    const nearest = joints === 0 || fits ? 0 : (overMm > 0 ? room - tight : room - wide) / joints;
    return {
      count,
      takeMm: [count * sizeMm + joints * least, count * sizeMm + joints * most],
      roomMm: [lengthMm - wide, lengthMm - tight],
      jointsMm: fits ? jointsMm : null,
      overMm,
      underMm,
      fittingMm: (lengthMm - (tight + wide) / 2 - joints * ((least + most) / 2)) / count,
      fittingJointMm: nearest > ROUNDED_OFTEN ? nearest : null,
    };
  });
  return tried.reduce((a, b) => (offBy(b) < offBy(a) ? b : a));
}

const offBy = ({ jointsMm, overMm, underMm }: Courses): number => (jointsMm ? 0 : Math.max(overMm, underMm, ROUNDED_OFTEN));

/** A rectangle that is to be filled, mm. */
interface Room {
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Every rectangular tile of a list, both ways, with what fits a room without a cut first, then what comes nearest. */
export function findCoursing(room: Room, products: readonly Product[], range: CoursingRange): Coursing[] {
  const { jointMm, gapsMm, coursesOnly = false } = range;
  return products
    .filter(({ shape }) => shape.kind === 'rectangle')
    .flatMap((product) => {
      const { widthMm, heightMm } = actualSize(product);
      const ways = Math.abs(widthMm - heightMm) < HAIR_MM ? [false] : [false, true];
      return ways.map((turned): Coursing => {
        const [wide, high] = turned ? [heightMm, widthMm] : [widthMm, heightMm];
        const across = coursesOnly ? null : fitCourses(room.widthMm, wide, jointMm, both(gapsMm.left, gapsMm.right));
        const up = fitCourses(room.heightMm, high, jointMm, both(gapsMm.bottom, gapsMm.top));
        return {
          productId: product.id,
          turned,
          across,
          up,
          fit: commonFit(room, [wide, high], across, up, range),
          offMm: (across ? offBy(across) : 0) + offBy(up),
        };
      });
    })
    .sort((a, b) => Number(b.fit !== null) - Number(a.fit !== null) || a.offMm - b.offMm);
}

/** One joint for both directions, and the gaps it leaves; null where the two want different ones. */
function commonFit(
  room: Room,
  [wide, high]: readonly [number, number],
  across: Courses | null,
  up: Courses,
  { jointMm: range, gapsMm }: CoursingRange,
): CoursingFit | null {
  const joints = across ? across.jointsMm : range;
  if (!joints || !up.jointsMm) return null;
  const [low, widest] = [Math.max(joints[0], up.jointsMm[0]), Math.min(joints[1], up.jointsMm[1])];
  if (low > widest + ROUNDING) return null;
  // On half a millimetre where there is one between.
  const half = Math.ceil(low * 2 - ROUNDING) / 2;
  const jointMm = half <= widest ? half : low;
  const left = (length: number, size: number, { count }: Courses): number => length - count * size - (count - 1) * jointMm;
  const [bottom, top] = parted(left(room.heightMm, high, up), gapsMm.bottom, gapsMm.top);
  if (!across) return { jointMm, gapsMm: { bottom, top } };
  const [start, end] = parted(left(room.widthMm, wide, across), gapsMm.left, gapsMm.right);
  return { jointMm, gapsMm: { left: start, right: end, bottom, top } };
}

/** What is left for two gaps, parted so that each is as far into its range as the other, mm. */
function parted(leftMm: number, a: Range, b: Range): readonly [number, number] {
  const [least, most] = both(a, b);
  const share = most - least > ROUNDING ? (leftMm - least) / (most - least) : 0;
  const first = a[0] + share * (a[1] - a[0]);
  return [first, leftMm - first];
}
