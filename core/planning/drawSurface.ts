import type { Surface } from '../job/job.ts';
import type { Candidate, LaidSetout } from '../setout/weigh/candidate.ts';
import { candidatePlacer, chooseSetout, rankSetouts, type Placer } from '../setout/weigh/chooseSetout.ts';
import { openSurface } from '../setout/fields/openSurface.ts';
import type { OpenField } from '../setout/fields/placeFields.ts';
import { settingOutLines } from '../setout/lines/settingOutLines.ts';
import { isSlanting, slantingLines } from '../setout/lines/slantingLines.ts';
import { traceSurface, type Traced } from '../surface/traceSurface.ts';
import type { Drawing, PlanRules } from './planned.ts';

/** A surface that is ready to be set out. */
export interface OpenSurface {
  readonly traced: Traced;
  readonly open: OpenField;
  readonly place: Placer;
}

/** Traces a surface and opens its fields. */
export function prepareSurface({ products }: Pick<PlanRules, 'products'>, surface: Surface): OpenSurface {
  const traced = traceSurface(surface.measured);
  const open = openSurface(surface, traced, products);
  return { traced, open, place: candidatePlacer(open) };
}

/** The first stage of a surface's plan: all that the drawing needs. */
export function drawSurface(rules: Pick<PlanRules, 'products'>, surface: Surface): Drawing {
  const ready = prepareSurface(rules, surface);
  return drawingOf(surface, ready, chooseSetout(ready.place, surface.setout));
}

/** The setouts the product compares for a surface, the best first. */
export const setoutsOf = (rules: Pick<PlanRules, 'products'>, surface: Surface): Candidate[] =>
  rankSetouts(prepareSurface(rules, surface).place);

/** The same, each with what it lays. */
export function laidSetoutsOf(
  rules: Pick<PlanRules, 'products'>,
  surface: Surface,
): readonly (LaidSetout & { readonly candidate: Candidate })[] {
  const { place } = prepareSurface(rules, surface);
  return rankSetouts(place).map((candidate) => ({ ...place.lay(candidate), candidate }));
}

/** The drawing of a setout that was chosen. */
export function drawingOf(surface: Surface, { traced, open, place }: OpenSurface, candidate: Candidate): Drawing {
  const { fields, edges, beside } = place.lay(candidate);
  const [{ layout }] = fields;
  return {
    surfaceId: surface.id,
    traced,
    layout,
    fields: [...fields, ...open.fixed],
    edges,
    beside,
    choice: { x: candidate.x, y: candidate.y, sides: candidate.sides },
    lines: isSlanting(layout.repeat) ? [] : settingOutLines(layout, traced),
    slants: slantingLines(layout, traced),
  };
}
