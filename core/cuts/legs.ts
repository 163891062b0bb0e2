import { TOLERANCE_MM } from '../tolerances.ts';
import { distanceToStretch } from '../geometry/distanceToStretch.ts';
import { cross, distance, quarterTurn, subtract, unit } from '../geometry/point.ts';
import { reachWithin } from '../geometry/reachWithin.ts';
import type { CutPiece } from './cutPiece.ts';

/** What stays beside a notch or a slot, and what is left of the piece that way, mm. */
export interface Leg {
  readonly mm: number;
  /** The whole tile that way, mm. */
  readonly fullMm: number;
}

/** What is less is lost with the cut, mm. */
const LEAST_MM = 1;

/** Corners that turn in by less are part of a curve, as a sine. */
const SHARP_SINE = 0.5;

/** The legs at the inner corners of a piece: on from each along both sides that meet there, until the piece ends. A curve bites, it notches nothing. */
export function legsOf({ inTile: [outer], tile }: Pick<CutPiece, 'inTile' | 'tile'>): Leg[] {
  const ring = outer.filter((p, k) => distance(p, outer[(k + 1) % outer.length]) > TOLERANCE_MM);
  return ring
    .flatMap((at, k): Leg[] => {
      const into = unit(subtract(at, ring[(k + ring.length - 1) % ring.length]));
      const out = unit(subtract(ring[(k + 1) % ring.length], at));
      if (cross(into, out) > -SHARP_SINE) return [];
      return [into, quarterTurn(quarterTurn(out))].map((way) => ({
        mm: reachWithin(ring, at, way, TOLERANCE_MM),
        fullMm: reachWithin(tile, at, way) + reachWithin(tile, at, quarterTurn(quarterTurn(way))),
      }));
    })
    .filter(({ mm }) => mm > LEAST_MM);
}

/** What stays between a hole within a piece and its nearest side, mm; null where a piece has none: one that opens to a side is bitten out anyway. */
export function bridgeOf({ inTile: [outer, ...holes] }: Pick<CutPiece, 'inTile'>): number | null {
  const bridges = holes.flat().flatMap((p) => outer.map((a, k) => distanceToStretch(p, a, outer[(k + 1) % outer.length])));
  return bridges.length === 0 ? null : Math.min(...bridges);
}
