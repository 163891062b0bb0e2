import { expose } from 'comlink';
import type { Finding } from '@azulejo/core/advice/finding';
import { findingsOn } from '@azulejo/core/advice/findingsOn';
import { mendedJob, mendHolds } from '@azulejo/core/advice/mendHolds';
import { Memory } from '@azulejo/core/memory';
import type { Job } from '@azulejo/core/job/job';
import { lookingLonger, type LookedLonger } from '@azulejo/core/cuts/offCuts/lookLonger';
import { MOST_ROUNDS } from '@azulejo/core/takeoff/consumption';
import { completePlan, layOutOrTell, type Plan, type Unplanned } from '@azulejo/core/plan';
import { briefOf, type SurfaceBrief } from '@azulejo/core/plan/layout/briefOf';
import { rememberKept } from '@azulejo/core/plan/layout/keptLayouts';
import { knownLayout, rememberLayout, rememberPlanned } from '@azulejo/core/plan/layout/knownLayouts';
import { comparedSurfaces, compareWay, waysOf, type BrokenVariant, type ComparedVariant } from '@azulejo/core/compare/compareVariants';
import { drawSurface } from '@azulejo/core/plan/layout/drawSurface';
import type { SurfaceLayout, SurfacePlan } from '@azulejo/core/plan/planned';
import { layoutSteps, type PlanProgress } from '@azulejo/core/plan/layout/planSurfaceLayout';
import { compareSetouts, planCompared, type ComparedSetout, type ComparisonProgress } from '@azulejo/core/compare/compareSetouts';
import { cutRuleOf, shareOut } from '@azulejo/core/plan/share/shareOut';
import { stonesOf, type Ashlar } from '@azulejo/core/pattern/kinds/ashlar';
import type { Module } from '@azulejo/core/pattern/repeat';
import { unpack } from './unpack.ts';

/** A setout to choose, with the plan it leads to. */
export type ShownSetout = Omit<ComparedSetout, 'laid'> & { readonly plan: SurfacePlan };

/** After working this long the worker looks whether it should go on, ms. */
const LOOK_UP_MS = 40;

/** The ways to do a job, and those that can't be planned. */
export interface VariantsCompared {
  readonly compared: readonly ComparedVariant[];
  readonly broken: readonly BrokenVariant[];
}

/** A plan of off-cuts is looked for no longer than this, ms. */
const LOOK_LONGER_MS = 5000;

let wanted = 0;

const lookUp = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** What this worker worked out before, for as long as it runs. */
const memory = new Memory();

/** The whole plan of one surface, a step at a time; null where it was given up on the way. */
async function planSurface({ rules, surface }: SurfaceBrief, told: (progress: PlanProgress) => void): Promise<SurfacePlan | null> {
  const layout = await layOut({ rules, surface }, ++wanted, told);
  return layout && shareOut(rules, [layout], memory)[0];
}

async function layOut(
  { rules, surface }: SurfaceBrief,
  own: number,
  told: (progress: PlanProgress) => void,
): Promise<SurfaceLayout | null> {
  const remembered = knownLayout({ rules, surface }, memory);
  if (remembered) return remembered;
  const steps = layoutSteps(rules, surface, memory);
  let lookedUp = performance.now();
  for (;;) {
    const step = steps.next();
    if (step.done) return rememberLayout({ rules, surface }, step.value, memory);
    if (performance.now() - lookedUp < LOOK_UP_MS) continue;
    told(step.value);
    await lookUp();
    if (own !== wanted) return null;
    lookedUp = performance.now();
  }
}

/** Of some findings on a surface, those that a press mends: the finding is gone then, and no warning new. Null where it was given up on the way. */
async function mendsThatHold(job: Job, surfaceId: string, findings: readonly Finding[]): Promise<readonly number[] | null> {
  const own = wanted;
  const holding: number[] = [];
  for (const [k, finding] of findings.entries()) {
    // What one knows of is offered no mend.
    const mended = (finding.known ?? null) === null ? mendedJob(job, finding) : null;
    const surface = mended?.surfaces.find(({ id }) => id === surfaceId);
    if (!mended || !surface) continue;
    const brief = briefOf(mended, surface);
    const layout = await layOut(brief, own, () => undefined).catch(() => null);
    if (own !== wanted) return null;
    if (layout && mendHolds(finding, findings, findingsOn(mended, surface, shareOut(brief.rules, [layout], memory)[0], memory)))
      holding.push(k);
  }
  return holding;
}

