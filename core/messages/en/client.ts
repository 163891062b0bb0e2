import { productName, tapeOf, type Job, type Surface } from '../../job/job.ts';
import type { Pattern } from '../../pattern/registry.ts';
import type { SurfacePlan } from '../../planning/planned.ts';
import { formatArea } from '../../units/formatArea.ts';
import { lowerFirst } from './casing.ts';
import { PATTERN_NAMES } from './patterns.ts';

/** What a client calls a pattern: its name, and nothing of how it is drawn. */
export const patternForClient = (pattern: Pattern): string =>
  lowerFirst(pattern.kind === 'herringbone' && pattern.strips === 2 ? 'Double herringbone' : PATTERN_NAMES[pattern.kind]);

/** The tiles of a place as a client reads them, each way of laying a tile with its own area: "4.51 m² of Pearl octagon, octagon and dot". */
export function tilesOfPlace(job: Job, surfaces: readonly Surface[], planned: readonly SurfacePlan[]): string[] {
  const areas = new Map<string, { areaMm2: number; readonly first: Surface }>();
  for (const surface of surfaces) {
    const plan = planned.find(({ surfaceId }) => surfaceId === surface.id);
    if (!plan) continue;
    const words = `${productName(job, surface.productId)}, ${patternForClient(surface.pattern)}`;
    const known = areas.get(words) ?? { areaMm2: 0, first: surface };
    areas.set(words, { ...known, areaMm2: known.areaMm2 + plan.extent.areaMm2 });
  }
  return [...areas].map(([words, { areaMm2, first }]) => `${formatArea(areaMm2, tapeOf(job, first))} of ${words}`);
}
