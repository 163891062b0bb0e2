import { polygonsArea } from '../geometry/ring.ts';
import { mixFor } from '../takeoff/mixes/planMixes.ts';
import { differs, sumOf, unlike, type Law } from './law.ts';

/** The zones of a surface are its tiles, each in one; what is stirred for all of them is what the order has. */
export const zonesAddUp: Law = (job, { surfaces, materials, mixes }) => {
  const nameOf = (id: string): string => job.surfaces.find((surface) => surface.id === id)?.name ?? id;
  const ofSurfaces = surfaces.flatMap(({ surfaceId, zones: { zones }, traced, toCut, totals }) =>
    zones.length === 0
      ? []
      : [
          ...differs(
            `${nameOf(surfaceId)}: zones and surface, m²`,
            sumOf(zones, ({ areaMm2 }) => areaMm2) / 1e6,
            polygonsArea(traced.region) / 1e6,
            1e-4,
          ),
          ...differs(
            `${nameOf(surfaceId)}: whole pieces of the zones`,
            sumOf(zones, ({ wholePieces }) => wholePieces),
            totals.whole,
          ),
          ...unlike(
            `${nameOf(surfaceId)}: cuts of the zones`,
            zones.flatMap(({ cuts: own }) => own),
            toCut.flatMap(({ label, strip }) => (strip ? [] : [label])),
          ),
        ],
  );
  const ofMixes = mixes.flatMap((mix) => {
    if (mix.item === 'leveller') return [];
    const own = surfaces.filter(({ surfaceId }) => mix.surfaces.some((one) => one.surfaceId === surfaceId));
    const stirred = sumOf(own, ({ surfaceId, zones: { zones } }) =>
      sumOf(zones, ({ areaMm2 }) => mixFor(mix, surfaceId, areaMm2 / 1e6)?.powderKg ?? 0),
    );
    const line = materials.find(({ item, variant }) => item === mix.item && (variant ?? null) === mix.variant);
    return [
      ...differs(`${mix.item}: the zones and the order, kg`, stirred, line?.quantity ?? 0, 1e-4),
      ...differs(`${mix.item}: the mixes and the order, kg`, (mix.count - 1) * mix.powderKg + mix.lastKg, line?.quantity ?? 0),
    ];
  });
  return [...ofSurfaces, ...ofMixes];
};
