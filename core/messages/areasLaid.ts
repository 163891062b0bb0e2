import type { Surface } from '../job/job.ts';
import type { Pattern } from '../pattern/registry.ts';
import type { SurfacePlan } from '../plan/planned.ts';

/** How much of a tile is laid in one pattern, mm². */
export interface AreaLaid {
  readonly productId: string;
  readonly pattern: Pattern;
  readonly areaMm2: number;
}

/** What a client tells patterns apart by: their kind, and how wide a herringbone is. */
const asSeen = (pattern: Pattern): string => (pattern.kind === 'herringbone' ? `${pattern.kind} ${pattern.strips}` : pattern.kind);

/** The tiles of some surfaces, each way of laying a tile with its own area, in the order of the surfaces. */
export function areasLaid(surfaces: readonly Surface[], planned: readonly SurfacePlan[]): AreaLaid[] {
  const areas = new Map<string, AreaLaid>();
  for (const { id, productId, pattern } of surfaces) {
    const plan = planned.find(({ surfaceId }) => surfaceId === id);
    if (!plan) continue;
    const key = `${asSeen(pattern)} ${productId}`;
    const before = areas.get(key);
    areas.set(key, { productId, pattern, areaMm2: (before?.areaMm2 ?? 0) + plan.extent.areaMm2 });
  }
  return [...areas.values()];
}
