import { distanceToStretch } from '@azulejo/core/geometry/distanceToStretch';
import type { Point } from '@azulejo/core/geometry/point';
import type { Edge } from '@azulejo/core/surface/edge';

/** The edge nearest to a position, within a reach in mm; null when none is. */
export function nearestEdge(edges: readonly Edge[], point: Point, reachMm: number): Edge | null {
  const near = edges
    .map((edge) => ({ edge, mm: distanceToStretch(point, edge.from, edge.to) }))
    .filter(({ mm }) => mm <= reachMm)
    .sort((a, b) => a.mm - b.mm);
  return near[0]?.edge ?? null;
}
