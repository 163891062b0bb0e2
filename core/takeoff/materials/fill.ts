import type { SurfaceFigures } from '../figures.ts';
import type { Spoken, Taken } from '../materialKind.ts';

/** How a bed or a leveller came about. */
export interface FillHow {
  readonly surfaces: readonly { readonly surfaceId: string; readonly areaM2: number; readonly meanMm: number; readonly quantity: number }[];
  readonly figures: Readonly<Record<string, Spoken>>;
}

/** A line for what fills surfaces up to level, from their area and mean thickness; `perM3` is what a cubic metre laid takes. */
export function fillTo(
  all: readonly SurfaceFigures[],
  kind: 'leveller' | 'bed',
  unit: 'kg' | 'm3',
  perM3: number,
  figures: FillHow['figures'],
): Taken<FillHow>[] {
  const surfaces = all.flatMap(({ surfaceId, fill }) => {
    if (fill?.kind !== kind) return [];
    const areaM2 = fill.areaMm2 / 1e6;
    return [{ surfaceId, areaM2, meanMm: fill.meanMm, quantity: (areaM2 * fill.meanMm * perM3) / 1000 }];
  });
  const quantity = surfaces.reduce((sum, one) => sum + one.quantity, 0);
  return quantity === 0 ? [] : [{ productId: null, hand: null, quantity, unit, how: { surfaces, figures } }];
}

/** What a bed of sand and cement goes by. */
export const BED_FIGURES = {
  /** Parts of sand to one of cement, by volume. */
  sandParts: { typical: 6, min: 1, max: 12 },
  /** Dry volume over volume laid. */
  bulking: { typical: 1.3, min: 1, max: 2 },
} as const;
