import type { Memory, Shelf } from '../../memory.ts';
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
export function shareOut(rules: PlanRules, layouts: readonly SurfaceLayout[], memory: Memory): SurfacePlan[] {
  const plans = planOffCuts(layouts, rules.products, cutRuleOf(rules), memory);
  return layouts.map((layout, k) => {
    const figures = surfaceFigures(layout, plans[k], rules.products);
    return {
      ...layout,
      offCuts: plans[k],
      figures,
      totals: totalsOf(figures, rules.consumption, rules.products),
      zones: zonesOf(layout, figures, rules, memory),
    };
  });
}

/** What of the rules of a job the plan of its off-cuts keeps to. */
export const cutRuleOf = ({ consumption, blanks }: Pick<PlanRules, 'consumption' | 'blanks'>): OffCutRule => ({ ...consumption, blanks });

/** The zones of a surface: unless the person says otherwise, each of what one mix of adhesive covers. */
function zonesOf(layout: SurfaceLayout, figures: SurfaceFigures, rules: PlanRules, memory: Memory): LayingZones {
  const mix = surfaceMix(figures, rules);
  const areaM2 = mix && mix.areaM2 > 0 ? mix.areaM2 : USUAL_ZONE_M2;
  return memory.recallAbout(PARTED, layout, [areaM2], () => layingZones({ ...layout, ...layout.laid }, areaM2));
}

/** The zones of a layout, as they were parted last. */
const PARTED: Shelf<LayingZones> = { most: 1 };

/** Where nothing is mixed, m². */
const USUAL_ZONE_M2 = 2;
