import type { SealedJoint, SurfaceFigures } from './figures.ts';
import type { Need } from './materialKind.ts';

/**
 * How much of the joint at an edge is counted here, mm: in an inside corner of two surfaces there is one joint, counted
 * with the one that butts against the other, else with the first, as long as that is, and with the second where it runs on
 * beyond it. `jointsOf` says which surfaces have it.
 */
export function lengthHere(
  { links = [], surfaces }: Need,
  { surfaceId }: SurfaceFigures,
  { edgeId, lengthMm }: SealedJoint,
  jointsOf: (surface: SurfaceFigures) => readonly SealedJoint[],
): number {
  const seconds = links.filter(({ meets }) => meets === 'inside').map(({ a, b, through }) => (through === 'a' ? [b, a] : [a, b]));
  const first = seconds.find(([, second]) => second.surface === surfaceId && second.edge === edgeId)?.[0];
  const other = first && surfaces.find((surface) => surface.surfaceId === first.surface);
  const there = other ? jointsOf(other).filter((joint) => joint.edgeId === first.edge) : [];
  return Math.max(0, lengthMm - there.reduce((sum, joint) => sum + joint.lengthMm, 0));
}
