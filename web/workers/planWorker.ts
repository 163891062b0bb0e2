import { expose } from 'comlink';
import type { Job, Surface } from '@azulejo/core/job/job';
import { stonesOf, type Ashlar } from '@azulejo/core/pattern/kinds/ashlar';
import type { Module } from '@azulejo/core/pattern/repeat';
import { completePlan, drawSurface, planSteps, type Plan, type PlanProgress, type SurfacePlan } from '@azulejo/core/plan';

const surfaceOf = (job: Job, id: string): Surface => {
  const found = job.surfaces.find((surface) => surface.id === id);
  if (!found) throw new Error(`the job has no such surface: ${id}`);
  return found;
};

/** After working this long the worker looks whether it should go on, ms. */
const LOOK_UP_MS = 40;

let wanted = 0;

const lookUp = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** Plans of surfaces that are remembered: a few more than a job has. */
const MOST_PLANS = 80;

const known = new Map<string, SurfacePlan>();
let sharedWith = '';
let lastJob: Job | null = null;

/** What a surface's plan depends on, as text; everything is forgotten when what surfaces share changes. */
function keyOf(job: Job, surface: Surface): string {
  if (job !== lastJob) forgetWhatChanged(job);
  if (known.size >= MOST_PLANS) known.clear();
  return JSON.stringify(surface);
}

/** Looked at once for all surfaces of a job. */
function forgetWhatChanged(job: Job): void {
  const { products, consumption, practice } = job;
  const shared = JSON.stringify([products, consumption, practice]);
  if (shared !== sharedWith) known.clear();
  [lastJob, sharedWith] = [job, shared];
}

/** The whole plan of one surface, a step at a time; null where it was given up on the way. */
async function planSurface(job: Job, id: string, told: (progress: PlanProgress) => void): Promise<SurfacePlan | null> {
  return planInSteps(job, surfaceOf(job, id), ++wanted, told);
}

async function planInSteps(job: Job, surface: Surface, own: number, told: (progress: PlanProgress) => void): Promise<SurfacePlan | null> {
  const key = keyOf(job, surface);
  const remembered = known.get(key);
  if (remembered) return remembered;
  const steps = planSteps(job, surface);
  let lookedUp = performance.now();
  for (;;) {
    const step = steps.next();
    if (step.done) {
      known.set(key, step.value);
      return step.value;
    }
    if (performance.now() - lookedUp < LOOK_UP_MS) continue;
    told(step.value);
    await lookUp();
    if (own !== wanted) return null;
    lookedUp = performance.now();
  }
}

/** The plan of a whole job, surface by surface; null where it was given up on the way. */
async function planJob(job: Job, told: (surface: SurfacePlan) => void): Promise<Plan | null> {
  const own = ++wanted;
  const surfaces: SurfacePlan[] = [];
  for (const surface of job.surfaces) {
    const planned = await planInSteps(job, surface, own, () => undefined);
    await lookUp();
    if (planned === null || own !== wanted) return null;
    surfaces.push(planned);
    told(planned);
  }
  return completePlan(job, surfaces);
}

const planner = {
  drawSurface: (job: Job, id: string) => drawSurface(job, surfaceOf(job, id)),
  planSurface,
  /** Gives up the plan that is being worked out. */
  giveUp: () => void wanted++,
  planJob,
  /** The stones of an ashlar; drawing them can take seconds. */
  drawStones: (pattern: Ashlar, module: Module) => stonesOf(pattern, module),
};

/** What the worker computes. */
export type Planner = typeof planner;

expose(planner);
