import { distance, dot, subtract, type Point } from '@azulejo/core/geometry/point';
import type { Edge } from '@azulejo/core/surface/edge';

/** The edge nearest to a position, within a reach in mm; null when none is. */
export function nearestEdge(edges: readonly Edge[], point: Point, reachMm: number): Edge | null {
  const near = edges
    .map((edge) => ({ edge, mm: distanceTo(edge, point) }))
    .filter(({ mm }) => mm <= reachMm)
    .sort((a, b) => a.mm - b.mm);
  return near[0]?.edge ?? null;
}

function distanceTo({ from, to }: Edge, point: Point): number {
  const along = subtract(to, from);
  const share = Math.min(1, Math.max(0, dot(subtract(point, from), along) / dot(along, along)));
  return distance(point, [from[0] + along[0] * share, from[1] + along[1] * share]);
}
