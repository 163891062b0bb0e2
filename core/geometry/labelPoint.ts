import { boxOf, isInside, type Polygon, type Ring } from './ring.ts';
import { distanceToStretch } from './distanceToStretch.ts';
import { cross, subtract, unit, type Point } from './point.ts';

const STEPS = 8;

/** A position well inside a polygon, for its label: the middle where that is inside, else the deepest of a grid. */
export function labelPoint(whole: Polygon): Point {
  const polygon = whole.map(thinned);
  const box = boxOf(polygon[0]);
  const middle: Point = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  if (polygon.length === 1 && polygon[0].length === 4) return middle;
  let best = middle;
  let depth = isInside(middle, [polygon]) ? 1.4 * depthIn(middle, polygon, 0) : 0;
  for (let i = 1; i < STEPS; i++) {
    for (let j = 1; j < STEPS; j++) {
      const at: Point = [box.minX + ((box.maxX - box.minX) * i) / STEPS, box.minY + ((box.maxY - box.minY) * j) / STEPS];
      const here = depthIn(at, polygon, depth);
      if (here > depth && isInside(at, [polygon])) [best, depth] = [at, here];
    }
  }
  return best;
}

/** Corners of a ring that are enough to find room for a label. */
const ENOUGH_CORNERS = 24;

/** Chords of a curve turn by less than this, as a sine. */
const CORNER_SINE = 0.35;

/** A ring of many short chords with fewer of them; every corner stays. */
function thinned(ring: Ring): Ring {
  const step = Math.ceil(ring.length / ENOUGH_CORNERS);
  if (step === 1) return ring;
  return ring.filter((at, k) => {
    const [before, after] = [ring[(k + ring.length - 1) % ring.length], ring[(k + 1) % ring.length]];
    return k % step === 0 || Math.abs(cross(unit(subtract(at, before)), unit(subtract(after, at)))) > CORNER_SINE;
  });
}

/** How far a position is from the nearest side, mm; 0 as soon as that is no more than `than`. */
function depthIn(point: Point, polygon: Polygon, than: number): number {
  let least = Infinity;
  for (const ring of polygon)
    for (let k = 0; k < ring.length; k++) {
      const mm = distanceToStretch(point, ring[k], ring[k + 1 === ring.length ? 0 : k + 1]);
      if (mm <= than) return 0;
      if (mm < least) least = mm;
    }
  return least;
}
