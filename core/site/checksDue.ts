import type { LayingZone } from '../zones/layingZones.ts';
import type { SurfaceKind } from '../surface/surface.ts';
import { isZoneLaid } from './zoneTicks.ts';
import { entriesOf, type CHECKS, type Entry } from './entry.ts';

/** A check that is looked at on the way. */
export type Check = (typeof CHECKS)[number];

/** How often each is made, in zones that are laid (trade practice): once after the first, or every so many. */
const EVERY: Readonly<Record<SurfaceKind, readonly { readonly check: Check; readonly zones: number }[]>> = {
  floor: [
    { check: 'diagonal', zones: Infinity },
    { check: 'coverage', zones: 5 },
    { check: 'level', zones: 3 },
    { check: 'controlLine', zones: 4 },
  ],
  wall: [
    { check: 'level', zones: 2 },
    { check: 'plumb', zones: 2 },
    { check: 'coverage', zones: 4 },
  ],
  countertop: [
    { check: 'level', zones: 1 },
    { check: 'coverage', zones: 3 },
  ],
};

/** How many zones are laid: those that were said to be, or whose cuts all are. What has no cuts counts once something after it is laid. */
export function zonesLaid(zones: readonly LayingZone[], isLaid: (label: string) => boolean): number {
  let laid = 0;
  zones.forEach((zone, k) => {
    if (isZoneLaid(zone, isLaid)) laid = k + 1;
  });
  return laid;
}

/** The checks that a surface is due, those first that are asked for first: made less often than the zones laid ask for. */
export function checksDue(surface: { readonly id: string; readonly kind: SurfaceKind }, laid: number, entries: readonly Entry[]): Check[] {
  if (laid === 0) return [];
  const readings = entriesOf(entries, 'reading').filter(({ surfaceId }) => surfaceId === surface.id);
  return EVERY[surface.kind].flatMap(({ check, zones }) => {
    // After the first zone, and after every so many more.
    const asked = 1 + (zones === Infinity ? 0 : Math.floor((laid - 1) / zones));
    return readings.filter(({ data }) => data.check === check).length < asked ? [check] : [];
  });
}
