import { applyPatches, enablePatches, produceWithPatches, type Patch } from 'immer';
import type { Job } from './job.ts';

enablePatches();

/** A change of a job that can be undone: what it does, and what takes it back. */
export interface Change {
  /** What was done, in a few words: "Wall length". */
  readonly label: string;
  readonly forward: readonly Patch[];
  readonly inverse: readonly Patch[];
}

/** A changed job and the change that leads to it. */
export interface Edited {
  readonly job: Job;
  readonly change: Change;
}

/** Edits a copy of a job by a recipe that may write to its draft. */
export function editJob(job: Job, label: string, recipe: (draft: Job) => void): Edited {
  const [edited, forward, inverse] = produceWithPatches(job, recipe);
  return { job: edited, change: { label, forward, inverse } };
}

/** Applies patches to a job; throws where a path is no longer there. */
export const applyChange = (job: Job, patches: readonly Patch[]): Job => applyPatches(job, patches as Patch[]);

export type { Patch };
