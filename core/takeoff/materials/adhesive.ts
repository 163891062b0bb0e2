import type { Notch } from '../consumption.ts';
import type { MaterialKind } from '../materialKind.ts';

/** Powder in a litre of bed, kg (typical dry mortar). */
const KG_PER_LITRE = 1.2;

/** A flat skim on the back of the piece, kg/m². */
const BACK_BUTTER_KG_PER_M2 = 1.2;

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
}

/**
 * Powder for a notch held at 45 degrees, kg/m², to the tenth: the bed is d·sin 45°/2 deep, for square notches as
 * wide as the ridges between them, and for V-notches side by side alike.
 */
export const notchKgPerM2 = (notchMm: number): number => Math.round((notchMm * Math.SQRT1_2 * KG_PER_LITRE * 10) / 2) / 10;

/** The bigger the piece that is bedded, the deeper the notch. Longest side in mm; typical, the data sheet of the adhesive wins. */
export function notchFor(longestSideMm: number): Notch {
  if (longestSideMm <= 60) return 4;
  if (longestSideMm <= 150) return 6;
  if (longestSideMm <= 300) return 8;
  return longestSideMm <= 450 ? 10 : 12;
}

/** Adhesive powder for all surfaces, kg. */
export const adhesive = {
  takeOff: ({ surfaces: figures, consumption }) => {
    const surfaces = figures.map((s) => {
      const notchMm = consumption.trowelNotchMm ?? notchFor(s.longestSideMm);
      const kgPerM2 = notchKgPerM2(notchMm) + (consumption.backButtered ? BACK_BUTTER_KG_PER_M2 : 0);
      const areaM2 = s.areaMm2 / 1e6;
      return { surfaceId: s.surfaceId, areaM2, notchMm, kgPerM2, kg: areaM2 * kgPerM2 };
    });
    const quantity = surfaces.reduce((sum, s) => sum + s.kg, 0);
    return [{ productId: null, hand: null, quantity, unit: 'kg', how: { surfaces, backButtered: consumption.backButtered } }];
  },
} as const satisfies MaterialKind<AdhesiveHow>;
