import type { Memory } from '../../memory.ts';
import { describeCuts } from '../../cuts/cutPiece.ts';
import { groupCuts } from '../../cuts/groupCuts.ts';
import { startLabels } from '../../cuts/labelPieces.ts';
import { cutWithSheets } from '../../cuts/sheets/cutWithSheets.ts';
import { piecesToCut } from '../../cuts/sheets/sheetPieces.ts';
import { planSheets } from '../../cuts/sheets/planSheets.ts';
import { productOf, type Surface } from '../../job/job.ts';
import { adviseSetout, type SetoutAdvice } from '../../setout/tell/adviseSetout.ts';
import { choosingForPlan, QUICK } from '../../setout/search/chooseSetout.ts';
import { BEST_SETOUT } from '../../setout/choice/setoutChoice.ts';
import { handyPart } from '../../surface/squareTriangle.ts';
import { levelFigures } from '../../surface/levels/levelFigures.ts';
import { measureSite } from '../../takeoff/works/measureSite.ts';
import { stripPieces } from '../../takeoff/works/stripPieces.ts';
import { measureExtent } from '../../takeoff/measureExtent.ts';
import { actualSize } from '../../tile/product.ts';
import { drawingOf } from './drawSurface.ts';
import { fewestSheets } from '../share/fewestSheets.ts';
import { groupedSetout, groupFigures, groupsOf, type Groups } from '../groups/groupSetouts.ts';
import type { Drawing, LayoutRules, SurfaceLayout } from '../planned.ts';
import { prepareSurface } from '../prepare/prepareSurface.ts';

/** The parts of planning a surface, in their order. */
export type PlanStage = 'placing' | 'comparing' | 'cuts' | 'offCuts';

/** How far planning has come: between 0 and 1. */
export interface PlanProgress {
  readonly stage: PlanStage;
  readonly share: number;
}

/** What one surface has by itself, a step at a time, so that it can be watched and given up between steps. */
export function* layoutSteps(rules: LayoutRules, surface: Surface, memory: Memory): Generator<PlanProgress, SurfaceLayout> {
  yield { stage: 'placing', share: 0 };
  const ready = prepareSurface(rules, surface, memory);
  const { placer } = ready;
  const groups = groupsOf(rules, memory);
  const setout = groupedSetout(groups, surface);
  const found = yield* compared(choosingForPlan(placer, setout), 0.05);
  const chosen = fewestSheets(rules, placer, setout, found.best);
  const drawing = drawingOf(surface, ready, handyPart(surface.tape ?? rules.tape), chosen);
  // What the product would choose leaves joints that run on over an edge where they are.
  const free = groupedSetout(groups, {
    ...surface,
    setout: { ...BEST_SETOUT, ...(surface.setout.pins ? { pins: surface.setout.pins } : {}) },
  });
  const isOwn = JSON.stringify(setout) !== JSON.stringify(free);
  const freeFound = isOwn ? yield* compared(choosingForPlan(placer, free), 0.35) : found;
  const advice = adviseSetout(placer, chosen, placer.weighLaid(chosen, drawing), freeFound);
  return yield* finishSteps(rules, surface, drawing, advice, groups);
}

/** What follows once a setout is drawn: every cut described, sheets and levels. */
export function* finishSteps(
  rules: LayoutRules,
  surface: Surface,
  drawing: Drawing,
  advice: SetoutAdvice,
  groups: Groups,
): Generator<PlanProgress, SurfaceLayout> {
  yield { stage: 'cuts', share: 0.7 };
  const labels = startLabels(drawing.fields, surface.counted, surface.pattern.kind);
  const sheets = planSheets(drawing.fields, rules.products, rules.consumption.offCutsKept);
  const cuts = cutWithSheets(describeCuts(drawing, rules.products, labels, rules.consumption.coreBitsMm), sheets);
  yield { stage: 'cuts', share: 0.85 };
  const product = productOf(rules, surface);
  const strips = stripPieces({ ...surface, ...drawing, product }, rules.consumption);
  const byHand = piecesToCut({ fields: drawing.fields, cuts }, sheets, rules.products);
  const toCut = strips.length === 0 ? byHand : [...byHand, ...strips];
  const cutGroups = groupCuts(toCut, rules.products);
  yield { stage: 'offCuts', share: 0.9 };
  const { levels } = surface.measured;
  const { widthMm, heightMm } = actualSize(product);
  const leveled = levels && levelFigures(levels, drawing.traced.field, rules.practice, Math.max(widthMm, heightMm));
  const laidSite = { ...surface, ...drawing, product, levels: leveled, fill: levels?.fill ?? null };
  return {
    ...drawing,
    laid: { kind: surface.kind, zones: surface.zones },
    levels: leveled,
    site: measureSite(laidSite, rules.practice),
    extent: measureExtent(drawing.traced, drawing.fields),
    advice,
    group: groupFigures(groups, surface),
    labels,
    cuts,
    toCut,
    fromTiles: strips.length === 0 ? cuts : [...cuts, ...strips],
    groups: cutGroups,
    sheets,
  };
}

/** Goes through a search, telling how far it has come from a share of the whole on. */
function* compared<T>(steps: Generator<number, T>, from: number): Generator<PlanProgress, T> {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    yield { stage: 'comparing', share: from + 0.3 * Math.min(1, step.value / (2 * QUICK.trials)) };
  }
}
