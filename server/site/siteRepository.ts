import type { Entry, EntryOf } from '@azulejo/core/site/entry';
import type { Tick } from '@azulejo/core/site/tick';
import type { Database } from '../db/database.ts';
import { readQueries } from '../db/readQueries.ts';
import { ApiError } from '../errors/apiError.ts';

const SQL = readQueries(import.meta.url, ['addTicks', 'listTicks', 'addEntries', 'listEntries', 'listShelf']);

/** PostgreSQL's word for a row whose job is gone. */
const NO_SUCH_JOB = '23503';

/** A left-over of any job, and how many pieces of it were taken. */
export interface ShelfRow {
  readonly id: string;
  readonly jobId: string;
  readonly jobName: string;
  readonly data: EntryOf<'leftOver'>['data'];
  readonly taken: number;
}

/** What is kept beside a job: ticks and the log. */
export interface SiteRecords {
  readonly ticks: readonly Tick[];
  readonly entries: readonly Entry[];
}

/** Keeps what was ticked and what was written down on site. */
export class SiteRepository {
  private readonly database: Database;

  constructor(database: Database) {
    this.database = database;
  }

  /** Adds ticks; those that are there already are left. Throws `job/not-found`. */
  addTicks(jobId: string, ticks: readonly Tick[]): Promise<void> {
    return this.add(SQL.addTicks, jobId, ticks);
  }

  /** The tick in force of every piece that was ticked. */
  listTicks(jobId: string): Promise<readonly Tick[]> {
    return this.database.query<Tick>(SQL.listTicks, [jobId]);
  }

  /** Adds entries of the log; those that are there already are left. Throws `job/not-found`. */
  addEntries(jobId: string, entries: readonly Entry[]): Promise<void> {
    return this.add(SQL.addEntries, jobId, entries);
  }

  /** The whole log of a job, also what was corrected. */
  listEntries(jobId: string): Promise<readonly Entry[]> {
    return this.database.query<Entry>(SQL.listEntries, [jobId]);
  }

  /** What is left over of all jobs. */
  listShelf(): Promise<readonly ShelfRow[]> {
    return this.database.query<ShelfRow>(SQL.listShelf, []);
  }

  /** All that is kept beside a job. */
  async find(jobId: string): Promise<SiteRecords> {
    return { ticks: await this.listTicks(jobId), entries: await this.listEntries(jobId) };
  }

  /** Adds all that was kept beside a job. */
  async bringBack(jobId: string, { ticks, entries }: SiteRecords): Promise<void> {
    if (ticks.length > 0) await this.addTicks(jobId, ticks);
    if (entries.length > 0) await this.addEntries(jobId, entries);
  }

  private async add(sql: string, jobId: string, records: readonly object[]): Promise<void> {
    try {
      await this.database.query(sql, [jobId, JSON.stringify(records)]);
    } catch (error) {
      if (error instanceof Error && 'code' in error && error.code === NO_SUCH_JOB) throw new ApiError('job/not-found');
      throw error;
    }
  }
}
