import { isZoneLaid, zoneTick } from '@azulejo/core/site/zoneTicks';
import type { TickState } from '@azulejo/core/site/tick';
import { zoneAtHand, type NextOn, type ZoneAtHand } from './model.ts';

/** A piece that is cut for a zone, and how far along it is. */
export interface ZonePiece {
  readonly label: string;
  readonly state: TickState;
}

/** The zone that is laid next, as it is shown. */
export interface ZoneToLay extends ZoneAtHand {
  readonly cuts: readonly ZonePiece[];
  /** Those that are still to be cut. */
  readonly missing: readonly string[];
  /** What one press ticks: the zone, and every piece that is cut for it. */
  readonly ticks: readonly string[];
}

/** What the view of laying shows: zone by zone, whole tiles and cuts together. */
export interface LayModel {
  readonly of: number;
  readonly left: number;
  /** Null where all zones are laid, or there is none. */
  readonly next: ZoneToLay | null;
}

/** The next zone to be laid on a surface, by what is ticked. */
export function layModel(on: NextOn, stateOf: (label: string) => TickState): LayModel {
  const { zones } = on.plan.zones;
  const left = zones.filter((zone) => !isZoneLaid(zone, (label) => stateOf(label) === 'laid'));
  const zone = left.at(0);
  if (!zone) return { of: zones.length, left: 0, next: null };
  const cuts = zone.cuts.map((label): ZonePiece => ({ label, state: stateOf(label) }));
  return {
    of: zones.length,
    left: left.length,
    next: {
      ...zoneAtHand(on, zone),
      cuts,
      missing: cuts.flatMap(({ label, state }) => (state === 'open' ? [label] : [])),
      ticks: [zoneTick(zone.id), ...zone.cuts],
    },
  };
}
