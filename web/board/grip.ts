import { distance, type Point } from '@azulejo/core/geometry/point';
import { isInside, type Ring } from '@azulejo/core/geometry/ring';

/** Something on the drawing that can be taken hold of: a corner, or a fixture with its outline. */
export interface Grip {
  readonly id: string;
  readonly at: Point;
  readonly ring: Ring | null;
}

/** The grip at a position: one that is near, else one whose outline it lies in; the last drawn first. */
export function gripAt(grips: readonly Grip[], point: Point, reachMm: number): Grip | null {
  const near = grips.filter(({ at }) => distance(at, point) <= reachMm).sort((a, b) => distance(a.at, point) - distance(b.at, point));
  return near[0] ?? [...grips].reverse().find(({ ring }) => ring !== null && isInside(point, [[ring]])) ?? null;
}
