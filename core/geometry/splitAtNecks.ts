import { ROUNDED_OFTEN } from '../tolerances.ts';
import { cross, distance, dot, subtract, type Point } from './point.ts';
import type { Polygon, Ring } from './ring.ts';

/** Corners of a curve have shorter sides than this, mm: necks are looked for at real corners alone. */
const CORNER_SIDE_MM = 10;

/** A place where a ring is narrow: a corner that turns inwards, and the nearest place of a side across the material. */
interface Neck {
  readonly corner: number;
  readonly side: number;
  readonly at: Point;
}

/**
 * Parts a polygon where an inside corner of its outline comes nearer to a side across from it than a width: what hangs
 * together by less breaks off. The parts keep the area; polygons with holes stay as they are.
 */
export function splitAtNecks(polygon: Polygon, widthMm: number): Polygon[] {
  if (polygon.length > 1) return [polygon];
  const done: Ring[] = [];
  const waiting: Ring[] = [polygon[0]];
  for (let ring = waiting.pop(); ring; ring = waiting.pop()) {
    const neck = narrowest(ring, widthMm);
    if (!neck || done.length + waiting.length > ring.length + polygon[0].length) done.push(ring);
    else waiting.push(...partedAt(ring, neck));
  }
  return done.map((ring) => [ring]);
}

/** The two parts of a ring at a neck. */
function partedAt(ring: Ring, { corner, side, at }: Neck): Ring[] {
  const between = (from: number, to: number): Point[] => {
    const points: Point[] = [];
    for (let k = from; ; k = (k + 1) % ring.length) {
      points.push(ring[k]);
      if (k === to) return points;
    }
  };
  // From the corner on to the side, and from the side back to the corner.
  const parts = [
    [...between(corner, side), at],
    [at, ...between((side + 1) % ring.length, corner)],
  ];
  return parts.map(withoutRepeats).filter((part) => part.length >= 3);
}

const withoutRepeats = (ring: Ring): Ring => ring.filter((p, k) => distance(p, ring[(k + 1) % ring.length]) > ROUNDED_OFTEN / 10);

function narrowest(ring: Ring, widthMm: number): Neck | null {
  let [found, least]: [Neck | null, number] = [null, widthMm];
  const count = ring.length;
  for (let corner = 0; corner < count; corner++) {
    const [before, here, after] = [ring[(corner + count - 1) % count], ring[corner], ring[(corner + 1) % count]];
    const [come, go] = [subtract(here, before), subtract(after, here)];
    if (cross(come, go) >= 0 || Math.min(Math.hypot(...come), Math.hypot(...go)) < CORNER_SIDE_MM) continue;
    for (let side = 0; side < count; side++) {
      if (side === corner || (side + 1) % count === corner) continue;
      const at = nearestOn(here, ring[side], ring[(side + 1) % count]);
      const mm = distance(here, at);
      const to = subtract(at, here);
      // Across the material: between the two sides of the corner, not over the notch that it ends.
      if (mm < least && (mm < ROUNDED_OFTEN / 10 || cross(come, to) > -(ROUNDED_OFTEN / 10) || cross(go, to) > -(ROUNDED_OFTEN / 10)))
        [found, least] = [{ corner, side, at }, mm];
    }
  }
  return found;
}

function nearestOn(p: Point, from: Point, to: Point): Point {
  const along = subtract(to, from);
  const size = dot(along, along);
  const share = size === 0 ? 0 : Math.min(1, Math.max(0, dot(subtract(p, from), along) / size));
  return [from[0] + along[0] * share, from[1] + along[1] * share];
}
