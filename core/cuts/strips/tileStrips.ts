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

/** Strips cut from tiles of one size. */
export interface TileStrips {
  /** Lengths of the pieces in the order of the run, mm. */
  readonly lengthsMm: readonly number[];
  /** Strips that a tile gives, side by side. */
  readonly perTile: number;
  /** How long such a strip is, mm. */
  readonly stripMm: number;
  /** The strips, each with the pieces cut from it. */
  readonly strips: readonly (readonly number[])[];
  readonly opened: number;
  /** No plan of such strips could need fewer tiles. */
  readonly lowerBound: number;
}

/** So many strips a tile gives across a side; none where it is narrower than a strip. */
export function stripsAcross(sideMm: number, { widthMm, kerfMm, factoryEdge }: StripRule): number {
  const fit = Math.floor((sideMm + kerfMm) / (widthMm + kerfMm) + ROUNDING);
  return factoryEdge ? Math.min(2, fit) : fit;
}

/**
 * Strips for runs of skirting or nosing, along whichever side of the tile opens fewer; null where the tile gives none. Each
 * run comes as the lengths of its pieces; those longer than the tile are parted.
 */
export function planTileStrips(runsMm: readonly number[], { widthMm, heightMm }: Size, rule: StripRule): TileStrips | null {
  const ways = [
    { along: widthMm, across: heightMm },
    { along: heightMm, across: widthMm },
  ].flatMap(({ along, across }): TileStrips[] => {
    const perTile = stripsAcross(across, rule);
    if (perTile < 1) return [];
    const lengthsMm = runsMm.flatMap((run) => partRun(run, along));
    const { bars, bound } = packLengths(lengthsMm, along, rule.kerfMm);
    const opened = Math.ceil(bars.length / perTile);
    return [{ lengthsMm, perTile, stripMm: along, strips: bars, opened, lowerBound: Math.ceil(bound / perTile) }];
  });
  return ways.sort((a, b) => a.opened - b.opened || a.lengthsMm.length - b.lengthsMm.length)[0] ?? null;
}
