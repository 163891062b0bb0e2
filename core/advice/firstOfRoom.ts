import type { AdviceContext } from './finding.ts';

/** Whether no surface of the same room before this one is laid in the same tile: what is to be said of a tile is said once. */
export const isFirstOfRoom = ({ job, surface, surfaceIndex }: Pick<AdviceContext, 'job' | 'surface' | 'surfaceIndex'>): boolean =>
  surface.roomId === null ||
  !job.surfaces.slice(0, surfaceIndex).some(({ roomId, productId }) => roomId === surface.roomId && productId === surface.productId);
