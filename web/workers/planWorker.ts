import { expose } from 'comlink';
import type { Job, Surface } from '@azulejo/core/job';
import { stonesOf, type Ashlar } from '@azulejo/core/pattern/kinds/ashlar';
import type { Module } from '@azulejo/core/pattern/repeat';
import { drawSurface, plan, planSurface } from '@azulejo/core/plan';

const surfaceOf = (job: Job, id: string): Surface => {
  const found = job.surfaces.find((surface) => surface.id === id);
  if (!found) throw new Error(`the job has no such surface: ${id}`);
  return found;
};

const planner = {
  drawSurface: (job: Job, id: string) => drawSurface(job, surfaceOf(job, id)),
  planSurface: (job: Job, id: string) => planSurface(job, surfaceOf(job, id)),
  plan: (job: Job) => plan(job),
  /** The stones of an ashlar; drawing them can take seconds. */
  drawStones: (pattern: Ashlar, module: Module) => stonesOf(pattern, module),
};

/** What the worker computes. */
export type Planner = typeof planner;

expose(planner);
