import { boxOf, isInside, type Polygon, type Ring } from './ring.ts';
import { cross, dot, length, subtract, type Point } from './point.ts';

const STEPS = 8;

/** A position well inside a polygon, for its label: the middle where that is inside, else the deepest of a grid. */
export function labelPoint(whole: Polygon): Point {
  const polygon = whole.map(thinned);
  const box = boxOf(polygon[0]);
  const middle: Point = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  if (polygon.length === 1 && polygon[0].length === 4) return middle;
  let best = middle;
  let depth = isInside(middle, [polygon]) ? 1.4 * depthIn(middle, polygon) : 0;
  for (let i = 1; i < STEPS; i++) {
    for (let j = 1; j < STEPS; j++) {
      const at: Point = [box.minX + ((box.maxX - box.minX) * i) / STEPS, box.minY + ((box.maxY - box.minY) * j) / STEPS];
      const here = isInside(at, [polygon]) ? depthIn(at, polygon) : 0;
      if (here > depth) [best, depth] = [at, here];
    }
  }
  return best;
}

/** Corners of a ring that are enough to find room for a label. */
const ENOUGH_CORNERS = 24;

/** A ring of many short chords with fewer of them. */
function thinned(ring: Ring): Ring {
  const step = Math.ceil(ring.length / ENOUGH_CORNERS);
  return step === 1 ? ring : ring.filter((_, k) => k % step === 0);
}

function depthIn(point: Point, polygon: Polygon): number {
  return Math.min(...polygon.flatMap((ring) => ring.map((from, k) => distanceToSegment(point, from, ring[(k + 1) % ring.length]))));
}

function distanceToSegment(point: Point, from: Point, to: Point): number {
  const along = subtract(to, from);
  const size = length(along);
  const share = size === 0 ? 0 : dot(subtract(point, from), along) / (size * size);
  if (share <= 0 || share >= 1) return Math.min(length(subtract(point, from)), length(subtract(point, to)));
  return Math.abs(cross(along, subtract(point, from))) / size;
}
