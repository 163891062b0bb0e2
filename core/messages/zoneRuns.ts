import type { ZoneMix } from '../takeoff/mixes/zoneMixes.ts';

/** Zones one after the other that take the same. */
export interface ZoneRun {
  readonly from: number;
  readonly to: number;
  readonly share: string;
}

/** Zones of a surface in their order, those that take the same, as it is said, together. */
export function zoneRuns(zones: readonly ZoneMix[], shareOf: (zone: ZoneMix) => string): readonly ZoneRun[] {
  const runs: { from: number; to: number; share: string }[] = [];
  for (const zone of zones) {
    const share = shareOf(zone);
    const last = runs.at(-1);
    if (last?.share === share) last.to = zone.number;
    else runs.push({ from: zone.number, to: zone.number, share });
  }
  return runs;
}
