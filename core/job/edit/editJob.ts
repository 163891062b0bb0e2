import { produce } from 'immer';
import type { Job } from '../job.ts';
import { differences } from './differences.ts';
import type { ChangeLabel } from './changeLabel.ts';
import type { Edit } from './edit.ts';

/** A change of a job: what was done, and the edits that do it. What takes it back is found where it is applied. */
export interface Change {
  readonly label: ChangeLabel;
  readonly edits: readonly Edit[];
}

/** A changed job and the change that leads to it. */
export interface Edited {
  readonly job: Job;
  readonly change: Change;
}

/** Edits a copy of a job by a recipe that may write to its draft. */
export function editJob(job: Job, label: ChangeLabel, recipe: (draft: Job) => void): Edited {
  const edited = produce(job, recipe);
  return { job: edited, change: { label, edits: differences(job, edited) } };
}
