import { ROUNDING } from '../../tolerances.ts';
import { intersect } from '../../geometry/clip.ts';
import { boxOf, polygonsArea, rectangleRing, type Polygon } from '../../geometry/ring.ts';
import type { Practice } from '../../surface/levels/flatness.ts';
import type { Works } from './works.ts';

/** A movement joint across a floor: `x` is an upright one at that distance from the left of the surface, mm. */
export interface BayJoint {
  readonly along: 'x' | 'y';
  readonly atMm: number;
  /** As far as there is floor, mm. */
  readonly lengthMm: number;
}

/** Movement joints that part a floor into bays, besides those at the walls. */
export interface Bays {
  /** No bay is longer, mm. */
  readonly limitMm: number;
  /** No bay is larger, mm²; null where only its length counts. */
  readonly limitMm2: number | null;
  readonly joints: readonly BayJoint[];
}

/** No bay of a heated floor is larger in European practice, mm². */
const HEATED_MM2 = 40e6;

/**
 * The longest bay, mm. European practice: 10 m indoors, 8 m over heating, 5 m outdoors; North American: 7.6 m indoors, 3.7 m
 * outdoors, over heating or in the wet (upper ends of what is usual; the standard in force decides).
 */
export function longestBay(practice: Practice, { place, heated }: Pick<Works, 'place' | 'heated'>): number {
  if (practice === 'european') return place === 'outdoors' ? 5000 : heated ? 8000 : 10_000;
  return place !== 'dry' || heated ? 3700 : 7600;
}

/** The fewest even bays that keep within the limits, each part of a floor by itself; none on what is shorter. */
export function baysOf(region: readonly Polygon[], practice: Practice, works: Pick<Works, 'place' | 'heated'>): Bays {
  const limitMm = longestBay(practice, works);
  const limitMm2 = practice === 'european' && works.heated ? HEATED_MM2 : null;
  return { limitMm, limitMm2, joints: region.flatMap((part) => jointsAcross(part, limitMm, limitMm2 ?? Infinity)) };
}

/** The joints that part what is in one piece. */
function jointsAcross(part: Polygon, limitMm: number, mostMm2: number): BayJoint[] {
  const { minX, minY, maxX, maxY } = boxOf(part[0]);
  const [wide, high] = [maxX - minX, maxY - minY];
  let [across, up] = [Math.ceil(wide / limitMm - ROUNDING), Math.ceil(high / limitMm - ROUNDING)];
  while ((wide / across) * (high / up) > mostMm2 + 1) {
    if (wide / across > high / up) across++;
    else up++;
  }
  const joint = (along: BayJoint['along'], atMm: number): BayJoint => {
    const line = along === 'x' ? rectangleRing(atMm - 0.5, minY, 1, high) : rectangleRing(minX, atMm - 0.5, wide, 1);
    return { along, atMm, lengthMm: polygonsArea(intersect([part], [[line]])) };
  };
  return [
    ...Array.from({ length: across - 1 }, (_, k) => joint('x', minX + (wide * (k + 1)) / across)),
    ...Array.from({ length: up - 1 }, (_, k) => joint('y', minY + (high * (k + 1)) / up)),
  ];
}
