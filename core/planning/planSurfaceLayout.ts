import { describeCuts } from '../cuts/cutPiece.ts';
import { groupCuts } from '../cuts/groupCuts.ts';
import { startLabels } from '../cuts/labelPieces.ts';
import { planSheets } from '../cuts/sheets/planSheets.ts';
import { productOf, type Surface } from '../job/job.ts';
import { adviseSetout, chooseSetout, rivalSetouts } from '../setout/weigh/chooseSetout.ts';
import { levelFigures } from '../surface/levels/levelFigures.ts';
import { measureExtent } from '../takeoff/measureExtent.ts';
import { actualSize } from '../tile/product.ts';
import { drawingOf, prepareSurface } from './drawSurface.ts';
import type { PlanRules, SurfaceLayout } from './planned.ts';

/** The parts of planning a surface, in their order. */
export type PlanStage = 'placing' | 'comparing' | 'cuts' | 'offCuts';

/** How far planning has come: between 0 and 1. */
export interface PlanProgress {
  readonly stage: PlanStage;
  readonly share: number;
}

/** What one surface has by itself, a step at a time, so that it can be watched and given up between steps. */
export function* layoutSteps(rules: PlanRules, surface: Surface): Generator<PlanProgress, SurfaceLayout> {
  yield { stage: 'placing', share: 0 };
  const ready = prepareSurface(rules, surface);
  const { place, traced } = ready;
  const chosen = chooseSetout(place, surface.setout);
  const drawing = drawingOf(surface, ready, chosen);
  const rivals = rivalSetouts(chosen);
  for (const [k, { x, y }] of rivals.entries()) {
    yield { stage: 'comparing', share: 0.1 + (0.6 * k) / rivals.length };
    place.weigh(x, y);
  }
  const advice = adviseSetout(place, chosen, drawing);
  yield { stage: 'cuts', share: 0.7 };
  const labels = startLabels(drawing.fields);
  const cuts = describeCuts(drawing, rules.products, labels);
  yield { stage: 'cuts', share: 0.85 };
  const groups = groupCuts(cuts, rules.products);
  yield { stage: 'offCuts', share: 0.9 };
  const { levels } = surface.measured;
  const { widthMm, heightMm } = actualSize(productOf(rules, surface));
  return {
    ...drawing,
    levels: levels && levelFigures(levels, traced.field, rules.practice, Math.max(widthMm, heightMm)),
    extent: measureExtent(traced, drawing.fields),
    advice,
    labels,
    cuts,
    groups,
    sheets: planSheets(drawing.fields, rules.consumption.offCutsKept),
  };
}
