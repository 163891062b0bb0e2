import { adviseSurface } from './advice/registry.ts';
import type { Finding } from './advice/finding.ts';
import { describeCuts, type CutPiece } from './cuts/cutPiece.ts';
import { groupCuts, type CutGroup } from './cuts/groupCuts.ts';
import { startLabels, type Labels } from './cuts/labelPieces.ts';
import { planOffCuts, type OffCutPlan } from './cuts/offCutPlan.ts';
import { planSheets, type SheetPlan } from './cuts/sheets/planSheets.ts';
import { productOf, type Job, type Surface } from './job/job.ts';
import { roundMoney } from './money/packs.ts';
import {
  adviseSetout,
  candidatePlacer,
  chooseSetout,
  rankSetouts,
  rivalSetouts,
  type Placer,
  type SetoutAdvice,
} from './setout/chooseSetout.ts';
import type { Candidate } from './setout/candidate.ts';
import type { EdgeSummary } from './setout/edgeCuts.ts';
import type { Field } from './setout/field.ts';
import { openSurface } from './setout/fields/openSurface.ts';
import type { OpenField } from './setout/fields/placeFields.ts';
import type { Layout } from './setout/layout.ts';
import { settingOutLines, type SettingOutLine } from './setout/settingOutLines.ts';
import { isSlanting, slantingLines, type SlantingLine } from './setout/slantingLines.ts';
import { levelFigures, type LevelFigures } from './surface/levels/levelFigures.ts';
import { traceSurface, type Traced } from './surface/traceSurface.ts';
import { surfaceFigures, totalsOf, type Areas, type Totals } from './takeoff/surfaceFigures.ts';
import { takeOff } from './takeoff/takeOff.ts';
import type { Material, SurfaceFigures } from './takeoff/material.ts';
import { actualSize } from './tile/product.ts';
import { measureAreas } from './takeoff/surfaceFigures.ts';

/** Where every piece of one surface lies: what the drawing shows. Plain data, quick to compute. */
export interface Drawing {
  readonly surfaceId: string;
  readonly traced: Traced;
  /** The main field as laid. */
  readonly layout: Layout;
  /** Every field, the main one first: stretches beyond bands, bands, borders, insets. */
  readonly fields: readonly Field[];
  readonly choice: Pick<Candidate, 'x' | 'y' | 'sides'>;
  readonly edges: readonly EdgeSummary[];
  readonly lines: readonly SettingOutLine[];
  /** Lines of a turned pattern; then there are no others. */
  readonly slants: readonly SlantingLine[];
}

/** Everything about one surface. */
export interface SurfacePlan extends Drawing {
  /** What the levels come to; null before there are three readings. */
  readonly levels: LevelFigures | null;
  readonly areas: Areas;
  readonly advice: SetoutAdvice;
  /** How pieces are named, field by field. */
  readonly labels: readonly Labels[];
  readonly cuts: readonly CutPiece[];
  readonly groups: readonly CutGroup[];
  /** The sheets of mosaics, product by product. */
  readonly sheets: readonly SheetPlan[];
  readonly offCuts: OffCutPlan;
  readonly totals: Totals;
  readonly figures: SurfaceFigures;
}

/** Everything about a job. */
export interface Plan {
  readonly surfaces: readonly SurfacePlan[];
  readonly materials: readonly Material[];
  readonly money: { readonly currency: string; readonly total: number };
  readonly findings: readonly Finding[];
}

/** Job in, Plan out: pure, and the only computation there is. The job must have passed checkJob. */
export const plan = (job: Job): Plan =>
  completePlan(
    job,
    job.surfaces.map((surface) => planSurface(job, surface)),
  );