/** The plan of a whole job, surface by surface, then what they share; null where it was given up on the way. */
async function planJob(job: Job, told: (surface: SurfacePlan) => void): Promise<Plan | null> {
  const own = ++wanted;
  const laidOut: (SurfaceLayout | Unplanned)[] = [];
  for (const surface of job.surfaces) {
    const brief = briefOf(job, surface);
    const remembered = knownLayout(brief, memory);
    const layout = remembered ?? (await layOut(brief, own, () => undefined).catch(() => layOutOrTell(job, surface, memory)));
    if (layout === null || own !== wanted) return null;
    laidOut.push(layout);
    // What has just been laid out is shown by itself; what was known comes with the whole plan soon enough.
    if (remembered || 'issues' in layout) continue;
    told(shareOut(job, [layout], memory)[0]);
    await lookUp();
    if (own !== wanted) return null;
  }
  return completePlan(job, laidOut, memory);
}

/** Looks longer for a plan that opens fewer tiles for the cuts of a whole job; where it is stopped, what it has come to. */
async function lookLonger(job: Job, told: (looked: LookedLonger) => void): Promise<LookedLonger | null> {
  const own = ++wanted;
  const layouts: SurfaceLayout[] = [];
  for (const surface of job.surfaces) {
    const layout = await layOut(briefOf(job, surface), own, () => undefined).catch(() => null);
    if (own !== wanted) return null;
    if (layout) layouts.push(layout);
  }
  const rounds = lookingLonger(layouts, job.products, cutRuleOf(job), MOST_ROUNDS);
  const until = performance.now() + LOOK_LONGER_MS;
  let lookedUp = performance.now();
  for (;;) {
    const round = rounds.next();
    const now = performance.now();
    if (round.done || now > until || own !== wanted) return round.value;
    if (now - lookedUp < LOOK_UP_MS) continue;
    told(round.value);
    await lookUp();
    lookedUp = now;
  }
}

/** The ways to do a job beside each other; null where it was given up on the way. */
async function compareVariants(job: Job): Promise<VariantsCompared | null> {
  const { ways, broken } = waysOf(job);
  const looked = comparedSurfaces(job);
  const compared: ComparedVariant[] = [];
  for (const way of ways) {
    const planned = await planJob(way.job, () => undefined);
    if (planned === null) return null;
    compared.push(compareWay(way, planned, looked));
  }
  return { compared, broken };
}

/** Setouts of a surface to choose from, each with its plan; null where it was given up on the way. */
async function compare(
  { rules, surface }: SurfaceBrief,
  told: (progress: ComparisonProgress) => void,
): Promise<readonly ShownSetout[] | null> {
  const own = ++wanted;
  const steps = compareSetouts(rules, surface, memory);
  let lookedUp = performance.now();
  for (;;) {
    const step = steps.next();
    if (step.done) {
      const shown: ShownSetout[] = [];
      for (const compared of step.value) {
        const { candidate, change, reasons, forgives } = compared;
        shown.push({ candidate, change, reasons, forgives, plan: planCompared(rules, surface, compared, memory) });
        await lookUp();
        if (own !== wanted) return null;
      }
      return shown;
    }
    if (performance.now() - lookedUp < LOOK_UP_MS) continue;
    told(step.value);
    await lookUp();
    if (own !== wanted) return null;
    lookedUp = performance.now();
  }
}

const planner = {
  /** Takes over what another page planned of a job: surfaces that stayed as they were are not laid out again. */
  remember: (job: Job, surfaces: readonly SurfacePlan[]): void => rememberPlanned(job, surfaces, memory),
  /** Takes over layouts as the server keeps them; one that can't be read is left out. */
  rememberPacked: async (packed: readonly string[]): Promise<void> => {
    for (const content of packed)
      await unpack(content)
        .then((text) => rememberKept(text, memory))
        .catch(() => undefined);
  },
  drawSurface: ({ rules, surface }: SurfaceBrief) => drawSurface(rules, surface, memory),
  planSurface,
  /** Gives up the plan that is being worked out. */
  giveUp: () => void wanted++,
  mendsThatHold,
  planJob,
  compareVariants,
  lookLonger,
  compare,
  /** The stones of an ashlar; drawing them can take seconds. */
  drawStones: (pattern: Ashlar, module: Module) => stonesOf(pattern, module),
};

/** What the worker computes. */
export type Planner = typeof planner;

expose(planner);
