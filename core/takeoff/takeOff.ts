import type { Job } from '../job.ts';
import { takeOffAdhesive } from './adhesive.ts';
import { takeOffGrout } from './grout.ts';
import type { Material, SurfaceFigures } from './material.ts';
import { takeOffSealant } from './sealant.ts';
import { takeOffTiles } from './tiles.ts';

/** The order for a whole job: a line for each product laid, then what goes with the tiles. */
export function takeOff(job: Job, figures: readonly SurfaceFigures[]): Material[] {
  if (figures.length === 0) return [];
  const surfaceOf = new Map(job.surfaces.map((surface) => [surface.id, surface]));
  const tiles = job.products.flatMap((product) => {
    const laid = figures.filter(({ surfaceId }) => surfaceOf.get(surfaceId)?.productId === product.id);
    return laid.length === 0 ? [] : [takeOffTiles(product, laid, job.consumption)];
  });
  return [
    ...tiles,
    takeOffAdhesive(figures, job.consumption, job.prices),
    takeOffGrout(figures, job.consumption, job.prices),
    takeOffSealant(figures, job.consumption, job.prices),
  ];
}
