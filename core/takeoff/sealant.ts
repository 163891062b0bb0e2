import { packsFor } from '../money/packs.ts';
import type { Prices } from '../money/prices.ts';
import type { Consumption } from './consumption.ts';
import type { Material, SurfaceFigures } from './material.ts';

/** How the sealant came about. */
export interface SealantHow {
  readonly surfaces: readonly { readonly surfaceId: string; readonly lengthM: number; readonly ml: number }[];
  readonly depthMm: number;
  readonly cartridgeMl: number;
}

/** Sealant for perimeter joints and round fixtures, ml: length x width x depth. */
export function takeOffSealant(figures: readonly SurfaceFigures[], consumption: Consumption, { sealant }: Prices): Material<SealantHow> {
  const surfaces = figures.map((s) => {
    const depthMm = Math.min(consumption.sealantDepthMm, s.thicknessMm);
    const section = s.sealed.reduce((sum, { lengthMm, widthMm }) => sum + lengthMm * widthMm, 0);
    const lengthM = s.sealed.reduce((sum, { lengthMm }) => sum + lengthMm, 0) / 1000;
    return { surfaceId: s.surfaceId, lengthM, ml: (section * depthMm) / 1000 };
  });
  const quantity = surfaces.reduce((sum, s) => sum + s.ml, 0);
  const packs = packsFor(quantity, sealant.cartridgeMl, sealant.price);
  return {
    item: 'sealant',
    productId: null,
    quantity,
    unit: 'ml',
    packs,
    cost: packs.cost,
    how: { surfaces, depthMm: consumption.sealantDepthMm, cartridgeMl: sealant.cartridgeMl },
  };
}
