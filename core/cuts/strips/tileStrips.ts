import { ROUNDING } from '../../tolerances.ts';
import type { Size } from '../../tile/product.ts';
import { packLengths, partRun } from './packLengths.ts';

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

/**
 * Along which side of the tile strips of these lengths are cut: where that opens fewer tiles if all came from tiles of their
 * own, else where there are fewer joints. Those longer than the tile are parted. Null where the tile gives none.
 */
export function stripSide(lengthsMm: readonly number[], { widthMm, heightMm }: Size, rule: StripRule): 'width' | 'height' | null {
  const ways = [
    { side: 'width' as const, along: widthMm, across: heightMm },
    { side: 'height' as const, along: heightMm, across: widthMm },
  ].flatMap(({ side, along, across }) => {
    const perTile = stripsAcross(across, rule);
    if (perTile < 1) return [];
    const pieces = lengthsMm.flatMap((mm) => partRun(mm, along));
    return [{ side, pieces: pieces.length, opened: Math.ceil(packLengths(pieces, along, rule.kerfMm).bars.length / perTile) }];
  });
  return ways.sort((a, b) => a.opened - b.opened || a.pieces - b.pieces)[0]?.side ?? null;
}
