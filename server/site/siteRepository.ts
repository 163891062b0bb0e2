import type { Entry, EntryOf } from '@azulejo/core/site/entry';
import type { SiteRecords } from '@azulejo/core/site/siteRecords';
import { keepCount, type Tick } from '@azulejo/core/site/tick';
import type { Database } from '../db/database.ts';
import { readQueries } from '../db/readQueries.ts';
import { ApiError } from '../errors/apiError.ts';
import type { JobRepository } from '../jobs/jobRepository.ts';
import { putBackPhotos, takeOutPhotos, type Photo } from './photos.ts';

const SQL = readQueries(import.meta.url, ['addTicks', 'listTicks', 'addEntries', 'listEntries', 'listShelf', 'findCount', 'findPhoto']);

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

/** Records that came since a count, and the count to ask with the next time. */
export interface Came<Record> {
  readonly records: readonly Record[];
  readonly came: number;
}

/** Keeps what was ticked and what was written down on site. */
export class SiteRepository {
  private readonly database: Database;
  private readonly jobs: JobRepository;

  constructor(database: Database, jobs: JobRepository) {
    this.database = database;
    this.jobs = jobs;
  }

  /**
   * Adds ticks; those that are there already are left. What the first tick of a surface says of how its pieces were
   * counted is kept with it, in one. Throws `job/not-found`.
   */
  async addTicks(jobId: string, ticks: readonly Tick[]): Promise<void> {
    const records = JSON.stringify(ticks);
    const firsts = ticks.filter(({ kept }) => kept);
    if (firsts.length === 0) return told(this.database.query(SQL.addTicks, [jobId, records]));
    await told(
      this.jobs.changeBeside(
        jobId,
        { id: `labels-${firsts[0].id}`, label: 'labelsKept' },
        (draft) => {
          for (const { surfaceId, kept } of firsts) keepCount(draft, surfaceId, kept);
        },
        (on) => on.query(SQL.addTicks, [jobId, records]),
      ),
    );
  }

  /** The tick in force of every piece that was ticked since a count. */
  listTicks(jobId: string, since = 0): Promise<readonly Tick[]> {
    return this.database.query<Tick>(SQL.listTicks, [jobId, since]);
  }

  /** Adds entries of the log; those that are there already are left. Gives them as they are kept. Throws `job/not-found`. */
  async addEntries(jobId: string, written: readonly Entry[]): Promise<readonly Entry[]> {
    const { entries, photos } = takeOutPhotos(written.map((entry) => ({ ...entry, at: new Date(entry.at).toISOString() })));
    await told(this.database.query(SQL.addEntries, [jobId, JSON.stringify(entries), JSON.stringify(photos)]));
    return entries;
  }

  /** The log of a job since a count, also what was corrected; photos by their names. */
  listEntries(jobId: string, since = 0): Promise<readonly Entry[]> {
    return this.database.query<Entry>(SQL.listEntries, [jobId, since]);
  }

  /** How often something came in beside a job. */
  async count(jobId: string): Promise<number> {
    const [found] = await this.database.query<{ came: number }>(SQL.findCount, [jobId]);
    return found?.came ?? 0;
  }

  /** What came since a count. The count is taken first: what comes meanwhile is told twice, and never missed. */
  async since<Record>(
    jobId: string,
    list: (jobId: string, since: number) => Promise<readonly Record[]>,
    since: number,
  ): Promise<Came<Record>> {
    const came = await this.count(jobId);
    // A count that is greater is of another job that had the id.
    return { records: await list(jobId, since > came ? 0 : since), came };
  }

  /** A photo by its hash; null where there is none. */
  async findPhoto(jobId: string, hash: string): Promise<Pick<Photo, 'media' | 'content'> | null> {
    const [found] = await this.database.query<Pick<Photo, 'media' | 'content'>>(SQL.findPhoto, [jobId, hash]);
    return found ? { media: found.media, content: found.content.replaceAll('\n', '') } : null;
  }

  /** The log with its photos in it, for what leaves the product. */
  async listWholeEntries(jobId: string): Promise<Entry[]> {
    return putBackPhotos(await this.listEntries(jobId), (hash) => this.findPhoto(jobId, hash));
  }

  /** What is left over of all jobs. */
  listShelf(): Promise<readonly ShelfRow[]> {
    return this.database.query<ShelfRow>(SQL.listShelf, []);
  }

  /** All that is kept beside a job; photos by their names. */
  async find(jobId: string): Promise<SiteRecords> {
    return { ticks: await this.listTicks(jobId), entries: await this.listEntries(jobId) };
  }

  /** All that is kept beside a job, photos in it. */
  async findWhole(jobId: string): Promise<SiteRecords> {
    return { ticks: await this.listTicks(jobId), entries: await this.listWholeEntries(jobId) };
  }

  /** Adds all that was kept beside a job. */
  async bringBack(jobId: string, { ticks, entries }: SiteRecords): Promise<void> {
    if (ticks.length > 0) await this.addTicks(jobId, ticks);
    if (entries.length > 0) await this.addEntries(jobId, entries);
  }
}

async function told(done: Promise<unknown>): Promise<void> {
  try {
    await done;
  } catch (error) {
    if (error instanceof Error && 'code' in error && error.code === NO_SUCH_JOB) throw new ApiError('job/not-found');
    throw error;
  }
}
