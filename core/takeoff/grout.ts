import { packsFor } from '../money/packs.ts';
import type { Prices } from '../money/prices.ts';
import type { Consumption } from './consumption.ts';
import type { Material, SurfaceFigures } from './material.ts';

/** How the grout came about. */
export interface GroutHow {
  readonly surfaces: readonly { readonly surfaceId: string; readonly jointAreaM2: number; readonly depthMm: number; readonly kg: number }[];
  readonly kgPerLitre: number;
  readonly leftPercent: number;
  readonly bagKg: number;
}

/** Grout in the joints, kg: joint area x depth x density; a mm² of a mm is a millionth of a litre. */
export const groutKg = (jointAreaMm2: number, depthMm: number, kgPerLitre: number): number => (jointAreaMm2 * depthMm * kgPerLitre) / 1e6;

/** Grout for all surfaces from the true area of their joints, with what stays in the bucket. */
export function takeOffGrout(figures: readonly SurfaceFigures[], consumption: Consumption, { grout }: Prices): Material<GroutHow> {
  const surfaces = figures.map((s) => ({
    surfaceId: s.surfaceId,
    jointAreaM2: s.jointAreaMm2 / 1e6,
    depthMm: s.thicknessMm,
    kg: groutKg(s.jointAreaMm2, s.thicknessMm, consumption.groutKgPerLitre),
  }));
  const quantity = surfaces.reduce((sum, s) => sum + s.kg, 0) * (1 + consumption.groutLeftPercent / 100);
  const packs = packsFor(quantity, grout.bagKg, grout.price);
  return {
    item: 'grout',
    productId: null,
    quantity,
    unit: 'kg',
    packs,
    cost: packs.cost,
    how: { surfaces, kgPerLitre: consumption.groutKgPerLitre, leftPercent: consumption.groutLeftPercent, bagKg: grout.bagKg },
  };
}
