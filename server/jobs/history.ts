import { applyEdits, PlaceGone } from '@azulejo/core/job/edit/applyEdits';
import { differences } from '@azulejo/core/job/edit/differences';
import { meet, type Edit } from '@azulejo/core/job/edit/edit';
import type { Job } from '@azulejo/core/job/job';
import type { Queryable } from '../db/database.ts';
import { readQueries } from '../db/readQueries.ts';
import { ApiError } from '../errors/apiError.ts';
import type { KnownJob } from './jobMemory.ts';

const SQL = readQueries(import.meta.url, ['findToUndo', 'findToRedo', 'listOthersSince', 'markUndone', 'markRedone', 'markPassed']);

/** A way along one's own history. */
type HistoryMove = 'undo' | 'redo';

/** A change as the history has it. */
interface HistoryRow {
  readonly position: number;
  readonly label: string;
  readonly edits: Edit[];
  readonly inverse: Edit[];
}

/** What somebody takes back or makes again next. Throws `job/nothing-to-undo`, `job/nothing-to-redo`. */
export async function findInHistory(database: Queryable, jobId: string, by: string, step: HistoryMove): Promise<HistoryRow> {
  const [row] = await database.query<HistoryRow>(step === 'undo' ? SQL.findToUndo : SQL.findToRedo, [jobId, by]);
  if (!row) throw new ApiError(step === 'undo' ? 'job/nothing-to-undo' : 'job/nothing-to-redo');
  return row;
}

/** What others changed after a change of one's own, and is in force; the last first. */
export const othersSince = (
  database: Queryable,
  jobId: string,
  by: string,
  position: number,
): Promise<readonly { readonly label: string; readonly person: string; readonly edits: Edit[] }[]> =>
  database.query(SQL.listOthersSince, [jobId, by, position]);

/**
 * The job with edits that take something back or make it again. Throws `job/built-upon` where others changed the same
 * since; it is passed over from then on, so that the step before it can be taken.
 */
export async function builtOn(database: Queryable, job: Job, by: string, row: HistoryRow, edits: readonly Edit[]): Promise<Job> {
  const others = await othersSince(database, job.id, by, row.position);
  const over = others.find((other) => other.edits.some((theirs) => edits.some((mine) => meet(mine, theirs))));
  try {
    if (!over) return applyEdits(job, edits);
  } catch (error) {
    if (!(error instanceof PlaceGone)) throw error;
  }
  await database.query(SQL.markPassed, [job.id, row.position]);
  throw new ApiError('job/built-upon', [], { label: row.label, theirs: over?.label ?? '', person: over?.person ?? '' });
}

/** Writes down that a change was taken back or made again. What takes it back the next time follows from the job as it was just now. */
export const mark =
  ({ job, version, position }: KnownJob, row: HistoryRow, step: HistoryMove, after: Job) =>
  (on: Queryable): Promise<unknown> =>
    step === 'undo'
      ? on.query(SQL.markUndone, [job.id, row.position, version + 1])
      : on.query(SQL.markRedone, [job.id, row.position, position + 1, JSON.stringify(differences(after, job))]);
