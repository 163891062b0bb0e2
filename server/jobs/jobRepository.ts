import { applyChange, type Change, type Patch } from '@azulejo/core/edit';
import { readJob } from '@azulejo/core/formats/jobFile';
import type { Job } from '@azulejo/core/job';
import type { Database, Queryable } from '../db/database.ts';
import { readQueries } from '../db/readQueries.ts';
import { ApiError } from '../errors/apiError.ts';

const SQL = readQueries(import.meta.url, [
  'listJobs',
  'findJob',
  'lockJob',
  'insertJob',
  'updateJob',
  'forgetUndone',
  'insertChange',
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

/** A job as stored, with what can be undone and redone. */
export interface StoredJob {
  readonly job: Job;
  readonly version: number;
  readonly undoLabel: string | null;
  readonly redoLabel: string | null;
}

interface LockedJob {
  readonly job: Job;
  readonly version: number;
  readonly position: number;
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
  makeChange(id: string, baseVersion: number, change: Change): Promise<StoredJob> {
    return this.edit(id, baseVersion, async (locked, on) => {
      const position = locked.position + 1;
      await on.query(SQL.forgetUndone, [id, locked.position]);
      await on.query(SQL.insertChange, [id, position, change.label, JSON.stringify(change.forward), JSON.stringify(change.inverse)]);
      return { patches: change.forward, position };
    });
  }

  /** Takes the last change back. Throws as makeChange does, and `job/nothing-to-undo`. */
  undo(id: string, baseVersion: number): Promise<StoredJob> {
    return this.edit(id, baseVersion, async ({ position }, on) => {
      const change = await this.changeAt(id, position, on);
      if (!change) throw new ApiError('job/nothing-to-undo');
      return { patches: change.inverse, position: position - 1 };
    });
  }

  /** Makes an undone change again. Throws as makeChange does, and `job/nothing-to-redo`. */
  redo(id: string, baseVersion: number): Promise<StoredJob> {
    return this.edit(id, baseVersion, async ({ position }, on) => {
      const change = await this.changeAt(id, position + 1, on);
      if (!change) throw new ApiError('job/nothing-to-redo');
      return { patches: change.forward, position: position + 1 };
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

  private async changeAt(id: string, position: number, on: Queryable): Promise<Change | undefined> {
    return (await on.query<Change>(SQL.findChange, [id, position]))[0];
  }

  private edit(
    id: string,
    baseVersion: number,
    decide: (locked: LockedJob, on: Queryable) => Promise<{ patches: readonly Patch[]; position: number }>,
  ): Promise<StoredJob> {
    return this.database.transaction(async (on) => {
      const [locked] = await on.query<LockedJob>(SQL.lockJob, [id]);
      if (!locked) throw new ApiError('job/not-found');
      if (locked.version !== baseVersion) throw changedElsewhere(locked.version);
      const { patches, position } = await decide(locked, on);
      await on.query(SQL.updateJob, [id, JSON.stringify(patched(locked.job, patches)), position]);
      return this.find(id, on);
    });
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
