import { mixPaces, workHours } from '../../labour/workHours.ts';
import type { SurfaceFigures } from '../../takeoff/figures.ts';
import { planMixes, type Mix } from '../../takeoff/mixes/planMixes.ts';
import { takeOff } from '../../takeoff/registry.ts';
import type { PlanRules } from '../planned.ts';

/** The mix of adhesive that a surface takes by itself: what its zones are sized by; undefined where nothing is mixed. */
export function surfaceMix(figures: SurfaceFigures, rules: PlanRules): Mix | undefined {
  const work = workHours([figures], rules);
  return planMixes(takeOff(rules, [figures], ['adhesive']), rules, { m2PerHour: mixPaces(work) }).at(0);
}
