import { planOffCuts } from '../cuts/offCutPlan.ts';
import { surfaceFigures } from '../takeoff/surfaceFigures.ts';
import { totalsOf } from '../takeoff/totals.ts';
import type { PlanRules, SurfaceLayout, SurfacePlan } from './planned.ts';

/**
 * The stage after all surfaces are laid out: which tiles are opened for the cuts of each, and what it takes.
 * Today each surface opens its own tiles; what may be shared across surfaces is decided here and nowhere else.
 */
export const shareOut = (rules: PlanRules, layouts: readonly SurfaceLayout[]): SurfacePlan[] =>
  layouts.map((layout) => {
    const offCuts = planOffCuts(layout.cuts, rules.products, rules.consumption, layout.sheets);
    const figures = surfaceFigures(layout, offCuts, rules.products);
    return { ...layout, offCuts, figures, totals: totalsOf(figures, rules.consumption, rules.products) };
  });
