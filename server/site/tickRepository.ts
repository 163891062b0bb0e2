import type { Tick } from '@azulejo/core/site/tick';
import type { Database } from '../db/database.ts';
import { readQueries } from '../db/readQueries.ts';
import { ApiError } from '../errors/apiError.ts';

const SQL = readQueries(import.meta.url, ['addTicks', 'listTicks']);

/** PostgreSQL's word for a row whose job is gone. */
const NO_SUCH_JOB = '23503';

/** Keeps what was ticked. */
export class TickRepository {
  private readonly database: Database;

  constructor(database: Database) {
    this.database = database;
  }

  /** Adds ticks; those that are there already are left. Throws `job/not-found`. */
  async add(jobId: string, ticks: readonly Tick[]): Promise<void> {
    try {
      await this.database.query(SQL.addTicks, [jobId, JSON.stringify(ticks)]);
    } catch (error) {
      if (error instanceof Error && 'code' in error && error.code === NO_SUCH_JOB) throw new ApiError('job/not-found');
      throw error;
    }
  }

  /** The tick in force of every piece that was ticked. */
  list(jobId: string): Promise<readonly Tick[]> {
    return this.database.query<Tick>(SQL.listTicks, [jobId]);
  }
}
