import { ROUNDED_OFTEN } from '../../tolerances.ts';
import { mixFor, type Mix } from './planMixes.ts';

/** What is stirred for one laying zone, kg of powder and l of water. */
export interface ZoneMix {
  readonly zoneId: string;
  readonly number: number;
  readonly powderKg: number;
  readonly waterL: number;
  readonly liquid: Mix['liquid'];
}

/** A surface with its laying zones. */
interface ZonedSurface {
  readonly surfaceId: string;
  readonly zones: { readonly zones: readonly { readonly id: string; readonly number: number; readonly areaMm2: number }[] };
}

/** What is stirred for the zones of one surface. */
export interface SurfaceMixes {
  readonly surfaceId: string;
  readonly zones: readonly ZoneMix[];
}

/**
 * Adhesive is stirred for each laying zone by itself: none is larger than one mix does. What the zones of all surfaces of
 * a mix take; empty for grout and leveller, which are spread over everything at once.
 */
export function zoneMixes(mix: Mix, surfaces: readonly ZonedSurface[]): SurfaceMixes[] {
  if (mix.item !== 'adhesive') return [];
  return surfaces.flatMap(({ surfaceId, zones: { zones } }) => {
    const own = zones.flatMap(({ id, number, areaMm2 }) => {
      const share = mixFor(mix, surfaceId, areaMm2 / 1e6);
      return share ? [{ zoneId: id, number, ...share }] : [];
    });
    return own.length > 0 ? [{ surfaceId, zones: own }] : [];
  });
}

/** A weight as it is set on a scale, kg: up to the next tenth, under a kilogram to the next ten grams. */
export const onScale = (kg: number): number =>
  kg < 0.995 ? Math.ceil(kg * 100 - ROUNDED_OFTEN) / 100 : Math.ceil(kg * 10 - ROUNDED_OFTEN) / 10;
