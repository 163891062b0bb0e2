import type { MaterialKind } from '../materialKind.ts';

/** How the grout came about. */
export interface GroutHow {
  readonly surfaces: readonly { readonly surfaceId: string; readonly jointAreaM2: number; readonly depthMm: number; readonly kg: number }[];
  readonly kgPerLitre: number;
  readonly leftPercent: number;
}

/** Grout in the joints, kg: joint area x depth x density; a mm² of a mm is a millionth of a litre. */
export const groutKg = (jointAreaMm2: number, depthMm: number, kgPerLitre: number): number => (jointAreaMm2 * depthMm * kgPerLitre) / 1e6;

/** Grout for all surfaces from the true area of their joints, with what stays in the bucket. */
export const grout = {
  takeOff: ({ surfaces: figures, consumption }) => {
    const surfaces = figures.map((s) => ({
      surfaceId: s.surfaceId,
      jointAreaM2: s.jointAreaMm2 / 1e6,
      depthMm: s.thicknessMm,
      kg: groutKg(s.jointAreaMm2, s.thicknessMm, consumption.groutKgPerLitre),
    }));
    const quantity = surfaces.reduce((sum, s) => sum + s.kg, 0) * (1 + consumption.groutLeftPercent / 100);
    const how = { surfaces, kgPerLitre: consumption.groutKgPerLitre, leftPercent: consumption.groutLeftPercent };
    return [{ productId: null, hand: null, quantity, unit: 'kg', how }];
  },
} as const satisfies MaterialKind<GroutHow>;
