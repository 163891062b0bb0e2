import type { SealedJoint, SurfaceFigures } from './figures.ts';
import type { Need } from './materialKind.ts';

/**
 * How much of the joint at an edge is counted here, mm: in an inside corner of two surfaces there is one joint, counted
 * with the first as long as that is, and with the second where it runs on beyond it. `jointsOf` says which surfaces have it.
 */
export function lengthHere(
  { links = [], surfaces }: Need,
  { surfaceId }: SurfaceFigures,
  { edgeId, lengthMm }: SealedJoint,
  jointsOf: (surface: SurfaceFigures) => readonly SealedJoint[],
): number {
  const link = links.find(({ meets, b }) => meets === 'inside' && b.surface === surfaceId && b.edge === edgeId);
  const other = link && surfaces.find((surface) => surface.surfaceId === link.a.surface);
  const there = other ? jointsOf(other).filter((joint) => joint.edgeId === link.a.edge) : [];
  return Math.max(0, lengthMm - there.reduce((sum, joint) => sum + joint.lengthMm, 0));
}
