import { tilesNamedBy } from '../job/tilesNamedBy.ts';
import type { AdviceContext } from './finding.ts';

/** Whether no surface of the same room before this one names a tile, its own where none is given: what is to be said of a tile is said once. */
export const isFirstOfRoom = (
  { job, surface, surfaceIndex }: Pick<AdviceContext, 'job' | 'surface' | 'surfaceIndex'>,
  productId = surface.productId,
): boolean =>
  surface.roomId === null ||
  !job.surfaces.slice(0, surfaceIndex).some((other) => other.roomId === surface.roomId && tilesNamedBy(other).has(productId));
