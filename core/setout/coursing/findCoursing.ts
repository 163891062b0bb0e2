import { HAIR_MM, ROUNDED_OFTEN, ROUNDING } from '../../tolerances.ts';
import { actualSize, type Product } from '../../tile/product.ts';

/** What courses may be fitted by: joint and gap at each end, from the least to the most, mm. */
export interface CoursingRange {
  readonly jointMm: readonly [number, number];
  readonly gapMm: readonly [number, number];
}

/** Whole pieces in one direction, as near as they come to filling it. */
export interface Courses {
  readonly count: number;
  /** The joints that make it fit with some gap of the range, mm; null where none does. */
  readonly jointsMm: readonly [number, number] | null;
  /** How far the pieces run over the room at the least joint and gap, mm; 0 where they fit or leave room. */
  readonly overMm: number;
  /** How much room is left at the widest joint and gap, mm. */
  readonly underMm: number;
  /** The size of piece that would fit with the middle of joint and gap, mm. */
  readonly fittingMm: number;
}

/** A tile laid one way, in both directions. */
export interface Coursing {
  readonly productId: string;
  /** Whether its height runs across, its width up. */
  readonly turned: boolean;
  readonly across: Courses;
  readonly up: Courses;
  /** The joint and the gaps at the ends (left and right, bottom and top) that need no cut; null where a cut is needed. */
  readonly fit: { readonly jointMm: number; readonly sideGapMm: number; readonly endGapMm: number } | null;
  /** How far it is from needing no cut, both directions together, mm. */
  readonly offMm: number;
}

/**
 * Courses of a piece between two limits: n of them fit with a joint of (length - 2 gaps - n size) / (n - 1). Of all
 * counts the one that comes nearest. Lengths in mm, above zero.
 */
export function fitCourses(lengthMm: number, sizeMm: number, { jointMm: [least, most], gapMm: [tight, wide] }: CoursingRange): Courses {
  const guess = Math.max(1, Math.floor((lengthMm - 2 * tight + least) / (sizeMm + least)));
  const tried = [guess, guess + 1].map((count): Courses => {
    const room = lengthMm - count * sizeMm;
    const joints: readonly [number, number] =
      count === 1
        ? [room >= 2 * tight && room <= 2 * wide ? least : Infinity, most]
        : [Math.max(least, (room - 2 * wide) / (count - 1)), Math.min(most, (room - 2 * tight) / (count - 1))];
    const middle = (least + most) / 2;
    return {
      count,
      jointsMm: joints[0] <= joints[1] + ROUNDING ? joints : null,
      overMm: Math.max(0, 2 * tight + (count - 1) * least - room),
      underMm: Math.max(0, room - 2 * wide - (count - 1) * most),
      fittingMm: (lengthMm - tight - wide - (count - 1) * middle) / count,
    };
  });
  return tried.reduce((a, b) => (offBy(b) < offBy(a) ? b : a));
}

const offBy = ({ jointsMm, overMm, underMm }: Courses): number => (jointsMm ? 0 : Math.max(overMm, underMm, ROUNDED_OFTEN));

/** Every rectangular tile of a list, both ways, with what fits a room without a cut first. */
export function findCoursing(
  room: { readonly widthMm: number; readonly heightMm: number },
  products: readonly Product[],
  range: CoursingRange,
): Coursing[] {
  return products
    .filter(({ shape }) => shape.kind === 'rectangle')
    .flatMap((product) => {
      const { widthMm, heightMm } = actualSize(product);
      const ways = Math.abs(widthMm - heightMm) < HAIR_MM ? [false] : [false, true];
      return ways.map((turned): Coursing => {
        const across = fitCourses(room.widthMm, turned ? heightMm : widthMm, range);
        const up = fitCourses(room.heightMm, turned ? widthMm : heightMm, range);
        return {
          productId: product.id,
          turned,
          across,
          up,
          fit: commonFit(room, product, turned, across, up),
          offMm: offBy(across) + offBy(up),
        };
      });
    })
    .sort((a, b) => Number(b.fit !== null) - Number(a.fit !== null) || a.offMm - b.offMm);
}

/** One joint for both directions, and the gaps it leaves; null where the two want different ones. */
function commonFit(
  room: { readonly widthMm: number; readonly heightMm: number },
  product: Product,
  turned: boolean,
  across: Courses,
  up: Courses,
): Coursing['fit'] {
  if (!across.jointsMm || !up.jointsMm) return null;
  const [low, high] = [Math.max(across.jointsMm[0], up.jointsMm[0]), Math.min(across.jointsMm[1], up.jointsMm[1])];
  if (low > high + ROUNDING) return null;
  // On half a millimetre where there is one between.
  const half = Math.ceil(low * 2 - ROUNDING) / 2;
  const jointMm = half <= high ? half : low;
  const { widthMm, heightMm } = actualSize(product);
  const gap = (length: number, size: number, count: number): number => (length - count * size - (count - 1) * jointMm) / 2;
  return {
    jointMm,
    sideGapMm: gap(room.widthMm, turned ? heightMm : widthMm, across.count),
    endGapMm: gap(room.heightMm, turned ? widthMm : heightMm, up.count),
  };
}
