import { applyChange, type Change, type Patch } from '@azulejo/core/job/edit';
import { readJob } from '@azulejo/core/formats/jobFile';
import type { Job } from '@azulejo/core/job/job';
import type { Database, Queryable } from '../db/database.ts';
import { readQueries } from '../db/readQueries.ts';
import { ApiError } from '../errors/apiError.ts';

const SQL = readQueries(import.meta.url, [
  'listJobs',
  'findJob',
  'lockJob',
  'insertJob',
  'moveJob',
  'forgetUndone',
  'saveChange',
  'findChange',
  'deleteJob',
]);

/** A job in the list. */
export interface JobEntry {
  readonly id: string;
  readonly name: string;
  readonly client: string;
  readonly surfaceCount: number;
  readonly version: number;
  readonly updatedAt: Date;
}

/** Where a job stands: its version, and what can be undone and redone. */
export interface JobStanding {
  readonly version: number;
  readonly undoLabel: string | null;
  readonly redoLabel: string | null;
}

/** A job as stored. */
export interface StoredJob extends JobStanding {
  readonly job: Job;
}

interface LockedJob {
  readonly job: Job;
  readonly version: number;
  readonly position: number;
  /** Whether there are undone changes, which a new one forgets. */
  readonly hasUndone: boolean;
}

/** Keeps jobs and their history. Every write names the version it builds on. */
export class JobRepository {
  private readonly database: Database;

  constructor(database: Database) {
    this.database = database;
  }

  list(): Promise<readonly JobEntry[]> {
    return this.database.query<JobEntry>(SQL.listJobs);
  }

  /** Throws `job/not-found`. */
  async find(id: string, on: Queryable = this.database): Promise<StoredJob> {
    const [found] = await on.query<StoredJob>(SQL.findJob, [id]);
    if (!found) throw new ApiError('job/not-found');
    const { job, version, undoLabel, redoLabel } = found;
    return { job, version, undoLabel, redoLabel };
  }

  /** Adds a job; false when its id is taken. */
  async insert(job: Job): Promise<boolean> {
    return (await this.database.query(SQL.insertJob, [job.id, JSON.stringify(job)])).length > 0;
  }

  /** Makes a change. Throws `job/not-found`, `job/changed-elsewhere`, `job/refused`. */
  makeChange(id: string, baseVersion: number, { label, forward, inverse }: Change): Promise<JobStanding> {
    return this.database.transaction(async (on) => {
      const { job, position, hasUndone } = await this.lock(id, baseVersion, on);
      const changed = JSON.stringify(patched(job, forward));
      if (hasUndone) await on.query(SQL.forgetUndone, [id, position]);
      const [saved] = await on.query<{ version: number }>(SQL.saveChange, [
        id,
        changed,
        position + 1,
        label,
        JSON.stringify(forward),
        JSON.stringify(inverse),
      ]);
      return { version: saved.version, undoLabel: label, redoLabel: null };
    });
  }

  /** Takes the last change back. Throws as makeChange does, and `job/nothing-to-undo`. */
  undo(id: string, baseVersion: number): Promise<StoredJob> {
    return this.moveInHistory(id, baseVersion, -1);
  }

  /** Makes an undone change again. Throws as makeChange does, and `job/nothing-to-redo`. */
  redo(id: string, baseVersion: number): Promise<StoredJob> {
    return this.moveInHistory(id, baseVersion, 1);
  }

  private moveInHistory(id: string, baseVersion: number, step: 1 | -1): Promise<StoredJob> {
    return this.database.transaction(async (on) => {
      const { job, position } = await this.lock(id, baseVersion, on);
      const [change] = await on.query<Change>(SQL.findChange, [id, step === 1 ? position + 1 : position]);
      if (!change) throw new ApiError(step === 1 ? 'job/nothing-to-redo' : 'job/nothing-to-undo');
      const moved = patched(job, step === 1 ? change.forward : change.inverse);
      await on.query(SQL.moveJob, [id, JSON.stringify(moved), position + step]);
      return this.find(id, on);
    });
  }

  /** Deletes a job. Throws `job/not-found`, `job/changed-elsewhere`. */
  async remove(id: string, baseVersion: number): Promise<void> {
    const removed = await this.database.query(SQL.deleteJob, [id, baseVersion]);
    if (removed.length === 0)
      await this.find(id).then(({ version }) => {
        throw changedElsewhere(version);
      });
  }

  private async lock(id: string, baseVersion: number, on: Queryable): Promise<LockedJob> {
    const [locked] = await on.query<LockedJob>(SQL.lockJob, [id]);
    if (!locked) throw new ApiError('job/not-found');
    if (locked.version !== baseVersion) throw changedElsewhere(locked.version);
    return locked;
  }
}

const changedElsewhere = (version: number): ApiError => new ApiError('job/changed-elsewhere', [], { version });

function patched(job: Job, patches: readonly Patch[]): Job {
  let changed: Job;
  try {
    changed = applyChange(job, patches);
  } catch {
    throw new ApiError('request/invalid', [], { reason: 'a patch names a place the job does not have' });
  }
  const read = readJob(changed);
  if (!read.ok) throw new ApiError('job/refused', read.issues);
  if (read.value.id !== job.id) throw new ApiError('request/invalid', [], { reason: 'a job keeps its id' });
  return read.value;
}
