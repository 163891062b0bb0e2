import { surfaceMix } from '../../../plan/share/surfaceMix.ts';
import { mixFor } from '../../../takeoff/mixes/planMixes.ts';
import type { AdviceRule } from '../../finding.ts';

/** Mixes are told in halves of a kilogram. */
const ROUNDED = 1.1;

/** No zone is set smaller, m². */
const LEAST_M2 = 0.1;

/** A zone set by hand whose mix is more than can be laid before it sets, or than the bucket holds. */
export const mixTooLarge: AdviceRule = ({ job, surface, surfaceIndex, plan: { figures, zones } }) => {
  if (surface.zones?.areaM2 === undefined || zones.zones.length === 0) return [];
  const mix = surfaceMix(figures, job);
  const largest = zones.zones.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
  const mixKg = mix && mixFor(mix, surface.id, largest.areaMm2 / 1e6)?.powderKg;
  if (!mix || mix.limit === 'need' || !mixKg || mixKg <= mix.powderKg * ROUNDED) return [];
  const path = ['surfaces', surfaceIndex, 'zones', 'areaM2'];
  return [
    {
      code: 'advice/mix-too-large',
      severity: 'warning',
      path,
      figures: { zone: largest.number, mixKg, mostKg: mix.powderKg, limit: mix.limit },
      mend: { path, value: Math.max(LEAST_M2, Math.floor(mix.areaM2 * 10) / 10) },
    },
  ];
};
