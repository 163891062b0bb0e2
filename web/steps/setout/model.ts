import type { Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { isSameSetout } from '@azulejo/core/setout/tell/adviseSetout';
import type { LayingZone } from '@azulejo/core/zones/layingZones';
import type { ShownSetout } from '../../workers/planWorker.ts';

/** A start that is this much better is worth a word, as a share of the score. */
const WORTH = 0.01;

/** So many starts are looked at side by side. */
export const MOST_BESIDE = 3;

/** Whether a start lies as it is laid now: the same place, joint and pattern. */
export const isInForce = (start: ShownSetout, surface: Surface, plan: SurfacePlan): boolean =>
  isSameSetout(start.candidate, plan.advice.chosen) &&
  start.change.jointMm === surface.jointMm &&
  JSON.stringify(start.change.pattern) === JSON.stringify(surface.pattern);

/** Whether what is laid, and was left to the product, is clearly behind the best that a longer search found. */
export function isBehind(shown: readonly ShownSetout[], { setout }: Surface, plan: SurfacePlan): boolean {
  const [first] = shown;
  const isLeftToProduct = setout.x.rule === 'best' && setout.y.rule === 'best';
  if (!first || !isLeftToProduct) return false;
  return plan.advice.chosen.score - first.candidate.score > WORTH * Math.abs(first.candidate.score);
}

/** The starts that are looked at side by side, by their place in the list: the one asked for last stays. */
export const besides = (before: readonly number[], k: number, on: boolean): readonly number[] => {
  const others = before.filter((other) => other !== k);
  return on ? [...others, k].slice(-MOST_BESIDE) : others;
};

/** A start in the chart of what is left over against the narrowest piece. */
export interface TradePoint {
  readonly k: number;
  /** Null where nothing is cut, mm. */
  readonly narrowestMm: number | null;
  readonly wastePercent: number;
  readonly cuts: number;
}

/** How the starts trade what is left over against the narrowest piece; `narrowestOf` finds that of a start. */
export const tradePoints = (starts: readonly ShownSetout[], narrowestOf: (start: ShownSetout) => number | null): readonly TradePoint[] =>
  starts.map((start, k) => ({
    k,
    narrowestMm: narrowestOf(start),
    wastePercent: Math.round(start.plan.totals.wasteShare * 1000) / 10,
    cuts: start.plan.totals.cut,
  }));

/** The zones as they are wanted now, also while the plan is still catching up with the hand. */
export function zonesWanted(planned: readonly LayingZone[], order: readonly string[] = []): readonly LayingZone[] {
  const wanted = order.flatMap((id) => planned.find((zone) => zone.id === id) ?? []);
  return (wanted.length === planned.length ? wanted : planned).map((zone, k) => ({ ...zone, number: k + 1 }));
}

/** The order in which a zone is laid so many turns earlier or later; as it was where it can't be. */
export function orderMoved(zones: readonly Pick<LayingZone, 'id'>[], k: number, by: number): string[] {
  const order = zones.map(({ id }) => id);
  const to = k + by;
  if (to < 0 || to >= order.length) return order;
  [order[k], order[to]] = [order[to], order[k]];
  return order;
}
