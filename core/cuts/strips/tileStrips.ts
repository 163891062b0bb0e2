import { ROUNDING } from '../../tolerances.ts';
import type { Size } from '../../tile/product.ts';

/** What strips are cut to, and how. */
export interface StripRule {
  /** Height of a skirting, depth of a nosing, mm. */
  readonly widthMm: number;
  readonly kerfMm: number;
  /** Whether the edge that shows has to be one of the factory: a tile gives two such strips at most. */
  readonly factoryEdge: boolean;
}

/** So many strips a tile gives across a side; none where it is narrower than a strip. */
export function stripsAcross(sideMm: number, { widthMm, kerfMm, factoryEdge }: StripRule): number {
  const fit = Math.floor((sideMm + kerfMm) / (widthMm + kerfMm) + ROUNDING);
  return factoryEdge ? Math.min(2, fit) : fit;
}

/** Along which side of the tile strips are cut: the longer, for few joints, where it gives any that way. Null where it gives none. */
export function stripSide({ widthMm, heightMm }: Size, rule: StripRule): 'width' | 'height' | null {
  const gives = { width: stripsAcross(heightMm, rule) > 0, height: stripsAcross(widthMm, rule) > 0 };
  const [longer, shorter] = widthMm >= heightMm ? (['width', 'height'] as const) : (['height', 'width'] as const);
  return gives[longer] ? longer : gives[shorter] ? shorter : null;
}
