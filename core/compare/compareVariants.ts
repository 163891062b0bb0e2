import type { Job } from '../job/job.ts';
import { FIRST_NAME, jobOfVariant, surfacesOf } from '../job/variants/variants.ts';
import type { Plan } from '../plan.ts';
import type { Issue } from '../result.ts';
import type { SurfacePlan } from '../plan/planned.ts';

/** One way to do it, with what it comes to. */
export interface ComparedVariant {
  /** Null for the way that stands. */
  readonly id: string | null;
  readonly name: string;
  /** The surfaces that any of the variants changes, as they are here. */
  readonly surfaces: readonly SurfacePlan[];
  readonly pieces: number;
  readonly cuts: number;
  readonly opened: number;
  readonly hours: number;
  readonly days: number;
  readonly materials: number;
  /** What the client pays, in cents. */
  readonly totalCents: number;
  /** The tiles of those surfaces, by id. */
  readonly products: readonly string[];
}

/** A variant that can't be planned, and why. */
export interface BrokenVariant {
  readonly id: string;
  readonly name: string;
  readonly issues: readonly Issue[];
}

/** The jobs to plan for a comparison: the way that stands first. */
export function waysOf(job: Job): {
  readonly ways: readonly { readonly id: string | null; readonly name: string; readonly job: Job }[];
  readonly broken: readonly BrokenVariant[];
} {
  const broken: BrokenVariant[] = [];
  const others = (job.variants ?? []).flatMap((variant) => {
    const own = jobOfVariant(job, variant);
    if (own.ok) return [{ id: variant.id, name: variant.name, job: own.value }];
    broken.push({ id: variant.id, name: variant.name, issues: own.issues });
    return [];
  });
  return { ways: [{ id: null, name: job.standing ?? FIRST_NAME, job }, ...others], broken };
}

/** The surfaces that are looked at side by side: those that any variant changes. */
export const comparedSurfaces = (job: Job): ReadonlySet<string> => new Set((job.variants ?? []).flatMap(({ edits }) => surfacesOf(edits)));

/** What one way comes to. */
export function compareWay(
  way: { readonly id: string | null; readonly name: string; readonly job: Job },
  plan: Plan,
  looked: ReadonlySet<string>,
): ComparedVariant {
  const surfaces = plan.surfaces.filter(({ surfaceId }) => looked.has(surfaceId));
  const sum = (figure: (surface: SurfacePlan) => number): number => surfaces.reduce((all, surface) => all + figure(surface), 0);
  const tiles = way.job.surfaces.filter(({ id }) => looked.has(id)).map(({ productId }) => productId);
  return {
    id: way.id,
    name: way.name,
    surfaces,
    pieces: sum(({ totals }) => totals.pieces),
    cuts: sum(({ totals }) => totals.cut),
    opened: sum(({ totals }) => totals.opened),
    hours: plan.money.hours,
    days: plan.money.days,
    materials: plan.money.total,
    totalCents: plan.money.quote.totalCents,
    products: [...new Set(tiles)],
  };
}
