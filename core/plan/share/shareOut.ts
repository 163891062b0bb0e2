import { planOffCuts } from '../../cuts/offCuts/planOffCuts.ts';
import type { OffCutRule } from '../../cuts/offCuts/planKind.ts';
import { layingZones, type LayingZones } from '../../zones/layingZones.ts';
import type { SurfaceFigures } from '../../takeoff/figures.ts';
import { surfaceFigures } from '../../takeoff/surfaceFigures.ts';
import { totalsOf } from '../../takeoff/totals.ts';
import type { PlanRules, SurfaceLayout, SurfacePlan } from '../planned.ts';
import { surfaceMix } from './surfaceMix.ts';

/**
 * The stage after all surfaces are laid out: which tiles are opened for the cuts of each, what one leaves for another,
 * and what it takes. Surfaces are laid in their order.
 */
export function shareOut(rules: PlanRules, layouts: readonly SurfaceLayout[]): SurfacePlan[] {
  const plans = planOffCuts(layouts, rules.products, cutRuleOf(rules));
  return layouts.map((layout, k) => {
    const figures = surfaceFigures(layout, plans[k], rules.products);
    return {
      ...layout,
      offCuts: plans[k],
      figures,
      totals: totalsOf(figures, rules.consumption, rules.products),
      zones: zonesOf(layout, figures, rules),
    };
  });
}

/** What of the rules of a job the plan of its off-cuts keeps to. */
export const cutRuleOf = ({ consumption, blanks }: Pick<PlanRules, 'consumption' | 'blanks'>): OffCutRule => ({ ...consumption, blanks });

/** The zones of a surface: unless the person says otherwise, each of what one mix of adhesive covers. */
function zonesOf(layout: SurfaceLayout, figures: SurfaceFigures, rules: PlanRules): LayingZones {
  const mix = surfaceMix(figures, rules);
  const areaM2 = mix && mix.areaM2 > 0 ? mix.areaM2 : USUAL_ZONE_M2;
  const before = parted.get(layout);
  if (before?.areaM2 === areaM2) return before.zones;
  const zones = layingZones({ ...layout, ...layout.laid }, areaM2);
  parted.set(layout, { areaM2, zones });
  return zones;
}

/** The zones of a layout, as they were parted last. */
const parted = new WeakMap<SurfaceLayout, { readonly areaM2: number; readonly zones: LayingZones }>();

/** Where nothing is mixed, m². */
const USUAL_ZONE_M2 = 2;
