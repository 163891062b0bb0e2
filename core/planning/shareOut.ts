import { planOffCuts } from '../cuts/offCuts/planOffCuts.ts';
import { surfaceFigures } from '../takeoff/surfaceFigures.ts';
import { totalsOf } from '../takeoff/totals.ts';
import type { PlanRules, SurfaceLayout, SurfacePlan } from './planned.ts';

/**
 * The stage after all surfaces are laid out: which tiles are opened for the cuts of each, what one leaves for another,
 * and what it takes. Surfaces are laid in their order.
 */
export function shareOut(rules: PlanRules, layouts: readonly SurfaceLayout[]): SurfacePlan[] {
  const plans = planOffCuts(layouts, rules.products, { ...rules.consumption, blanks: rules.blanks });
  return layouts.map((layout, k) => {
    const figures = surfaceFigures(layout, plans[k], rules.products);
    return { ...layout, offCuts: plans[k], figures, totals: totalsOf(figures, rules.consumption, rules.products) };
  });
}