/** The plan of a job whose surfaces are planned, in their order: what to order, what it costs, what to know. */
export function completePlan(job: Job, surfaces: readonly SurfacePlan[]): Plan {
  const materials = takeOff(
    job,
    surfaces.map((planned) => planned.figures),
  );
  const total = roundMoney(materials.reduce((sum, material) => sum + material.cost, 0));
  const findings = surfaces.flatMap((planned, surfaceIndex) => {
    const surface = job.surfaces[surfaceIndex];
    return adviseSurface({ job, surface, surfaceIndex, product: productOf(job, surface), plan: planned });
  });
  return { surfaces, materials, money: { currency: job.currency, total }, findings };
}

/** The first half of a surface's plan: all that the drawing needs. */
export function drawSurface(job: Job, surface: Surface): Drawing {
  const stage = stageSurface(job, surface);
  return drawingOf(surface, stage, chooseSetout(stage.place, surface.setout));
}

/** The parts of planning a surface, in their order. */
export type PlanStage = 'placing' | 'comparing' | 'cuts' | 'offCuts';

/** How far planning has come: between 0 and 1. */
export interface PlanProgress {
  readonly stage: PlanStage;
  readonly share: number;
}

/** The whole plan of one surface. */
export function planSurface(job: Job, surface: Surface): SurfacePlan {
  const steps = planSteps(job, surface);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** The whole plan of one surface a step at a time, so that it can be watched and given up between steps. */
export function* planSteps(job: Job, surface: Surface): Generator<PlanProgress, SurfacePlan> {
  yield { stage: 'placing', share: 0 };
  const product = productOf(job, surface);
  const stage = stageSurface(job, surface);
  const chosen = chooseSetout(stage.place, surface.setout);
  const drawing = drawingOf(surface, stage, chosen);
  // The placer remembers what it placed: rivals are placed one by one here, and compared below.
  const rivals = rivalSetouts(chosen);
  for (const [k, { x, y }] of rivals.entries()) {
    yield { stage: 'comparing', share: 0.1 + (0.6 * k) / rivals.length };
    stage.place(x, y);
  }
  const advice = adviseSetout(stage.place, chosen, stage.open.ground.limits);
  yield { stage: 'cuts', share: 0.7 };
  const labels = startLabels(drawing.fields);
  const cuts = describeCuts(drawing, job.products, labels);
  yield { stage: 'cuts', share: 0.85 };
  const groups = groupCuts(cuts, job.products);
  yield { stage: 'offCuts', share: 0.9 };
  const sheets = planSheets(drawing.fields, job.consumption.offCutsKept);
  const offCuts = planOffCuts(cuts, job.products, job.consumption, sheets);
  const areas = measureAreas(stage.traced, drawing.fields);
  const { widthMm, heightMm } = actualSize(product);
  const { levels } = surface.measured;
  const figures = surfaceFigures(surface.id, drawing, { cuts, offCuts, sheets }, areas, job.products);
  return {
    ...drawing,
    levels: levels && levelFigures(levels, stage.traced.field, job.practice, Math.max(widthMm, heightMm)),
    areas,
    advice,
    labels,
    cuts,
    groups,
    sheets,
    offCuts,
    figures,
    totals: totalsOf(figures, job.consumption, job.products),
  };
}

/** The setouts the product compares for a surface, the best first. */
export const setoutsOf = (job: Job, surface: Surface): Candidate[] => rankSetouts(stageSurface(job, surface).place);

interface Stage {
  readonly traced: Traced;
  readonly open: OpenField;
  readonly place: Placer;
}

function stageSurface(job: Job, surface: Surface): Stage {
  const traced = traceSurface(surface.measured);
  const open = openSurface(surface, traced, job.products);
  return { traced, open, place: candidatePlacer(open) };
}

const drawingOf = (surface: Surface, { traced, open }: Stage, { layout, fields, edges, sides, x, y }: Candidate): Drawing => ({
  surfaceId: surface.id,
  traced,
  layout,
  fields: [...fields, ...open.fixed],
  edges,
  choice: { x, y, sides },
  lines: isSlanting(layout.repeat) ? [] : settingOutLines(layout, traced),
  slants: slantingLines(layout, traced),
});
