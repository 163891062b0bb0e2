import { productName, tapeOf, type Job, type Surface } from '../../job/job.ts';
import type { Pattern } from '../../pattern/registry.ts';
import type { SurfacePlan } from '../../plan/planned.ts';
import { formatArea } from '../../units/formatArea.ts';
import { lowerFirst } from './casing.ts';
import { PATTERN_NAMES } from './patterns.ts';

/** What a client calls a pattern: its name, and nothing of how it is drawn. */
export const patternForClient = (pattern: Pattern): string =>
  lowerFirst(pattern.kind === 'herringbone' && pattern.strips === 2 ? 'Double herringbone' : PATTERN_NAMES[pattern.kind]);

/** The tiles of a place as a client reads them, each way of laying a tile with its own area: "4.51 m² of Pearl octagon, octagon and dot". */
export function tilesOfPlace(job: Job, surfaces: readonly Surface[], planned: readonly SurfacePlan[]): string[] {
  const areas = new Map<string, number>();
  for (const surface of surfaces) {
    const plan = planned.find(({ surfaceId }) => surfaceId === surface.id);
    if (!plan) continue;
    const words = `${productName(job, surface.productId)}, ${patternForClient(surface.pattern)}`;
    areas.set(words, (areas.get(words) ?? 0) + plan.extent.areaMm2);
  }
  // One unit for a room: that of the tape it was measured with.
  const [first] = surfaces;
  return [...areas].map(([words, areaMm2]) => `${formatArea(areaMm2, first ? tapeOf(job, first) : job.tape)} of ${words}`);
}
