import { packsFor } from '../money/packs.ts';
import type { Prices } from '../money/prices.ts';
import type { Consumption } from './consumption.ts';
import type { Material, SurfaceFigures } from './material.ts';

/** Dry powder for square notches held at 45 degrees, kg/m²: bed d·sin 45°/2, 1.2 kg/L. */
const KG_PER_M2: Readonly<Record<Notch, number>> = { 6: 2.5, 8: 3.4, 10: 4.2, 12: 5.1 };

/** A flat skim on the back of the piece, kg/m². */
const BACK_BUTTER_KG_PER_M2 = 1.2;

type Notch = 6 | 8 | 10 | 12;

/** How the adhesive came about. */
export interface AdhesiveHow {
  readonly surfaces: readonly {
    readonly surfaceId: string;
    readonly areaM2: number;
    readonly notchMm: Notch;
    readonly kgPerM2: number;
    readonly kg: number;
  }[];
  readonly backButtered: boolean;
  readonly bagKg: number;
}

/** The bigger the tile, the deeper the notch. Longest side in mm; typical, the data sheet of the adhesive wins. */
export function notchFor(longestSideMm: number): Notch {
  if (longestSideMm <= 150) return 6;
  if (longestSideMm <= 300) return 8;
  return longestSideMm <= 450 ? 10 : 12;
}

/** Adhesive powder for all surfaces, kg, and the bags that hold it. */
export function takeOffAdhesive(figures: readonly SurfaceFigures[], consumption: Consumption, { adhesive }: Prices): Material<AdhesiveHow> {
  const surfaces = figures.map((s) => {
    const notchMm = consumption.trowelNotchMm ?? notchFor(s.longestSideMm);
    const kgPerM2 = KG_PER_M2[notchMm] + (consumption.backButtered ? BACK_BUTTER_KG_PER_M2 : 0);
    const areaM2 = s.areaMm2 / 1e6;
    return { surfaceId: s.surfaceId, areaM2, notchMm, kgPerM2, kg: areaM2 * kgPerM2 };
  });
  const quantity = surfaces.reduce((sum, s) => sum + s.kg, 0);
  const packs = packsFor(quantity, adhesive.bagKg, adhesive.price);
  return {
    item: 'adhesive',
    productId: null,
    quantity,
    unit: 'kg',
    packs,
    cost: packs.cost,
    how: { surfaces, backButtered: consumption.backButtered, bagKg: adhesive.bagKg },
  };
}
