import { isInside, type Box, type Polygon } from '../../geometry/ring.ts';
import type { Point } from '../../geometry/point.ts';
import type { HeightField } from './heightField.ts';

/** The sets of practice a job can follow. */
export const PRACTICES = ['european', 'northAmerican'] as const;

/** One set of practice. */
export type Practice = (typeof PRACTICES)[number];

/** How flat a substrate has to be: so many mm under a straightedge of a length in mm. */
export interface FlatnessLimit {
  readonly gapMm: number;
  readonly straightedgeMm: number;
}

/** A side from which North American practice asks for the finer limit, mm. */
const LARGE_SIDE_MM = 380;

/** Typical limits; check the standard in force. */
export function flatnessLimit(practice: Practice, longestSideMm: number): FlatnessLimit {
  if (practice === 'european') return { gapMm: 3, straightedgeMm: 2000 };
  return { gapMm: longestSideMm >= LARGE_SIDE_MM ? 3 : 6, straightedgeMm: 3000 };
}

/** The widest gap a straightedge finds, and where it lay. */
export interface WorstGap {
  readonly gapMm: number;
  readonly from: Point;
  readonly to: Point;
}

const STEP_MM = 100;
const DIRECTIONS = 12;

/**
 * Lays a straightedge in twelve directions over a grid of places and looks for the widest gap under
 * it. Where a whole straightedge does not fit the surface, a shorter one that does is laid.
 */
export function worstGap(height: HeightField, region: readonly Polygon[], box: Box, straightedgeMm: number): WorstGap {
  let worst: WorstGap = { gapMm: 0, from: [box.minX, box.minY], to: [box.minX, box.minY] };
  const pitch = Math.max(STEP_MM, Math.max(box.maxX - box.minX, box.maxY - box.minY) / 24);
  for (let x = box.minX + pitch / 2; x < box.maxX; x += pitch) {
    for (let y = box.minY + pitch / 2; y < box.maxY; y += pitch) {
      if (!isInside([x, y], region)) continue;
      for (let k = 0; k < DIRECTIONS; k++) {
        const points = layStraightedge([x, y], (k * Math.PI) / DIRECTIONS, region, straightedgeMm);
        const gapMm = points.length < 3 ? 0 : gapUnder(points.map(height));
        if (gapMm > worst.gapMm) worst = { gapMm, from: points[0], to: points[points.length - 1] };
      }
    }
  }
  return worst;
}

/** Points under a straightedge that starts at a place and runs one way, as far as the surface goes. */
function layStraightedge([x, y]: Point, angle: number, region: readonly Polygon[], lengthMm: number): Point[] {
  const points: Point[] = [];
  for (let run = 0; run <= lengthMm + 1; run += STEP_MM) {
    const p: Point = [x + run * Math.cos(angle), y + run * Math.sin(angle)];
    if (!isInside(p, region)) break;
    points.push(p);
  }
  return points;
}

/** The widest gap under a straight edge that rests on a profile of equal steps: on its upper hull. */
export function gapUnder(profile: readonly number[]): number {
  const hull: number[] = [];
  const above = (a: number, b: number, c: number): boolean => (profile[b] - profile[a]) * (c - a) <= (profile[c] - profile[a]) * (b - a);
  profile.forEach((_, k) => {
    while (hull.length >= 2 && above(hull[hull.length - 2], hull[hull.length - 1], k)) hull.pop();
    hull.push(k);
  });
  let worst = 0;
  for (let m = 0; m + 1 < hull.length; m++) {
    const [a, b] = [hull[m], hull[m + 1]];
    for (let k = a + 1; k < b; k++) {
      worst = Math.max(worst, profile[a] + ((profile[b] - profile[a]) * (k - a)) / (b - a) - profile[k]);
    }
  }
  return worst;
}
