import type { Edge } from '../surface/edge.ts';
import type { Surface } from '../job/job.ts';
import type { Finding } from './finding.ts';

/** Widens the gap at every one of some edges: that of its role, or its own where it has one. */
export function widenGaps(
  surface: Surface,
  surfaceIndex: number,
  edges: readonly Edge[],
  mmOf: (edge: Edge) => number,
): NonNullable<Finding['mend']> {
  const places = new Map<string, { path: readonly (string | number)[]; value: number }>();
  for (const edge of edges) {
    const own = Object.hasOwn(surface.measured.edgeGapsMm, edge.id);
    const path = ['surfaces', surfaceIndex, 'measured', ...(own ? ['edgeGapsMm', edge.id] : ['gapsMm', edge.role])];
    places.set(path.join('/'), { path, value: mmOf(edge) });
  }
  const [first, ...also] = places.values();
  return { ...first, ...(also.length > 0 ? { also } : {}) };
}
