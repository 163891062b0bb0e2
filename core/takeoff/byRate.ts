import { ROUNDING } from '../tolerances.ts';
import type { SurfaceFigures } from './figures.ts';
import type { MaterialUnit, Spoken, Taken } from './materialKind.ts';

/** How a quantity came about that goes by the area of surfaces, by lengths, or by things counted. */
export interface RateHow {
  /** What is multiplied: square metres, metres, or how many. */
  readonly of: 'm2' | 'm' | 'count';
  readonly surfaces: readonly { readonly surfaceId: string; readonly amount: number; readonly per: number; readonly quantity: number }[];
  /** The figures that were used, with who said them. */
  readonly figures: Readonly<Record<string, Spoken>>;
}

/** What one surface takes: so much, at a rate. */
export interface Rated {
  readonly amount: number;
  readonly per: number;
}

/** A line for what surfaces take at a rate each; none where no surface takes any. */
export function byRate(
  surfaces: readonly SurfaceFigures[],
  line: {
    readonly unit: MaterialUnit;
    readonly of: RateHow['of'];
    readonly figures: Readonly<Record<string, Spoken>>;
    readonly variant?: string;
  },
  rate: (surface: SurfaceFigures) => Rated | null,
): Taken<RateHow>[] {
  const rows = surfaces.flatMap((surface) => {
    const own = rate(surface);
    return own && own.amount > 0 ? [{ surfaceId: surface.surfaceId, ...own, quantity: own.amount * own.per }] : [];
  });
  const { unit, of, figures, variant } = line;
  const sum = rows.reduce((all, { quantity }) => all + quantity, 0);
  if (sum === 0) return [];
  const quantity = unit === 'piece' ? Math.ceil(sum - ROUNDING) : sum;
  return [{ productId: null, hand: null, ...(variant ? { variant } : {}), quantity, unit, how: { of, surfaces: rows, figures } }];
}

/** The area of a surface, m². */
export const areaOf = ({ areaMm2 }: SurfaceFigures): number => areaMm2 / 1e6;

/** Surfaces by what tells their material apart, in their order. */
export function byVariant(
  surfaces: readonly SurfaceFigures[],
  variantOf: (surface: SurfaceFigures) => string | null,
): Map<string, SurfaceFigures[]> {
  const groups = new Map<string, SurfaceFigures[]>();
  for (const surface of surfaces) {
    const variant = variantOf(surface);
    if (variant !== null) groups.set(variant, [...(groups.get(variant) ?? []), surface]);
  }
  return groups;
}
