import type { SurfaceFigures } from './figures.ts';
import type { Need } from './materialKind.ts';

/** Whether the joint at an edge is counted with the surface that meets it in an inside corner. */
export function isCountedThere({ links = [], surfaces }: Need, { surfaceId }: SurfaceFigures, edgeId: string | null): boolean {
  const link = links.find(({ meets, b }) => meets === 'inside' && b.surface === surfaceId && b.edge === edgeId);
  const other = link && surfaces.find((surface) => surface.surfaceId === link.a.surface);
  return other?.sealed.some((joint) => joint.edgeId === link?.a.edge) ?? false;
}
