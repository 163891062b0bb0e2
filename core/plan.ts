import { Memory } from './memory.ts';
import type { Finding } from './advice/finding.ts';
import { adviseJob } from './advice/registry.ts';
import { findingsOn } from './advice/findingsOn.ts';
import { issuesOfSurface } from './job/checkJob.ts';
import type { Job, Surface } from './job/job.ts';
import type { Tool } from './cuts/cutTool.ts';
import { mixPaces, workHours } from './labour/workHours.ts';
import { planMoney, type Money } from './money/planMoney.ts';
import { priceMaterials, type Material } from './money/priceMaterials.ts';
import { layOnDays } from './plan/share/layOnDays.ts';
import { briefOf } from './plan/layout/briefOf.ts';
import { knownLayout, rememberLayout } from './plan/layout/knownLayouts.ts';
import { layoutSteps, type PlanProgress } from './plan/layout/planSurfaceLayout.ts';
import type { PlanRules, SurfaceLayout, SurfacePlan } from './plan/planned.ts';
import { shareOut } from './plan/share/shareOut.ts';
import type { Issue } from './result.ts';
import { placesOf } from './job/placesOf.ts';
import { laidByDay } from './programme/laidByDay.ts';
import type { Programme } from './programme/programme.ts';
import { planMixes, type Mix } from './takeoff/mixes/planMixes.ts';
import { takeOff } from './takeoff/registry.ts';

/** A surface that can't be planned as it stands, and why; paths within the surface. */
export interface Unplanned {
  readonly surfaceId: string;
  readonly issues: readonly Issue[];
}

/** Everything about a job. */
export interface Plan {
  /** The surfaces that could be planned, in their order. */
  readonly surfaces: readonly SurfacePlan[];
  readonly unplanned: readonly Unplanned[];
  readonly materials: readonly Material[];
  readonly mixes: readonly Mix[];
  readonly money: Money;
  /** On days from the one that was chosen, else from a Monday that stands for any. */
  readonly programme: Programme;
  readonly findings: readonly Finding[];
}

/**
 * Job in, Plan out: pure. Each surface is laid out by itself first, then come the stages that surfaces share. What is in the
 * memory makes it quicker, never different.
 */
export const plan = (job: Job, memory: Memory = new Memory()): Plan =>
  completePlan(
    job,
    job.surfaces.map((surface) => layOutOrTell(job, surface, memory)),
    memory,
  );

/** The stages that surfaces share, over their layouts: off-cuts, quantities, money, advice. */
export function completePlan(job: Job, laidOut: readonly (SurfaceLayout | Unplanned)[], memory: Memory): Plan {
  const surfaces = shareOut(
    job,
    laidOut.filter((one): one is SurfaceLayout => !('issues' in one)),
    memory,
  );
  const figures = surfaces.map((surface) => surface.figures);
  const work = workHours(figures, job);
  const programme = layOnDays(job, work, figures);
  const quantities = takeOff({ ...job, laidByDay: laidByDay(programme, work, placesOf(job)) }, figures);
  const materials = priceMaterials(quantities, job);
  const money = planMoney(job, materials, figures, { work, programme, cuts: toolsNamed(surfaces) });
  return {
    surfaces,
    unplanned: laidOut.filter((one): one is Unplanned => 'issues' in one),
    materials,
    mixes: planMixes(quantities, job, { m2PerHour: mixPaces(work) }),
    money,
    programme,
    findings: [
      ...job.surfaces.flatMap((surface) =>
        findingsOn(job, surface, surfaces.find(({ surfaceId }) => surfaceId === surface.id) ?? null, memory),
      ),
      ...adviseJob({ job, surfaces, materials, programme }),
    ],
  };
}

/** How often the cuts of all surfaces name each tool. */
function toolsNamed(surfaces: readonly SurfacePlan[]): Partial<Record<Tool, number>> {
  const named: Partial<Record<Tool, number>> = {};
  for (const { toCut } of surfaces) for (const { tool } of toCut) named[tool] = (named[tool] ?? 0) + 1;
  return named;
}

/** The whole plan of one surface by itself. */
export const planSurface = (rules: PlanRules, surface: Surface, memory: Memory = new Memory()): SurfacePlan =>
  shareOut(rules, [runThrough(layoutSteps(rules, surface, memory))], memory)[0];

/** The whole plan of one surface a step at a time, so that it can be watched and given up between steps. */
export function* planSteps(rules: PlanRules, surface: Surface, memory: Memory = new Memory()): Generator<PlanProgress, SurfacePlan> {
  const layout = yield* layoutSteps(rules, surface, memory);
  return shareOut(rules, [layout], memory)[0];
}

/**
 * Lays a surface out, or tells why it can't be: what today's checks find in it where there is something, a place
 * that was never thought of where there is nothing.
 */
export function layOutOrTell(job: Job, surface: Surface, memory: Memory): SurfaceLayout | Unplanned {
  const brief = briefOf(job, surface);
  try {
    return knownLayout(brief, memory) ?? rememberLayout(brief, runThrough(layoutSteps(job, surface, memory)), memory);
  } catch (error) {
    const issues = issuesOfSurface(job, surface);
    const reason = error instanceof Error ? error.message : String(error);
    return {
      surfaceId: surface.id,
      issues: issues.length > 0 ? issues : [{ code: 'surface/can-not-plan', path: [], figures: { reason } }],
    };
  }
}

function runThrough<T>(steps: Generator<unknown, T>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
